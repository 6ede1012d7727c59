import { randomUUID } from "node:crypto";
import type { Knex } from "knex";
import pg from "pg";
import { connect, inPractice, type Tx } from "../database";
import { migrate } from "../migrations";

/** A throwaway database of the test cluster, migrated, with two practices that know nothing of each other. */
export type TestDatabase = {
  owner: Knex;
  app: Knex;
  /** Where the application's role finds it. */
  appUrl: string;
  practices: [string, string];
  within: <T>(practice: string, work: (tx: Tx) => Promise<T>) => Promise<T>;
  drop: () => Promise<void>;
};

export async function makeDatabase(): Promise<TestDatabase> {
  const cluster = process.env.EMBER_TEST_CLUSTER;
  if (!cluster) throw new Error("The data tests need PostgreSQL: run them with npm test");
  const {
    super: superUrl,
    owner: ownerUrl,
    app: appUrl,
  } = JSON.parse(cluster) as Record<"super" | "owner" | "app", string>;
  const name = `test_${randomUUID().replaceAll("-", "")}`;
  const admin = async (sql: string) => {
    const client = new pg.Client(superUrl);
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  await admin(`create database ${name} owner ember_owner`);
  const at = (url: string) => {
    const own = new URL(url);
    own.pathname = `/${name}`;
    return own.href;
  };
  const owner = connect(at(ownerUrl), 2);
  await migrate(owner);
  const app = connect(at(appUrl), 6);
  const practices: [string, string] = [randomUUID(), randomUUID()];
  for (const practice of practices)
    await inPractice(app, practice, (tx) => tx("practice").insert({ practice_id: practice, name: "Test practice" }));
  return {
    owner,
    app,
    appUrl: at(appUrl),
    practices,
    within: (practice, work) => inPractice(app, practice, work),
    drop: async () => {
      await owner.destroy();
      await app.destroy();
      await admin(`drop database ${name} with (force)`);
    },
  };
}

export const draft = {
  name: "Wilma Test",
  born: null,
  occupation: "weaver",
  complaint: "stiff neck",
  complaintRegion: "neck" as const,
  statureMm: 1700,
  pressureCeiling: 5,
};
