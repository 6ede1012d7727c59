// npm run dev: the application from its sources, reloading as they change, on the demo's cluster.
import { spawn } from "node:child_process";
import { join } from "node:path";
import { freePort, installPackages, main, root, step, Stop } from "./lib/steps.mjs";

main(async () => {
  if (!process.execArgv.includes("--conditions=development")) {
    // without this condition two copies of the style library load, and styles lose their nonce
    const child = spawn(process.execPath, ["--conditions=development", ...process.argv.slice(1)], {
      stdio: "inherit",
      cwd: root,
    });
    for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => child.kill(signal));
    child.on("close", (code) => process.exit(code ?? 0));
    return;
  }
  await installPackages();
  const { databaseUrls } = await import("./lib/postgres.mjs");
  const { enter } = await import("./lib/users.mjs");
  if (process.env.DATABASE_URL && !process.argv.includes("--with-demo"))
    throw new Stop(
      "DATABASE_URL is set: the demo practice, whose passwords are published, is loaded there only with -- --with-demo.",
    );
  if (!process.env.DATABASE_URL) enter(join(root, ".data"), { what: "dev" });
  let urls;
  await step("PostgreSQL", async () => {
    urls = await databaseUrls(join(root, ".data"));
    return urls.note;
  });
  process.env.NODE_ENV = "development";
  process.env.APP_DATABASE_URL = urls.app;
  process.env.EMBER_DEMO = "1";
  const { default: express } = await import("express");
  const { createServer } = await import("vite");
  const vite = await createServer({ server: { middlewareMode: true } });
  const load = () => vite.ssrLoadModule("./app/server.ts");
  await step("database and demo practice", async () =>
    (await (await load()).prepare(urls.owner, { demo: true, today: new Date().toISOString().slice(0, 10) })).join(", "),
  );
  const finish = await (await vite.ssrLoadModule("./app/work.ts")).work(urls.app);
  const app = express();
  app.use(vite.middlewares);
  app.use(async (request, response, next) => {
    try {
      (await load()).app(request, response, next);
    } catch (error) {
      vite.ssrFixStacktrace(error);
      next(error);
    }
  });
  const port = await freePort(5173);
  const server = app.listen(port, "127.0.0.1", () => console.log(`\n  http://127.0.0.1:${port}\n`));
  const stop = async () => {
    server.closeAllConnections();
    await finish();
    await vite.close();
    await urls.stop();
    process.exit(0);
  };
  process.on("SIGINT", () => void stop());
  process.on("SIGTERM", () => void stop());
});
