// npm run screenshots: one picture of each main view from demo data, into docs/screenshots.
import { chmodSync, mkdtempSync } from "node:fs";
import { spawn } from "node:child_process";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { bin, build, freePort, installPackages, main, root, run, step } from "./lib/steps.mjs";

main(async () => {
  await installPackages();
  await build();
  const { Cluster } = await import("./lib/postgres.mjs");
  const folder = mkdtempSync(join(tmpdir(), "ember-shots-"));
  chmodSync(folder, 0o711);
  const cluster = new Cluster(folder, { durable: false });
  let server;
  try {
    await cluster.start();
    await cluster.database();
    const port = await freePort();
    server = spawn(process.execPath, ["scripts/serve.mjs"], {
      cwd: root,
      env: {
        ...process.env,
        APP_DATABASE_URL: cluster.url("app"),
        OWNER_DATABASE_URL: cluster.url("owner"),
        EMBER_DEMO: "1",
        LOG_LEVEL: "error",
        PORT: String(port),
      },
      stdio: "ignore",
    });
    await step("pictures", () =>
      run(process.execPath, [bin("tsx"), "scripts/take-screenshots.ts", `http://127.0.0.1:${port}`], {
        show: true,
      }),
    );
  } finally {
    server?.kill("SIGTERM");
    await cluster.stop();
    cluster.remove();
  }
});
