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
};

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
