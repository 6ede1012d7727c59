import { readFileSync, writeFileSync } from "node:fs";
import loadHighs from "highs";
import { techniqueOf } from "../core/techniques/library";
import { catalogue } from "../core/techniques/catalogue";
import { usualStability } from "../core/series/draft";
import { differences, edited, weigh, type Edit } from "../core/series/edit";
import { orderSteps } from "../core/series/order";
import { minutesOf, type PlanInput, type PlannedSession, type Step } from "../core/series/plan";
import { prove } from "../core/series/prove";
import { violations } from "../core/series/rules";
import { solve } from "../core/series/solve";
import { seeded } from "../core/random";
import { planInstances } from "./plan-instances";
import { report } from "./report";

const boundsFile = "bench/results/plan-bounds.json";
const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
const timed = <T>(what: () => T): [T, number] => {
  const before = process.cpuUsage();
  const found = what();
  const { user, system } = process.cpuUsage(before);
  return [found, (user + system) / 1e6];
};

/** The tightest bound known of each instance: proven once by a long run (BOUND=600), kept beside the results. */
async function boundsOf(instances: [string, PlanInput][]): Promise<Record<string, number>> {
  const seconds = Number(process.env.BOUND ?? 0);
  const known = JSON.parse(readFileSync(boundsFile, "utf8")) as Record<string, number>;
  if (seconds === 0) return known;
  const highs = await loadHighs();
  for (const [name, input] of instances) {
    const proof = prove(highs, input, { seconds, seed: 1 });
    if (proof.kind !== "bound") throw new Error(`${name}: ${JSON.stringify(proof)}`);
    known[name] = proof.bound;
    console.log(name, proof.bound);
    writeFileSync(boundsFile, `${JSON.stringify(known, null, 2)}\n`);
  }
  return known;
}

const newSteps = (kept: readonly PlannedSession[], now: readonly PlannedSession[]) => {
  const had = new Set(kept.flatMap(({ steps }, s) => steps.map((step) => `${s} ${step.technique}`)));
  return now.flatMap(({ steps }, s) => steps.filter((step) => !had.has(`${s} ${step.technique}`))).length;
};

async function main() {
  const budgets = (process.env.SECONDS ?? "1,2,5,10").split(",").map(Number);
  const seeds = (process.env.SEEDS ?? "1,2,3,4,5").split(",").map(Number);
  const instances = planInstances();
  const bounds = await boundsOf(instances);
  const rows: string[] = [];
  const edits: string[] = [];
  for (const [name, input] of instances) {
    const bound = bounds[name]!;
    const first = median(seeds.map((seed) => timed(() => solve(input, { seed, moves: 0 }))[1]));
    // the second time: the first compiles what it runs
    const pace = [1, 2].map((seed) => timed(() => solve(input, { seed, moves: 20_000 }))[1]).at(-1)!;
    const shares = budgets.map((seconds) => {
      const moves = Math.round((20_000 * seconds) / pace);
      const runs = seeds.map((seed) => timed(() => solve(input, { seed, moves })!));
      for (const [plan] of runs) if (violations(input, plan.sessions).length > 0) throw new Error(`${name}: unlawful`);
      return `${((100 * median(runs.map(([plan]) => plan.score))) / bound).toFixed(1)} % (${median(runs.map(([, took]) => took)).toFixed(1)} s)`;
    });
    rows.push(`| ${name} | ${bound.toFixed(2)} | ${first.toFixed(2)} s | ${shares.join(" | ")} |`);
    console.log(rows.at(-1));

    // one step left out of the middle of the series, and the rest kept as far as it may
    const before = solve(input, { seed: 1, moves: Math.round((20_000 * 5) / pace) })!;
    const open = before.sessions.flatMap(({ steps }, session) =>
      session < input.done.length
        ? []
        : steps.filter((step) => techniqueOf(step.technique).phase === "work").map((step) => ({ session, step })),
    );
    const changed: number[] = [];
    const lost: number[] = [];
    const firsts: number[] = [];
    for (let i = 0; i < 5; i++) {
      const { session, step } = open[Math.floor(((i + 0.5) * open.length) / 5)]!;
      const edited: PlanInput = {
        ...input,
        locks: [...input.locks, { session, technique: step.technique, kind: "leave-out" }],
      };
      const stability = { kept: before.sessions, ...usualStability };
      firsts.push(timed(() => solve(edited, { seed: 1, moves: 0 }, undefined, stability))[1]);
      const again = solve(edited, { seed: 1, moves: Math.round((20_000 * 2) / pace) }, undefined, stability)!;
      changed.push(newSteps(before.sessions, again.sessions));
      lost.push((100 * again.score) / bound);
    }
    edits.push(
      `| ${name} | ${median(firsts).toFixed(2)} s | ${Math.max(...firsts).toFixed(2)} s | ${changed.join(", ")} | ${Math.min(...lost).toFixed(1)} % |`,
    );
    console.log(edits.at(-1));
  }
  report("plan", "Solving a series", [
    "Score as a share of the tightest bound that was proven of it (by the exact model, up to ten minutes), median of " +
      `${seeds.length} seeds; in brackets the CPU seconds of one core that the median took. Moves are set by the pace of this machine.`,
    "",
    `| series | bound, points | first plan | ${budgets.map((seconds) => `${seconds} s`).join(" | ")} |`,
    `| --- | --- | --- | ${budgets.map(() => "---").join(" | ")} |`,
    ...rows,
    "",
    "After one edit (a step left out), five different ones each, 2 s: new steps against the plan before, and the lowest share of the bound.",
    "",
    "| series | first plan, median | slowest | new steps | lowest |",
    "| --- | --- | --- | --- | --- |",
    ...edits,
    "",
    ...ordering(),
    "",
    ...feedback(),
  ]);
}

