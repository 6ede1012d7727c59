import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";
import { copyPoseModel } from "./scripts/lib/pose-model.mjs";

const external = ["express", "highs", "knex", "pg", "sharp", "@node-rs/argon2", "pino", "compression"];

export default defineConfig(({ command }) => {
  copyPoseModel();
  return {
    plugins: [reactRouter()],
    resolve: { tsconfigPaths: true },
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
