// npm run demo: everything from an empty machine to the running application with its demo practice.
import { rmSync } from "node:fs";
import { join } from "node:path";
import { build, freePort, installPackages, main, root, step, Stop } from "./lib/steps.mjs";

const published = "odile@kiln.example or tamsin@kiln.example, password: slow warm hands";

main(async () => {
  const fresh = process.argv.includes("--fresh");
  // on a server of somebody's own, passwords that everybody can read need to be asked for
  const own = Boolean(process.env.DATABASE_URL);
  const demo = !own || process.argv.includes("--with-demo");
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Node 20.19 or newer is needed; this is ${process.versions.node}.`);
  console.log("Ember Path");
  await installPackages();
  // only now can modules that need packages be loaded
  const { Cluster, databaseUrls } = await import("./lib/postgres.mjs");
  const { enter, others } = await import("./lib/users.mjs");
  const { application, listen } = await import("./lib/serve.mjs");
  const folder = join(root, ".data");
  const first = own ? undefined : others(folder).find((each) => each.what === "demo" && each.address);
  if (first && !fresh) {
    console.log(`\n  It runs already, at ${first.address} (process ${first.pid}).`);
    console.log(`  Sign in as ${published}\n`);
    return;
  }
  if (fresh && !own)
    await step("starting over", async () => {
      const [busy] = others(folder);
      if (busy) throw new Stop(`Process ${busy.pid} uses this data. Stop it first, then start over.`);
      const cluster = new Cluster(folder, { durable: true });
      cluster.bin = await (await import("./lib/postgres.mjs")).findPostgres();
      await cluster.stop();
      rmSync(cluster.data, { recursive: true, force: true });
      rmSync(cluster.file, { force: true });
    });
  if (!own) enter(folder, { what: "demo" });
  let urls;
  await step("PostgreSQL", async () => {
    urls = await databaseUrls(folder);
    return urls.note;
  });
  process.env.NODE_ENV = "production";
  process.env.APP_DATABASE_URL = urls.app;
  process.env.EMBER_DEMO = demo ? "1" : "";
  process.env.LOG_LEVEL ??= "warn";
  await build();
  const built = await application();
  const day = new Date();
  const today = `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, "0")}-${String(day.getDate()).padStart(2, "0")}`;
  await step(demo ? "database and demo practice" : "database", async () =>
    (await built.prepare(urls.owner, { demo, today })).join(", "),
  );
  const port = await freePort(Number(process.env.PORT ?? 3000));
  const address = `http://127.0.0.1:${port}`;
  await listen(built, { port, after: urls.stop });
  if (!own) enter(folder, { what: "demo", address });
  console.log(`\n  Ember Path is running at ${address}`);
  if (demo) console.log(`  Sign in as ${published}`);
  else
    console.log(
      "  The database is your own: no demo practice was loaded, since its passwords are published.\n  Load it with: npm run demo -- --with-demo. Make a practice of your own with: npm run new-practice",
    );
  console.log(`  Ctrl+C stops it; the data stays.${own ? "" : " Start over with: npm run demo -- --fresh"}\n`);
});
