import * as Comlink from "comlink";
import type { Stability } from "~core/series/draft";
import type { Plan, PlanInput } from "~core/series/plan";
import { solve, type Effort } from "~core/series/solve";
import { putInUse } from "~core/series/own-library";
import { thumbCurve, type CurvePoint } from "~core/series/thumb-curve";

/** Looks for a series away from the screen's thread. It blocks this thread: cancelling means ending the worker. */
const solver = {
  /** Tells the worker what the practice made of the library, before anything else. */
  shelve: putInUse,
  solve: (input: PlanInput, effort: Effort, improved: (plan: Plan, share: number) => void, stability?: Stability) =>
    solve(input, effort, improved, stability),
  curve: (input: PlanInput, told: (point: CurvePoint) => void) => thumbCurve(input, told),
};

export type SeriesWorker = typeof solver;
Comlink.expose(solver);
