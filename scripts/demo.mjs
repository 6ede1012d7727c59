// npm run demo: everything from an empty machine to the running application with its demo practice.
import { rmSync } from "node:fs";
import { join } from "node:path";
import { build, freePort, installPackages, main, root, step, Stop } from "./lib/steps.mjs";

main(async () => {
  const fresh = process.argv.includes("--fresh");
  const [major, minor] = process.versions.node.split(".").map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Stop(`Node 20.19 or newer is needed; this is ${process.versions.node}.`);
  console.log("Ember Path");
  await installPackages();
  // only now can modules that need packages be loaded
  const { Cluster, databaseUrls } = await import("./lib/postgres.mjs");
  const folder = join(root, ".data");
  if (fresh && !process.env.DATABASE_URL)
    await step("starting over", async () => {
      const cluster = new Cluster(folder, { durable: true });
      cluster.bin = await (await import("./lib/postgres.mjs")).findPostgres();
      await cluster.stop();
      rmSync(cluster.data, { recursive: true, force: true });
      rmSync(cluster.file, { force: true });
    });
  let urls;
  await step("PostgreSQL", async () => {
    urls = await databaseUrls(folder);
    return urls.note;
  });
  process.env.NODE_ENV = "production";
  process.env.APP_DATABASE_URL = urls.app;
  process.env.EMBER_DEMO = "1";
  process.env.LOG_LEVEL ??= "warn";
  await build();
  const { app, prepare, closeDatabase } = await import(join(root, "build/server/index.js"));
  const day = new Date();
  const today = `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, "0")}-${String(day.getDate()).padStart(2, "0")}`;
  await step("database and demo practice", async () => (await prepare(urls.owner, { demo: true, today })).join(", "));
  const port = await freePort(Number(process.env.PORT ?? 3000));
  const server = await new Promise((resolve) => {
    const listening = app.listen(port, "127.0.0.1", () => resolve(listening));
  });
  console.log(`\n  Ember Path is running at http://127.0.0.1:${port}`);
  console.log("  Sign in as odile@kiln.example or tamsin@kiln.example, password: slow warm hands");
  console.log("  Ctrl+C stops it; the data stays. Start over with: npm run demo -- --fresh\n");

  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    console.log("\n  stopping");
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await closeDatabase();
    await urls.stop();
    process.exit(0);
  };
  process.on("SIGINT", () => void stop());
  process.on("SIGTERM", () => void stop());
});
