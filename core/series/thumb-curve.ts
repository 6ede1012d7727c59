import type { PlanInput } from "./plan";
import { strain } from "./score";
import { solve, type Effort } from "./solve";

/** A plan's points at a budget for the thumbs (load × minutes a session), and the most that any of its sessions to come takes. */
export type CurvePoint = { budget: number; score: number; most: number };

/** Shares of the usual budget that are tried, the whole of it first. */
export const curveShares = [1, 0.75, 0.5, 0.25, 0] as const;
/** Enough to see what a budget costs: the kept plan is solved with more. */
const curveEffort: Effort = { seed: 1, moves: 25_000 };

/**
 * What sparing the thumbs costs in points: the series solved at ever smaller budgets. A smaller budget never allows more, so a
 * point never lies above one of a larger budget: the better plan of a smaller one is taken for both. A budget without a plan is
 * left out. Blocks its thread: call it in a worker.
 */
export function thumbCurve(
  input: PlanInput,
  told: (point: CurvePoint) => void = () => undefined,
  effort: Effort = curveEffort,
): CurvePoint[] {
  const points: CurvePoint[] = [];
  for (const share of [...curveShares].reverse()) {
    const budget = Math.round(share * input.thumbBudget);
    if (points.some((point) => point.budget === budget)) continue;
    const plan = solve({ ...input, thumbBudget: budget }, effort);
    if (!plan) continue;
    const before = points.at(-1);
    const most = Math.max(0, ...plan.sessions.slice(input.done.length).map((session) => strain(session, "thumb")));
    const point =
      before && before.score > plan.score
        ? { ...before, budget }
        : { budget, score: plan.score, most: Math.round(most) };
    points.push(point);
    told(point);
  }
  return points.reverse();
}
