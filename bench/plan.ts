import loadHighs from "highs";
import { exampleInput } from "../core/test/plan-inputs";
import { greedyPlan } from "../core/series/greedy";
import { formulate } from "../core/series/formulate";
import { scoreOf } from "../core/series/score";
import { solve } from "../core/series/solve";
import { report } from "./report";

async function main() {
  const budgets = (process.env.SECONDS ?? "2,5,10,20").split(",").map(Number);
  const seeds = (process.env.SEEDS ?? "1,2,3").split(",").map(Number);
  const highs = await loadHighs();
  const { model } = formulate(exampleInput);
  const started = performance.now();
  const greedy = scoreOf(exampleInput, greedyPlan(exampleInput)!);
  const greedyMs = performance.now() - started;
  const results: {
    seconds: number;
    seed: number;
    first: number;
    score: number;
    bound: number | undefined;
    took: number;
  }[] = [];
  for (const seconds of budgets)
    for (const seed of seeds) {
      const begin = performance.now();
      let first = Number.NaN;
      const solved = solve(
        highs,
        exampleInput,
        () => performance.now(),
        { seconds, gap: 0.005, seed },
        () => {
          if (Number.isNaN(first)) first = performance.now() - begin;
        },
      );
      if (solved.kind !== "plan") throw new Error("no plan");
      results.push({
        seconds,
        seed,
        first,
        score: solved.plan.score,
        bound: solved.plan.bound,
        took: performance.now() - begin,
      });
    }
  const best = Math.min(...results.map((result) => result.bound ?? Infinity));
  report("plan", "Solving ten sessions", [
    `${model.cost.length} columns, ${model.integer.filter(Boolean).length} of them 0/1; ${model.rows.length} rows. Best known bound ${best.toFixed(2)} points (the lowest any run proved).`,
    `Heuristic start alone: ${greedy.toFixed(2)} points (${((100 * greedy) / best).toFixed(1)} %) in ${(greedyMs / 1000).toFixed(2)} s.`,
    "",
    "| time given | seed | first usable plan | score | of the best known bound | took |",
    "| --- | --- | --- | --- | --- | --- |",
    ...results.map(
      (r) =>
        `| ${r.seconds} s | ${r.seed} | ${(r.first / 1000).toFixed(2)} s | ${r.score.toFixed(2)} | ${((100 * r.score) / best).toFixed(1)} % | ${(r.took / 1000).toFixed(1)} s |`,
    ),
  ]);
}
void main();
