import type { Reading } from "../measure/read-photo";
import { smallestRealChange } from "../repeatability/mdc";

export type Verdict = "real" | "unclear";

/** How one metric changed between two moments. */
export type Change = {
  id: string;
  first: Reading;
  second: Reading;
  difference: number;
  /** Standard error of the difference, in the metric's unit. */
  se: number;
  /** Smallest difference that can be told from marking error (95 %). */
  smallestReal: number;
  verdict: Verdict;
  /** Towards or away from the middle of the usual range; undefined unless real and outside it. */
  direction: "towards" | "away" | undefined;
};

/** How far a value lies outside the usual range; 0 inside. */
const outside = (reading: Reading): number => {
  const [low, high] = reading.metric.usual;
  return Math.max(low - reading.value, reading.value - high, 0);
};

/**
 * Compares one metric at two moments. What stays the same in one person (the depth of a landmark) shifts both values
 * alike and is left out of the error of the difference. The verdict is real when the difference exceeds it at 95 %.
 */
export function compare(first: Reading, second: Reading): Change {
  if (first.id !== second.id)
    throw new RangeError(`only one metric of one side and view can be compared, got ${first.id} and ${second.id}`);
  const difference = second.value - first.value;
  const smallestReal = smallestRealChange(first.seRepeat, second.seRepeat);
  const verdict: Verdict = Math.abs(difference) > smallestReal ? "real" : "unclear";
  const nearer = outside(first) - outside(second);
  const direction = verdict === "unclear" || nearer === 0 ? undefined : nearer > 0 ? "towards" : "away";
  return {
    id: first.id,
    first,
    second,
    difference,
    se: Math.hypot(first.seRepeat, second.seRepeat),
    smallestReal,
    verdict,
    direction,
  };
}

/** Every metric that was measured at both moments, real ones first, then by how clearly they changed. */
export function compareMoments(first: readonly Reading[], second: readonly Reading[]): Change[] {
  return first
    .flatMap((reading) => {
      const later = second.find((other) => other.id === reading.id);
      return later ? [compare(reading, later)] : [];
    })
    .sort(
      (a, b) =>
        Number(b.verdict === "real") - Number(a.verdict === "real") ||
        Math.abs(b.difference) / b.smallestReal - Math.abs(a.difference) / a.smallestReal,
    );
}

/**
 * How much of a visit's change was still there at the next one: carry-over ÷ within-visit change. Undefined when the
 * visit itself changed nothing real: a share of noise says nothing.
 */
export function kept(before: Reading, after: Reading, nextBefore: Reading): number | undefined {
  const within = compare(before, after);
  if (within.verdict === "unclear") return undefined;
  return (nextBefore.value - before.value) / within.difference;
}
