import type { PlanInput, PlannedSession } from "../series/plan";
import { solve } from "../series/solve";

/** A lawful plan in a few milliseconds, far from the best; undefined when none was found. */
export function quickPlan(input: PlanInput): PlannedSession[] | undefined {
  const plan = solve(input, { seed: 1, moves: 2000 });
  return plan && [...plan.sessions];
}
