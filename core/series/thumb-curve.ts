import type { PlanInput } from "./plan";
import { strain } from "./score";
import { solve, type Effort } from "./solve";

/** A plan's points at a budget for the thumbs (load × minutes a session), and the most that any of its sessions to come takes. */
export type CurvePoint = { budget: number; score: number; most: number };

/** Shares that are tried of what the thumbs take where only the budget holds them: half the load is always among them. */
export const curveShares = [0, 0.25, 0.5, 0.75] as const;
/** Enough to see what a budget costs: the kept plan is solved with more. */
const curveEffort: Effort = { seed: 1, moves: 25_000 };

/**
 * What sparing the thumbs costs in points: the series solved at its budget, and at ever smaller ones below what its hardest session
 * takes of it. A smaller budget never allows more, so a point never lies above one of a larger budget: the better plan of a
 * smaller one is taken for both. A budget without a plan is left out. `told` hears each point, the smallest budget first. Blocks
 * its thread: call it in a worker.
 */
export function thumbCurve(
  input: PlanInput,
  told: (point: CurvePoint) => void = () => undefined,
  effort: Effort = curveEffort,
): CurvePoint[] {
  const at = (budget: number): CurvePoint | undefined => {
    const plan = solve({ ...input, thumbBudget: budget }, effort);
    if (!plan) return undefined;
    const most = Math.max(0, ...plan.sessions.slice(input.done.length).map((session) => strain(session, "thumb")));
    return { budget, score: plan.score, most: Math.round(most) };
  };
  const whole = at(input.thumbBudget);
  const budgets = new Set(curveShares.map((share) => Math.round(share * (whole?.most ?? input.thumbBudget))));
  budgets.delete(input.thumbBudget);
  const points: CurvePoint[] = [];
  for (const found of [...[...budgets].map((budget) => () => at(budget)), () => whole]) {
    const point = found();
    if (!point) continue;
    const before = points.at(-1);
    points.push(before && before.score > point.score ? { ...before, budget: point.budget } : point);
    told(points.at(-1)!);
  }
  return points.reverse();
}
