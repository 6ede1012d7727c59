// npm test: every check, from an empty machine; ends with "N passed, N failed".
// `npm test -- unit` or `npm test -- browser` runs a part; `-- -t words` narrows both.
import { mkdtempSync, readFileSync, existsSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { bin, build, debianPackage, freePort, installPackages, isRoot, main, root, run, step } from "./lib/steps.mjs";
import { leftRunning, markChildren } from "./lib/left-running.mjs";
import { spawn } from "node:child_process";
import { chmodSync } from "node:fs";

main(async () => {
  const mark = markChildren();
  const asked = process.argv.slice(2).filter((word) => ["checks", "unit", "browser"].includes(word));
  const rest = process.argv.slice(2).filter((word) => !asked.includes(word));
  const wants = (part) => asked.length === 0 || asked.includes(part);
  let passed = 0;
  let failed = 0;
  const count = (good, bad) => {
    passed += good;
    failed += bad;
  };
  /** A check that counts as one test; its output is shown when it fails. */
  const check = async (name, work) => {
    const started = performance.now();
    const took = () => `${((performance.now() - started) / 1000).toFixed(1)} s`;
    try {
      await work();
      console.log(`  ${name} … ${took()}`);
      count(1, 0);
    } catch (error) {
      console.log(`  ${name} … failed after ${took()}\n${error.output ?? error.message}`);
      count(0, 1);
    }
  };

  await installPackages();
  const { Cluster, program } = await import("./lib/postgres.mjs");

  if (wants("checks")) {
    const node = (name, ...args) => run(process.execPath, [bin(name), ...args]);
    // two at a time, one for each core
    await Promise.all([
      check("types", async () => {
        await node("react-router", "typegen");
        await node("tsc");
      }),
      (async () => {
        await check("format", () => node("prettier", "--check", "--log-level", "warn", "."));
        await check("lint", () => node("eslint", "--max-warnings", "0", "."));
        await check("boundaries", () =>
          node("depcruise", "--config", ".dependency-cruiser.cjs", "core", "data", "devices", "kinds", "app"),
        );
      })(),
    ]);
  }

  const folder = mkdtempSync(join(tmpdir(), "ember-test-"));
  if (isRoot()) chmodSync(folder, 0o711);
  const cluster = new Cluster(folder, { durable: false });
  try {
    await step("throwaway PostgreSQL", async () => {
      await cluster.start();
      await cluster.database();
    });
    const urls = {
      super: cluster.url("super", "postgres"),
      owner: cluster.url("owner"),
      app: cluster.url("app"),
    };
    if (wants("unit")) {
      const report = join(folder, "jest.json");
      await step("unit and data tests", async () => {
        await run(
          process.execPath,
          [bin("jest"), "--maxWorkers=2", "--json", `--outputFile=${report}`, "--testLocationInResults", ...rest],
          { env: { EMBER_TEST_CLUSTER: JSON.stringify(urls), NODE_ENV: "test", LOG_LEVEL: "silent" } },
        ).catch((error) => {
          if (!existsSync(report)) throw error;
          console.log(error.output);
        });
        const result = JSON.parse(readFileSync(report, "utf8"));
        count(result.numPassedTests, result.numFailedTests + result.numRuntimeErrorTestSuites);
        return `${result.numPassedTests} passed, ${result.numFailedTests} failed`;
      });
    }
    if (wants("browser")) {
      await build();
      await step("browser", async () => {
        if (!program("/usr/bin/chromium")) await debianPackage("chromium", "Chromium");
        if (!program("/usr/sbin/haproxy", "/usr/bin/haproxy")) await debianPackage("haproxy", "haproxy");
        if (!program("/usr/bin/openssl")) await debianPackage("openssl", "openssl");
      });
      const port = await freePort();
      const env = {
        NODE_ENV: "production",
        APP_DATABASE_URL: urls.app,
        OWNER_DATABASE_URL: urls.owner,
        EMBER_DEMO: "1",
        LOG_LEVEL: "warn",
        PORT: String(port),
      };
      const server = spawn(process.execPath, ["scripts/serve.mjs"], {
        cwd: root,
        env: { ...process.env, ...env },
        stdio: ["ignore", "pipe", "inherit"],
      });
      try {
        await step("server with demo data", () => waitFor(`http://127.0.0.1:${port}/readyz`));
        const report = join(folder, "playwright.json");
        await step("browser journeys", async () => {
          await run(process.execPath, [bin("playwright"), "test", ...rest], {
            env: {
              ...env,
              BASE_URL: `http://127.0.0.1:${port}`,
              PLAYWRIGHT_JSON_OUTPUT_NAME: report,
              EMBER_TEST_CLUSTER: JSON.stringify(urls),
            },
          }).catch((error) => console.log(error.output));
          const { stats, suites } = JSON.parse(readFileSync(report, "utf8"));
          count(stats.expected + stats.flaky, stats.unexpected);
          const again = stats.flaky ? ` (at the second try: ${suites.flatMap(shaky).join("; ")})` : "";
          return `${stats.expected + stats.flaky} passed${again}, ${stats.unexpected} failed`;
        });
      } finally {
        const gone = new Promise((done) => server.once("exit", done));
        server.kill("SIGTERM");
        await gone;
      }
    }
  } finally {
    await cluster.stop();
    cluster.remove();
  }
  await check("nothing left running", async () => {
    const left = await leftRunning(mark);
    if (left.length > 0) throw new Error(`still there:\n${left.join("\n")}`);
  });
  console.log(`\n${passed} passed, ${failed} failed`);
  process.exit(failed > 0 ? 1 : 0);
});

/** Journeys of a report's suite that passed at the second try only. */
const shaky = ({ suites = [], specs = [] }) => [
  ...specs.filter(({ tests }) => tests.some(({ status }) => status === "flaky")).map(({ title }) => title),
  ...suites.flatMap(shaky),
];

async function waitFor(url) {
  for (let i = 0; i < 240; i++) {
    const answer = await fetch(url).catch(() => undefined);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`${url} did not answer within a minute`);
}
