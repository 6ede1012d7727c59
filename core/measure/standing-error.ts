import type { Unit } from "../units";
import { leastPairs, modelDof, pooledRatio, type Ratio } from "../statistics/pooled-ratio";
import type { MetricKey } from "./metrics";
import type { ErrorPart } from "./propagate";
import type { StanceBasis } from "./reading";
import { stanceOf } from "./stance";

/** What differs from one standing to the next before one camera; how it was set up, and how deep a point lies, stays. */
export const differs = ({ cause }: ErrorPart): boolean =>
  cause === "placing" || cause === "plumb" || cause === "stick" || cause === "turn" || cause === "method";

export type StandingError = { seStanding: number; stance: StanceBasis; dof: number };

/**
 * Standard error of one standing as a statement about how somebody usually stands, without what stays the same in one
 * person: `seRepeat` and how differently they stand. What differs from one standing to the next (finding the points, turning,
 * standing) is assumed, or the marker's own by a standing study: a ratio, pooled with what is assumed by degrees of freedom.
 * What is assumed is no exact knowledge: it counts for as many degrees of freedom as in every pooling, so that bands follow
 * Student's t, whose tails are those of people.
 */
export function standingError(
  { seRepeat, parts }: { seRepeat: number; parts: readonly ErrorPart[] },
  metric: MetricKey,
  unit: Unit,
  study?: Ratio,
): StandingError {
  const own = parts.filter(differs).reduce((sum, { variance }) => sum + variance, 0);
  const stays = Math.max(0, seRepeat ** 2 - own);
  const expected = own + stanceOf(metric, unit) ** 2;
  const seStanding = Math.sqrt(pooledRatio(study) ** 2 * expected + stays);
  return study && study.dof >= leastPairs
    ? { seStanding, stance: { kind: "study", dof: study.dof }, dof: study.dof + modelDof }
    : { seStanding, stance: { kind: "assumed" }, dof: modelDof };
}
