import { existsSync, readFileSync, readdirSync, writeFileSync } from "node:fs";
import autocannon from "autocannon";
import { firstPage } from "./first-page";
import { quantile, report } from "./report";
import { cpuSeconds, familyOf, memory, ruben, signIn, withServer } from "./server";

/**
 * Pages under load, as shares of a peer: a route that finds the session, opens the practice's transaction and returns one
 * row. `LABEL="what was changed"` adds the run to the list of runs, which is kept; `SECONDS=4` for a short one.
 */
const seconds = Number(process.env.SECONDS ?? 8);
const runsFile = "bench/results/pages-runs.json";

type Row = { name: string; rps: number; p50: number; p95: number; node: number; postgres: number };
type Run = {
  label: string;
  rows: Row[];
  memory: { idle: number; load: number[] };
  script: [kB: number, files: number];
};

const home = `/clients/${ruben}`;
const nav = (path: string) => `${path}.data`;
const asked: [string, string][] = [
  ["peer", `/bench/peer/${ruben}`],
  ["sign-in, page", "/sign-in"],
  ["today, page", "/"],
  ["clients, page", "/clients"],
  ["overview, page", home],
  ["path, page", `${home}/path`],
  ["stand, page", `${home}/assess/stand`],
  ["clients, navigation", nav("/clients")],
  ["overview, navigation", nav(home)],
  ["path, navigation", nav(`${home}/path`)],
  ["stand, navigation", nav(`${home}/assess/stand`)],
];

const ms = (value: number) => value.toFixed(value < 10 ? 1 : 0);

async function main() {
  const label = process.env.LABEL;
  await withServer(async (base, pid, startedMs) => {
    const cookie = await signIn(base);
    const idle = memory(pid).now;
    const load = async (path: string, duration: number) => {
      const headers: Record<string, string> = path === "/sign-in" ? {} : { cookie };
      const times: number[] = [];
      const result = await new Promise<autocannon.Result>((resolve, reject) => {
        const asking = autocannon(
          { url: `${base}${path}`, connections: 10, duration, headers },
          (failed: Error | null, result) => (failed ? reject(failed) : resolve(result)),
        );
        asking.on("response", (_client, _status, _bytes, took) => times.push(took));
      });
      if (result.non2xx > 0 || result.errors > 0)
        throw new Error(`${path}: ${result.non2xx} answers were not 2xx, ${result.errors} failed`);
      return { ...result, p95: Math.round(quantile(times, 0.95)!) };
    };
    const rows: Row[] = [];
    for (const [name, path] of asked) {
      await load(path, Math.max(1, seconds / 3));
      const before = [cpuSeconds([pid]), cpuSeconds(familyOf("postgres"))] as const;
      const result = await load(path, seconds);
      const each = (now: number, then: number) => (1000 * (now - then)) / result.requests.total;
      rows.push({
        name,
        rps: result.requests.average,
        p50: result.latency.p50,
        p95: result.p95,
        node: each(cpuSeconds([pid]), before[0]),
        postgres: each(cpuSeconds(familyOf("postgres")), before[1]),
      });
      console.log(name, Math.round(rows.at(-1)!.rps));
    }
    const rounds: number[] = [];
    for (let round = 0; round < (label ? 1 : 3); round++) {
      for (const path of ["/", home, `${home}/path`, `${home}/assess/stand`]) await load(path, seconds / 2);
      await fetch(`${base}/bench/loop?collect=1`);
      rounds.push(memory(pid).now);
    }
    const script = firstPage(await (await fetch(`${base}/sign-in`)).text());
    const run: Run = {
      label: label ?? "as it is",
      rows,
      memory: { idle, load: rounds },
      script: [script.kB, script.files],
    };
    const runs: Run[] = existsSync(runsFile) ? (JSON.parse(readFileSync(runsFile, "utf8")) as Run[]) : [];
    if (label) writeFileSync(runsFile, `${JSON.stringify([...runs, run])}\n`);
    report("pages", "Pages and memory", told(run, label ? [...runs, run] : runs, startedMs));
  });
}

/** What the budgets are (`docs/decisions/pace.md`), and how far a run is from them. */
function told(run: Run, runs: readonly Run[], startedMs: number): string[] {
  const rate = (name: string, of = run) => of.rows.find((row) => row.name === name)?.rps ?? NaN;
  const peer = rate("peer");
  const least = (name: string) => (name.endsWith("navigation") ? 1 / 3 : name.endsWith("page") ? 1 / 10 : 0);
  const keeps = (row: Row) =>
    row.name === "peer" || row.name.startsWith("sign-in") ? "" : row.rps >= least(row.name) * peer ? "yes" : "no";
  const yes = (kept: boolean) => (kept ? "kept" : "**missed**");
  const [kB, files] = run.script;
  const slowest = Math.max(...run.rows.map(({ p95 }) => p95));
  const rounds = run.memory.load;
  return [
    `Server ready, migrated and with demo data after ${(startedMs / 1000).toFixed(1)} s. One process, 10 connections, ${seconds} s each.`,
    "",
    "| | requests/s | of the peer | p50, ms | p95, ms | CPU ms in Node | in PostgreSQL | within its budget |",
    "| --- | --- | --- | --- | --- | --- | --- | --- |",
    ...run.rows.map(
      (row) =>
        `| ${row.name} | ${Math.round(row.rps)} | ${(row.rps / peer).toFixed(3)} | ${row.p50} | ${row.p95} | ${ms(row.node)} | ${ms(row.postgres)} | ${keeps(row)} |`,
    ),
    "",
    "Budgets: a navigation ≥ ⅓ of the peer, a page ≥ ¹⁄₁₀.",
    `Stand's page: ${(rate("stand, page") / rate("overview, page")).toFixed(2)} of overview's (≥ 0.5): ${yes(rate("stand, page") >= 0.5 * rate("overview, page"))}.`,
    `Slowest p95 of any page under load: ${slowest} ms (≤ 250): ${yes(slowest <= 250)}.`,
    `Memory, MB resident: ${Math.round(run.memory.idle)} idle; after rounds of load ${rounds.map(Math.round).join(", ")} (≤ 300, flat): ${yes(Math.max(...rounds) <= 300)}.`,
    `The first page's JavaScript: ${kB} kB gzip in ${files} files (≤ 160 in ≤ 12): ${yes(kB <= 160 && files <= 12)}; all client files: ${readdirSync("build/client/assets").filter((name) => name.endsWith(".js")).length}.`,
    "",
    "## Remedy by remedy",
    "",
    "Each a run of its own, short, in the order they were made: requests/s (share of that run's peer; CPU ms in Node).",
    "",
    `| after | peer | ${shown.join(" | ")} | MB after load | kB of JavaScript |`,
    `| --- | --- | ${shown.map(() => "---").join(" | ")} | --- | --- |`,
    ...runs.map((each) => {
      const cells = shown.map((name) => {
        const row = each.rows.find((known) => known.name === name);
        return row ? `${Math.round(row.rps)} (${(row.rps / rate("peer", each)).toFixed(3)}; ${ms(row.node)})` : "";
      });
      return `| ${each.label} | ${Math.round(rate("peer", each))} | ${cells.join(" | ")} | ${Math.round(each.memory.load.at(-1)!)} | ${each.script[0]} in ${each.script[1]} |`;
    }),
  ];
}

const shown = [
  "overview, page",
  "path, page",
  "stand, page",
  "clients, page",
  "overview, navigation",
  "stand, navigation",
];

void main();
