import type { Metric } from "../measure/metrics";
import type { Reading } from "../measure/reading";

/** A reading for tests: one number with its error, taken from a picture unless said otherwise. */
export const testReading = (metric: Metric, value: number, change: Partial<Reading> = {}): Reading => ({
  metric,
  side: undefined,
  id: metric.key,
  method: "photo",
  unit: metric.unit,
  usual: metric.usual,
  value,
  se: 1,
  seRepeat: change.se ?? 1,
  parts: [],
  basis: { kind: "model" },
  seStanding: change.seRepeat ?? change.se ?? 1,
  stance: { kind: "assumed" },
  dof: Infinity,
  marker: null,
  seMarking: change.se ?? 1,
  standings: 1,
  ...change,
});
