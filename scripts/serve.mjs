// npm run serve: a built application on its own: APP_DATABASE_URL, PORT, HOST, TRUST_PROXY, DRAIN_SECONDS. With
// OWNER_DATABASE_URL it migrates first; EMBER_DEMO=1 loads the demo practice, whose passwords everybody knows.
import { main } from "./lib/steps.mjs";
import { application, listen } from "./lib/serve.mjs";

main(async () => {
  process.env.NODE_ENV = "production";
  const built = await application();
  if (process.env.OWNER_DATABASE_URL)
    await built.prepare(process.env.OWNER_DATABASE_URL, {
      demo: process.env.EMBER_DEMO === "1",
      today: new Date().toISOString().slice(0, 10),
    });
  const server = await listen(built, { port: Number(process.env.PORT ?? 3000), host: process.env.HOST });
  console.log(`listening on ${server.address().port}`);
});
