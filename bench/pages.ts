import { existsSync, readFileSync, readdirSync, writeFileSync } from "node:fs";
import autocannon from "autocannon";
import { firstPage } from "./first-page";
import { quantile, report } from "./report";
import { cpuSeconds, familyOf, memory, ruben, signIn, withServer } from "./server";

/**
 * Pages under load, measured against a peer: a route that finds the session, opens the practice's transaction and returns one
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

/** What an answer may cost: CPU of Node and PostgreSQL together, in peers (`docs/decisions/pace.md`). */
const mostPeers = (name: string): number | undefined =>
  name.endsWith("navigation") ? 3 : /^(path|stand), page$/.test(name) ? 16 : name.endsWith("page") ? 10 : undefined;

/** A run, and how far it is from the budgets. */
function told(run: Run, runs: readonly Run[], startedMs: number): string[] {
  const cost = (row: Row) => row.node + row.postgres;
  const peersOf = (of: Run, row: Row) => cost(row) / cost(of.rows.find(({ name }) => name === "peer")!);
  const keeps = (row: Row) => {
    const most = mostPeers(row.name);
    return most === undefined ? "" : `${peersOf(run, row) <= most ? "yes" : "**no**"}, ≤ ${most}`;
  };
  const yes = (kept: boolean) => (kept ? "kept" : "**missed**");
  const [kB, files] = run.script;
  const slowest = Math.max(...run.rows.map(({ p95 }) => p95));
  const rounds = run.memory.load;
  return [
    `Server ready, migrated and with demo data after ${(startedMs / 1000).toFixed(1)} s. One process, 10 connections, ${seconds} s each.`,
    "",
    "| | requests/s | p50, ms | p95, ms | CPU ms in Node | in PostgreSQL | in peers | within its budget |",
    "| --- | --- | --- | --- | --- | --- | --- | --- |",
    ...run.rows.map(
      (row) =>
        `| ${row.name} | ${Math.round(row.rps)} | ${row.p50} | ${row.p95} | ${ms(row.node)} | ${ms(row.postgres)} | ${peersOf(run, row).toFixed(1)} | ${keeps(row)} |`,
    ),
    "",
    `Slowest p95 of any page under load: ${slowest} ms (≤ 500): ${yes(slowest <= 500)}.`,
    `Memory, MB resident: ${Math.round(run.memory.idle)} idle; after rounds of load ${rounds.map(Math.round).join(", ")} (≤ 350, flat): ${yes(Math.max(...rounds) <= 350)}.`,
    `The first page's JavaScript: ${kB} kB gzip in ${files} files (≤ 180 in ≤ 12): ${yes(kB <= 180 && files <= 12)}; all client files: ${readdirSync("build/client/assets").filter((name) => name.endsWith(".js")).length}.`,
    ...(runs.length > 1
      ? [
          "",
          "## Runs that were kept",
          "",
          "CPU ms of an answer, and in peers.",
          "",
          `| after | ${shown.join(" | ")} | MB after load | kB of JavaScript |`,
          `| --- | ${shown.map(() => "---").join(" | ")} | --- | --- |`,
          ...runs.map((each) => {
            const cells = shown.map((name) => {
              const row = each.rows.find((known) => known.name === name);
              return row ? `${ms(cost(row))} (${peersOf(each, row).toFixed(1)})` : "";
            });
            return `| ${each.label} | ${cells.join(" | ")} | ${Math.round(each.memory.load.at(-1)!)} | ${each.script[0]} in ${each.script[1]} |`;
          }),
        ]
      : []),
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
