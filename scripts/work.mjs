// npm run work: takes in pictures and does whatever else is done outside of a request, for any number of servers:
// APP_DATABASE_URL, LOG_LEVEL. Servers started with WORKERS=0 leave it all to processes like this one.
import { join } from "node:path";
import { main, root } from "./lib/steps.mjs";

main(async () => {
  process.env.NODE_ENV ??= "production";
  // a fault of the queue's own connection: the job comes again when its minute is over
  process.on("unhandledRejection", (error) => console.error("queue:", error?.code ?? error?.name));
  const { work } = await import(join(root, "build/server/work.js"));
  let finish;
  for (;;)
    try {
      finish = await work(process.env.APP_DATABASE_URL);
      break;
    } catch (error) {
      // the database is not up yet, or not migrated
      console.error("work: not yet,", error?.code ?? error?.message);
      await new Promise((again) => setTimeout(again, 2000));
    }
  const stop = async () => {
    await finish();
    process.exit(0);
  };
  process.once("SIGTERM", () => void stop());
  process.once("SIGINT", () => void stop());
  // started by a server: gone with it
  process.once("disconnect", () => void stop());
});
