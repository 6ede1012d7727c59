// Listens with the built application, and ends it so that nothing in flight is lost.
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
 * Listens. On SIGTERM or SIGINT: says “not ready” for DRAIN_SECONDS (default 0), so that a balancer sends nothing new;
 * takes no new connections; answers what is in flight, for up to 30 seconds; closes the database; then `after`.
 */
export function listen({ app, drain, closeDatabase }, { port, host = "127.0.0.1", after = async () => undefined }) {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error) => (error ? reject(error) : resolve(server)));
    // longer than a balancer keeps an idle connection, so that it is never cut just as it is used again
    server.keepAliveTimeout = 75_000;
    server.headersTimeout = 80_000;
    server.requestTimeout = 240_000;
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
      await closeDatabase();
      await after();
      process.exit(0);
    };
    process.on("SIGTERM", () => void stop());
    process.on("SIGINT", () => void stop());
  });
}
