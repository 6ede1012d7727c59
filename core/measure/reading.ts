import type { Side, Unit } from "../units";
import type { Basis } from "./own-figures";
import type { Metric } from "./metrics";
import type { MethodKey } from "./methods";
import type { Measured } from "./propagate";
import type { View } from "./view";

/** One metric of one side, taken once by one method: value, error, and what both rest on. */
export type Reading = Measured & {
  metric: Metric;
  side: Side | undefined;
  /** Metric, side and view; with `method`, what may be compared with itself at another moment. */
  id: string;
  method: MethodKey;
  unit: Unit;
  /** Usual range in `unit`. */
  usual: readonly [number, number];
  basis: Basis;
  /**
   * Standard error by which two standings of one person differ from what is usual for them: `seRepeat` and how
   * differently they stand from one time to the next. What counts wherever two standings are compared.
   */
  seStanding: number;
  /** What the standing part of it rests on. */
  stance: StanceBasis;
  /** Degrees of freedom of `seStanding`: the study's and the model's. */
  dof: number;
  /** Whoever placed the marks; null for nobody in particular. */
  marker: string | null;
  /** How much of `seStanding` is the marking (SD): what another pair of eyes would do otherwise. */
  seMarking: number;
  /** Every mark it rests on was taken over from an earlier picture and left where it was put. */
  copied?: true;
  /** Taken from dots that were worn: finding the points is the same in every standing of that moment. */
  dotted?: true;
  /** How many standings it is the mean of. */
  standings: number;
};

/** How differently somebody stands from one time to the next: assumed, or found by a standing study. */
export type StanceBasis = { kind: "assumed" } | { kind: "study"; dof: number };

/**
 * Standard error of a value as a statement about how somebody usually stands: all of its own error and one standing's.
 */
export const seUsual = ({ se, seRepeat, seStanding }: Reading): number =>
  Math.sqrt(seStanding ** 2 + Math.max(0, se ** 2 - seRepeat ** 2));

/** One metric of one side in one view, whatever the method: "knee-line.R.front". */
export const readingId = (metric: Metric, side: Side | undefined, view: View): string =>
  [metric.key, side, view].filter(Boolean).join(".");

/**
 * One reading for each metric: the most precise in the metric's own unit, an eye grade only where nothing else was
 * taken. For decisions that need one number; methods are never averaged.
 */
export function oneEach(readings: readonly Reading[]): Reading[] {
  const best = new Map<string, Reading>();
  const better = (a: Reading, b: Reading) =>
    a.unit === b.unit ? a.se < b.se : a.unit !== "grade" && b.unit === "grade";
  for (const reading of readings) {
    const there = best.get(reading.id);
    if (!there || better(reading, there)) best.set(reading.id, reading);
  }
  return [...best.values()];
}
