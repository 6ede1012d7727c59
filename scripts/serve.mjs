// Serves a built application: APP_DATABASE_URL, PORT. With OWNER_DATABASE_URL it migrates first; EMBER_DEMO=1 loads the demo.
import { join } from "node:path";
import { root } from "./lib/steps.mjs";

process.env.NODE_ENV = "production";
const { app, prepare, closeDatabase } = await import(join(root, "build/server/index.js"));
if (process.env.OWNER_DATABASE_URL)
  await prepare(process.env.OWNER_DATABASE_URL, {
    demo: process.env.EMBER_DEMO === "1",
    today: new Date().toISOString().slice(0, 10),
  });
const server = app.listen(Number(process.env.PORT ?? 3000), process.env.HOST ?? "127.0.0.1", () =>
  console.log(`listening on ${server.address().port}`),
);
const stop = () => {
  server.closeAllConnections();
  server.close(() => void closeDatabase().then(() => process.exit(0)));
};
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
