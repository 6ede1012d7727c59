import type { Moment } from "../findings/restriction";
import type { Side } from "../units";
import { handMethods, methodsFor, type HandMethodKey } from "./methods";
import { metricsOf, sidesIn, type Metric } from "./metrics";
import { figureKey, type OwnFigures } from "./own-figures";
import type { ErrorPart } from "./propagate";
import { readingId, type Reading } from "./reading";
import { standingError } from "./standing-error";
import { views, type View } from "./view";

/** One metric as it was measured by hand. `readingId` is that of the same metric in a picture. */
export type HandMeasurement = {
  ordinal: number;
  moment: Moment;
  readingId: string;
  method: HandMethodKey;
  value: number;
  /** Which of several standings of that moment, from 1 on. */
  standing?: number;
  /** Practitioner who took it; null where that was not kept. */
  measuredBy?: string | null;
};

/** A metric with the side and view it can be measured for. */
export type Measurable = { id: string; metric: Metric; side: Side | undefined; view: View };

/** Everything that can be measured by hand, in the order of the catalogue: what a picture of each view would give. */
export const measurable: readonly Measurable[] = views.flatMap((view) =>
  metricsOf(view)
    .filter((metric) => methodsFor(metric).length > 0)
    .flatMap((metric) =>
      sidesIn(metric, view).map((side) => ({ id: readingId(metric, side, view), metric, side, view })),
    ),
);

/**
 * A hand measurement as a reading like any other; undefined when its metric or method is not known. `own` are the figures
 * of whoever took it: from their standing study by the same method.
 */
export function readByHand(
  { readingId: id, method: key, value, measuredBy }: HandMeasurement,
  own?: OwnFigures,
): Reading | undefined {
  const found = measurable.find((each) => each.id === id);
  const method = handMethods.find((each) => each.key === key);
  if (!found || !method || !methodsFor(found.metric).includes(method)) return undefined;
  const parts: ErrorPart[] = [{ cause: "method", variance: method.se ** 2 }];
  return {
    id,
    metric: found.metric,
    side: found.side,
    method: method.key,
    unit: method.unit,
    usual: method.unit === "grade" ? [-0.5, 0.5] : found.metric.usual,
    value,
    se: method.se,
    // nothing of a careful measurement's error is known to stay the same from time to time
    seRepeat: method.se,
    parts,
    basis: { kind: "model" },
    ...standingError(
      { seRepeat: method.se, parts },
      found.metric.key,
      method.unit,
      own?.standing?.[figureKey(found.metric.key, found.view, method.key)],
    ),
    marker: measuredBy ?? null,
    seMarking: method.se,
    standings: 1,
  };
}
