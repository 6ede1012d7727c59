import { connect } from "~data/database";
import { loadDemo } from "~data/demo/load";
import { migrate } from "~data/migrations";

/** Migrates with the owner's connection, and loads the demo practice once when asked. */
export async function prepare(ownerUrl: string, options: { demo: boolean; today: string }): Promise<string[]> {
  const owner = connect(ownerUrl, 1, { patient: true });
  const done: string[] = [];
  try {
    await migrate(owner);
    done.push("database up to date");
  } finally {
    await owner.destroy();
  }
  if (options.demo) {
    const db = connect(process.env.APP_DATABASE_URL!, 2, { patient: true });
    try {
      done.push((await loadDemo(db, options.today)) ? "demo practice loaded" : "demo practice already there");
    } finally {
      await db.destroy();
    }
  }
  return done;
}
