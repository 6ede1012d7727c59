import { fileURLToPath } from "node:url";
import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";
import { copyPoseModel } from "./scripts/lib/pose-model.mjs";

const external = ["express", "highs", "knex", "pg", "sharp", "@node-rs/argon2", "pino", "compression"];

const inRouter = (file: string) =>
  fileURLToPath(new URL(`./node_modules/react-router/dist/production/${file}`, import.meta.url));
/** The router's package names its development build only, whatever is asked for. */
const production = [
  { find: /^react-router$/, replacement: inRouter("index.mjs") },
  { find: /^react-router\/dom$/, replacement: inRouter("dom-export.mjs") },
];

export default defineConfig(({ command }) => {
  copyPoseModel();
  return {
    plugins: [reactRouter()],
    resolve: { tsconfigPaths: true, alias: command === "build" ? production : [] },
    worker: { format: "es" as const },
    build: { chunkSizeWarningLimit: 900 },
    // Bundling the server's dependencies makes the first request five times faster; native and
    // self-locating packages stay outside.
    ssr: command === "build" ? { noExternal: true as const, external } : { external },
    environments: { ssr: { build: { rollupOptions: { input: "./app/server.ts" } } } },
    optimizeDeps: {
      entries: ["app/entry.client.tsx", "app/root.tsx", "app/routes/**/*.tsx", "app/workers/*.ts"],
    },
  };
});
