// npm run new-practice: a practice with its first practitioner, on the database of DATABASE_URL (or the demo's). Asks on
// the terminal, so that no password stands in a list of commands; further practitioners: --practice and its id.
import { randomUUID } from "node:crypto";
import { createInterface } from "node:readline/promises";
import { join } from "node:path";
import { build, installPackages, main, root, Stop } from "./lib/steps.mjs";

main(async () => {
  await installPackages();
  await build();
  const { databaseUrls } = await import("./lib/postgres.mjs");
  const { enter } = await import("./lib/users.mjs");
  const folder = join(root, ".data");
  if (!process.env.DATABASE_URL) enter(folder, { what: "new practice" });
  const urls = await databaseUrls(folder);
  process.env.NODE_ENV = "production";
  process.env.APP_DATABASE_URL = urls.app;
  const { application } = await import("./lib/serve.mjs");
  const { prepare, addPractitioner, closeDatabase } = await application();
  try {
    await prepare(urls.owner, { demo: false, today: "" });
    const at = process.argv.indexOf("--practice");
    const lines = createInterface({ input: process.stdin, output: process.stdout });
    const ask = async (what, sound) => {
      const told = (await lines.question(`${what}: `)).trim();
      if (!sound(told)) throw new Stop(`${what}: “${told}” will not do.`);
      return told;
    };
    const named = (text) => text.length > 0 && text.length <= 120;
    const practice = at > 0 ? { id: process.argv[at + 1] } : { id: randomUUID(), name: await ask("Practice", named) };
    const name = await ask("Practitioner", named);
    const email = (await ask("E-mail", (text) => /^[^\s@]+@[^\s@]+$/.test(text))).toLowerCase();
    const password = await lines.question("Password (at least 12 characters): ");
    if (password.length < 12) throw new Stop("Password: at least 12 characters. Nothing was stored.");
    lines.close();
    await addPractitioner(practice, { name, email, password });
    console.log(
      `\n${email} may sign in. Another one for the same practice: npm run new-practice -- --practice ${practice.id}`,
    );
  } finally {
    await closeDatabase();
    await urls.stop();
  }
  process.exit(0);
});