/** How long it takes to say what one change by hand costs and breaks: changes by chance to a solved plan. */
function feedback(): string[] {
  const random = seeded(7);
  const [, input] = planInstances()[0]!;
  const { sessions } = solve(input, { seed: 1, moves: 20_000 })!;
  const below = (count: number) => Math.floor(random.uniform() * count);
  const change = (): Edit => {
    const session = below(sessions.length);
    const { technique } = sessions[session]!.steps[below(sessions[session]!.steps.length)]!;
    const kinds: Edit[] = [
      { kind: "move", technique, from: session, to: below(sessions.length) },
      { kind: "time", technique, session, by: below(2) * 2 - 1 },
      { kind: "add", technique: catalogue[below(catalogue.length)]!.key, session },
      { kind: "remove", technique, session },
    ];
    return kinds[below(kinds.length)]!;
  };
  const took = Array.from({ length: 300 }, () => {
    const edit = change();
    const before = performance.now();
    const after = edited(input, sessions, edit);
    weigh(input, sessions, after);
    differences(sessions, after);
    return performance.now() - before;
  })
    .slice(50)
    .sort((a, b) => a - b);
  return [
    `Feedback on one change by hand to the example's plan (what it costs, which rules it breaks, what differs), ms: median ${median(took).toFixed(1)}, p95 ${took[Math.floor(0.95 * took.length)]!.toFixed(1)}, slowest ${took.at(-1)!.toFixed(1)}.`,
  ];
}

/** How long it takes to order a session, over sessions of plans made by chance. */
function ordering(): string[] {
  const random = seeded(5);
  const sessions = planInstances()
    .slice(0, 3)
    .flatMap(([, input]) => solve(input, { seed: 1 + Math.floor(random.uniform() * 100), moves: 3000 })!.sessions);
  const bySize = new Map<number, number[]>();
  for (const { steps } of sessions) {
    const loose = steps
      .map((step): Step => ({ ...step, position: null }))
      .filter((step) => minutesOf(step.minutes) > 0);
    const [, took] = timed(() => orderSteps(loose));
    bySize.set(steps.length, [...(bySize.get(steps.length) ?? []), took * 1000]);
  }
  return [
    "Ordering a session, by number of steps: median and slowest, ms.",
    "",
    "| steps | sessions | median | slowest |",
    "| --- | --- | --- | --- |",
    ...[...bySize]
      .sort((a, b) => a[0] - b[0])
      .map(
        ([size, took]) => `| ${size} | ${took.length} | ${median(took).toFixed(1)} | ${Math.max(...took).toFixed(1)} |`,
      ),
  ];
}
void main();
