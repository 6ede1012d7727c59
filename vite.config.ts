import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";
import { copyPoseModel } from "./scripts/lib/pose-model.mjs";

const external = ["express", "highs", "knex", "pg", "pg-boss", "sharp", "@node-rs/argon2", "pino", "compression"];

const packages = (names: string) => new RegExp(`node_modules/(${names})/`);
/** What nearly every page needs comes in a few files: each file of its own is a question more before a page is there. */
const groups = [
  { name: "react", test: packages("react|react-dom|scheduler|react-router|cookie|set-cookie-parser"), priority: 9 },
  {
    name: "style",
    test: packages(
      "@emotion/[a-z-]+|stylis|@mui/(system|styled-engine|utils(?!/useRovingTabIndex)|private-theming)|clsx|react-is|prop-types",
    ),
    priority: 8,
  },
  {
    name: "base",
    test: /node_modules\/(@mui\/material\/(styles|utils|zero-styled|colors|transitions|CssBaseline|GlobalStyles|FormControl|FormLabel|InputLabel|InputBase|OutlinedInput|TextareaAutosize|InitColorSchemeScript|internal))\//,
    priority: 7,
  },
  {
    name: "first",
    test: /\/(app\/(root|ui\/(alert|when-needed|theme|notices|box|keep-typed|other-tabs|emotion|reload-for-unknown|mark))|core\/shelf)\.tsx?/,
    priority: 6,
  },
  { name: "menus", test: packages("@mui/(material|utils)"), priority: 5, minShareCount: 4 },
  { name: "body", test: /\/core\/(anatomy|techniques|consent|words)/, priority: 4, minShareCount: 2 },
  { name: "measure", test: /\/core\/(measure|statistics|change|findings)\//, priority: 4, minShareCount: 3 },
  { name: "plan", test: /\/core\/(series|screening|reading)\//, priority: 4, minShareCount: 3 },
  { name: "ui", test: /\/app\/ui\//, priority: 3, minShareCount: 6 },
];

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
    environments: {
      ssr: {
        build: {
          rollupOptions: {
            input: {
              index: "./app/server.ts",
              work: "./app/work.ts",
              "read-techniques": "./app/read-techniques.ts",
            },
          },
        },
      },
      client: { build: { rolldownOptions: { output: { codeSplitting: { groups } } } } },
    },
    optimizeDeps: {
      entries: ["app/entry.client.tsx", "app/root.tsx", "app/routes/**/*.tsx", "app/workers/*.ts"],
    },
  };
});
