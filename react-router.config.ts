import type { Config } from "@react-router/dev/config";

export default {
  appDirectory: "app",
  ssr: true,
  // every route is known to the page from the start: nothing to ask for, and nothing to find, when a page is rendered
  routeDiscovery: { mode: "initial" },
  // two programs, index and work: see vite.config.ts
  serverBuildFile: "[name].js",
  future: {
    v8_middleware: true,
    v8_splitRouteModules: true,
    v8_viteEnvironmentApi: true,
    v8_passThroughRequests: true,
    v8_trailingSlashAwareDataRequests: true,
  },
} satisfies Config;
