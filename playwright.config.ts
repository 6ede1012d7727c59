import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: "e2e",
  outputDir: ".data/test-results",
  // a gate says nothing about speed (that is npm run bench): a busy machine must not fail it
  timeout: 300_000,
  expect: { timeout: 40_000 },
  retries: 1,
  workers: 2,
  fullyParallel: false,
  reporter: [["line"], ["json"]],
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--disable-quic",
        "--no-first-run",
      ],
    },
  },
});
