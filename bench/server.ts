import { spawn } from "node:child_process";
import { chmodSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

export const ruben = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";

/** A built server with demo data on a database of its own, for as long as `work` takes. */
export async function withServer(work: (base: string, pid: number, startedMs: number) => Promise<void>): Promise<void> {
  // @ts-expect-error the scripts are plain JavaScript
  const { Cluster } = await import("../scripts/lib/postgres.mjs");
  // @ts-expect-error the scripts are plain JavaScript
  const { freePort } = await import("../scripts/lib/steps.mjs");
  const folder = mkdtempSync(join(tmpdir(), "ember-bench-"));
  chmodSync(folder, 0o711);
  const cluster = new Cluster(folder, { durable: true });
  await cluster.start();
  await cluster.database();
  const port = await freePort();
  const server = spawn(process.execPath, ["scripts/serve.mjs"], {
    env: {
      ...process.env,
      APP_DATABASE_URL: cluster.url("app"),
      OWNER_DATABASE_URL: cluster.url("owner"),
      EMBER_DEMO: "1",
      LOG_LEVEL: "error",
      PORT: String(port),
      NODE_ENV: "production",
    },
    stdio: "ignore",
  });
  const base = `http://127.0.0.1:${port}`;
  try {
    const started = performance.now();
    const ready = () =>
      fetch(`${base}/readyz`).then(
        (answer) => answer.ok,
        () => false,
      );
    while (!(await ready())) await new Promise((resolve) => setTimeout(resolve, 50));
    await work(base, server.pid!, performance.now() - started);
  } finally {
    server.kill("SIGTERM");
    await cluster.stop();
    cluster.remove();
  }
}
