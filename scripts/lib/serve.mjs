// Listens with the built application, and ends it so that nothing in flight is lost.
import { fork } from "node:child_process";
import { join } from "node:path";
import { root, Stop } from "./steps.mjs";

/** The built application. A value it cannot start with stops the start with its sentence. */
export async function application() {
  try {
    return await import(join(root, "build/server/index.js"));
  } catch (error) {
    if (error.name === "Misconfigured") throw new Stop(error.message);
    throw error;
  }
}

/**
 * Keeps WORKERS (default 1) processes working on what is done outside of requests: one that ends is started again. They
 * end with this process, however it ends. Answers with what ends them now.
 */
export function employ(count = Number(process.env.WORKERS ?? 1)) {
  let over = false;
  const hands = new Set();
  const start = () => {
    if (over) return;
    const child = fork(join(root, "scripts/work.mjs"), { stdio: ["ignore", "inherit", "inherit", "ipc"] });
    hands.add(child);
    child.on("exit", () => {
      hands.delete(child);
      setTimeout(start, 1000).unref();
    });
  };
  for (let i = 0; i < count; i++) start();
  return async () => {
    over = true;
    const gone = [...hands].map((child) => new Promise((done) => child.once("exit", done)));
    for (const child of hands) child.kill("SIGTERM");
    await Promise.all(gone);
  };
}

/**
 * Listens. On SIGTERM or SIGINT: says “not ready” for DRAIN_SECONDS (default 0), so that a balancer sends nothing new;
 * takes no new connections; answers what is in flight, for up to 30 seconds; ends its workers when they have done what they
 * have in hand; closes the database; then `after`.
 */
export function listen({ app, drain, closeDatabase }, { port, host = "127.0.0.1", after = async () => undefined }) {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error) => (error ? reject(error) : resolve(server)));
    // longer than a balancer keeps an idle connection, so that it is never cut just as it is used again
    server.keepAliveTimeout = 75_000;
    server.headersTimeout = 80_000;
    server.requestTimeout = 240_000;
    const dismiss = employ();
    let stopping = false;
    const stop = async () => {
      if (stopping) return;
      stopping = true;
      drain();
      await new Promise((wait) => setTimeout(wait, 1000 * Number(process.env.DRAIN_SECONDS ?? 0)));
      const over = new Promise((done) => server.close(done));
      const patience = setTimeout(() => server.closeAllConnections(), 30_000);
      await over;
      clearTimeout(patience);
      await Promise.all([closeDatabase(), dismiss()]);
      await after();
      process.exit(0);
    };
    process.on("SIGTERM", () => void stop());
    process.on("SIGINT", () => void stop());
  });
}
