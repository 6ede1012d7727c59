import * as Comlink from "comlink";
import loadHighs from "highs";
import wasmUrl from "highs/runtime?url";
import type { Plan, PlanInput } from "~core/series/plan";
import { solve, type Limits } from "~core/series/solve";

/** Solves a series away from the screen's thread. It blocks this thread: cancelling means ending the worker. */
const solver = {
  async solve(input: PlanInput, limits: Limits, improved: (plan: Plan) => void) {
    const highs = await loadHighs({ locateFile: () => wasmUrl });
    return solve(highs, input, () => performance.now(), limits, improved);
  },
};

export type SeriesWorker = typeof solver;
Comlink.expose(solver);
