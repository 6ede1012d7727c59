// npm run work: takes in pictures and does whatever else is done outside of a request, for any number of servers:
// APP_DATABASE_URL, LOG_LEVEL. Servers started with WORKERS=0 leave it all to processes like this one.
import { join } from "node:path";
import { main, root } from "./lib/steps.mjs";

/** How long what is in hand may take to be finished once this is to end (ms): then it is begun anew by another. */
const patience = 30_000;

main(async () => {
  process.env.NODE_ENV ??= "production";
  // a fault of the queue's own connection: the job comes again when its minute is over
  process.on("unhandledRejection", (error) => console.error("queue:", error?.code ?? error?.name));
  let finish = async () => undefined;
  let ending = false;
  const stop = async () => {
    if (ending) return;
    ending = true;
    // a database that is gone answers nobody, and does not hold this up
    setTimeout(() => process.exit(0), patience).unref();
    await finish().catch(() => undefined);
    process.exit(0);
  };
  process.once("SIGTERM", () => void stop());
  process.once("SIGINT", () => void stop());
  // started by a server: gone with it, also while there is no database yet
  if (process.send) {
    process.once("disconnect", () => void stop());
    if (!process.connected) return void stop();
  }
  const { work } = await import(join(root, "build/server/work.js"));
  while (!ending)
    try {
      const begun = await work(process.env.APP_DATABASE_URL);
      finish = begun;
      if (ending) await begun();
      break;
    } catch (error) {
      // the database is not up yet, or not migrated
      console.error("work: not yet,", error?.code ?? error?.message);
      await new Promise((again) => setTimeout(again, 2000));
    }
});
