import type { Moment } from "../findings/restriction";
import type { Side } from "../units";
import { metricsOf, sidesIn, type Metric } from "./metrics";
import { readingId, type Reading } from "./read-photo";
import { views, type View } from "./view";

/**
 * Ways to take a metric without a picture, each with the standard error of one careful measurement (in `unit`).
 * Common practice, from memory: replace them by your own once you know it.
 */
export const methods = [
  { key: "inclinometer", name: "Inclinometer", unit: "deg", se: 1.5 },
  { key: "goniometer", name: "Goniometer with a level", unit: "deg", se: 2.5 },
  { key: "plumb-line", name: "Plumb line and rule", unit: "mm", se: 6 },
  { key: "tape", name: "Tape against a wall", unit: "mm", se: 8 },
] as const satisfies readonly { key: string; name: string; unit: Metric["unit"]; se: number }[];

export type MethodKey = (typeof methods)[number]["key"];
export const methodsFor = (metric: Metric) => methods.filter((method) => method.unit === metric.unit);

/** One metric as it was measured by hand. `readingId` is that of the same metric in a picture. */
export type HandMeasurement = { ordinal: number; moment: Moment; readingId: string; method: MethodKey; value: number };

/** A metric with the side and view it can be measured for. */
export type Measurable = { id: string; metric: Metric; side: Side | undefined; view: View };

/** Everything that can be measured by hand, in the order of the catalogue: what a picture of each view would give. */
export const measurable: readonly Measurable[] = views.flatMap((view) =>
  metricsOf(view).flatMap((metric) =>
    sidesIn(metric, view).map((side) => ({ id: readingId(metric, side, view), metric, side, view })),
  ),
);

/** Plausible limits of a value (deg or mm): beyond them it is a slip of the pen. */
export const handLimits = { deg: [-60, 120], mm: [-400, 400] } as const;

/** A hand measurement as a reading like any other; undefined when its metric or method is not known. */
export function readByHand({ readingId: id, method: key, value }: HandMeasurement): Reading | undefined {
  const found = measurable.find((each) => each.id === id);
  const method = methods.find((each) => each.key === key);
  if (!found || !method || method.unit !== found.metric.unit) return undefined;
  return {
    id,
    metric: found.metric,
    side: found.side,
    value,
    se: method.se,
    // nothing of a careful measurement's error is known to stay the same from time to time
    seRepeat: method.se,
    parts: [{ cause: "method", variance: method.se ** 2 }],
  };
}
