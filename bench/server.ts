import { spawn, type ChildProcess } from "node:child_process";
import { chmodSync, mkdtempSync, readdirSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

export const ruben = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";

/** A PostgreSQL of our own: where its data lies, and what starts it again at the same port. */
export type OwnCluster = { data: string; start: (how: { samePort: boolean }) => Promise<unknown> };

/** A throwaway PostgreSQL of our own, for as long as `work` takes. `url` gives a role's address of its database. */
export async function withCluster(
  work: (url: (role: "super" | "owner" | "app") => string, cluster: OwnCluster) => Promise<void>,
): Promise<void> {
  // @ts-expect-error the scripts are plain JavaScript
  const { Cluster } = await import("../scripts/lib/postgres.mjs");
  const folder = mkdtempSync(join(tmpdir(), "ember-bench-"));
  chmodSync(folder, 0o711);
  const cluster = new Cluster(folder, { durable: true });
  try {
    await cluster.start();
    await cluster.database();
    await work((role) => cluster.url(role), cluster as OwnCluster);
  } finally {
    await cluster.stop();
    cluster.remove();
  }
}

export type Running = { base: string; port: number; pid: number; process: ChildProcess; startedMs: number };

export async function freePort(): Promise<number> {
  // @ts-expect-error the scripts are plain JavaScript
  const steps = await import("../scripts/lib/steps.mjs");
  return steps.freePort() as Promise<number>;
}

/** Starts the built application and waits until it is ready. */
export async function serve(env: Record<string, string>, port?: number): Promise<Running> {
  const at = port ?? (await freePort());
  const started = performance.now();
  // as `npm run serve` does
  const child = spawn(process.execPath, ["--max-old-space-size=320", "scripts/serve.mjs"], {
    env: {
      ...process.env,
      EMBER_BENCH: "1",
      LOG_LEVEL: "error",
      NODE_ENV: "production",
      REQUESTS_PER_SECOND: "100000",
      ...env,
      PORT: String(at),
    },
    stdio: ["ignore", "ignore", "inherit"],
  });
  const base = `http://127.0.0.1:${at}`;
  while (!(await answers(`${base}/readyz`))) {
    if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
    await pause(30);
  }
  return { base, port: at, pid: child.pid!, process: child, startedMs: performance.now() - started };
}

/** Ends a server and waits until it is gone. */
export async function end(server: Running, signal: NodeJS.Signals = "SIGTERM"): Promise<number | null> {
  if (server.process.exitCode !== null || server.process.signalCode !== null) return server.process.exitCode;
  const gone = new Promise<number | null>((resolve) => server.process.once("exit", resolve));
  server.process.kill(signal);
  return gone;
}

/** A built server with demo data on a database of its own, for as long as `work` takes. */
export async function withServer(work: (base: string, pid: number, startedMs: number) => Promise<void>): Promise<void> {
  await withCluster(async (url) => {
    const server = await serve({ APP_DATABASE_URL: url("app"), OWNER_DATABASE_URL: url("owner"), EMBER_DEMO: "1" });
    try {
      await work(server.base, server.pid, server.startedMs);
    } finally {
      await end(server);
    }
  });
}

export const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

const answers = (url: string) =>
  fetch(url).then(
    (answer) => answer.ok,
    () => false,
  );

const same = { "Sec-Fetch-Site": "same-origin" };

/** Signs in and returns the cookies to send. */
export async function signIn(
  base: string,
  email = "odile@kiln.example",
  password = "slow warm hands",
  /** Of a device that signed in before. */
  known = "",
): Promise<string> {
  const answer = await fetch(`${base}/sign-in`, {
    method: "POST",
    redirect: "manual",
    headers: { ...same, Cookie: known, "Content-Type": "application/x-www-form-urlencoded" },
    body: new URLSearchParams({ email, password }),
  });
  const cookies = answer.headers.getSetCookie().map((each) => each.split(";")[0]);
  if (cookies.length === 0) throw new Error(`sign-in answered ${answer.status}`);
  return cookies.join("; ");
}

/** Sends what a page would send. */
export const post = (base: string, path: string, cookie: string, body: unknown, headers: Record<string, string> = {}) =>
  fetch(`${base}${path}`, {
    method: "POST",
    redirect: "manual",
    headers: { ...same, Cookie: cookie, "Content-Type": "application/json", ...headers },
    body: typeof body === "string" || body instanceof Uint8Array ? (body as BodyInit) : JSON.stringify(body),
  });

/** Resident memory now and at its highest (MB). */
export function memory(pid: number): { now: number; peak: number } {
  const status = readFileSync(`/proc/${pid}/status`, "utf8");
  const of = (name: string) => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(status)![1]) / 1024;
  return { now: of("VmRSS"), peak: of("VmHWM") };
}

/** A process and the processes it started that are still there. */
export const family = (pid: number): number[] => [
  pid,
  ...readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").trim().split(" ").filter(Boolean).map(Number),
];

/** CPU that processes, and children of theirs that ended, have used so far, in seconds. */
export const cpuSeconds = (pids: readonly number[]): number =>
  pids.reduce((sum, pid) => {
    try {
      const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ")[1]!.split(" ");
      return sum + fields.slice(11, 15).reduce((ticks, each) => ticks + Number(each), 0) / 100;
    } catch {
      return sum; // gone meanwhile
    }
  }, 0);

/** Every process of a name: connections of a database server come and go. */
export const familyOf = (name: string): number[] =>
  readdirSync("/proc")
    .filter((entry) => /^\d+$/.test(entry))
    .filter((entry) => {
      try {
        return readFileSync(`/proc/${entry}/comm`, "utf8").trim() === name;
      } catch {
        return false;
      }
    })
    .map(Number);
