import { oneEach, type Reading } from "../measure/reading";
import { smallestRealChange } from "../statistics/mdc";

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
  const [low, high] = reading.usual;
  return Math.max(low - reading.value, reading.value - high, 0);
};

/**
 * Compares one metric at two moments. What stays the same in one person (the depth of a landmark) shifts both values
 * alike and is left out of the error of the difference. The verdict is real when the difference exceeds it at 95 %.
 */
export function compare(first: Reading, second: Reading): Change {
  if (first.id !== second.id)
    throw new RangeError(`only one metric of one side and view can be compared, got ${first.id} and ${second.id}`);
  if (first.method !== second.method)
    throw new RangeError(`only one method can be compared with itself, got ${first.method} and ${second.method}`);
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

/** Every metric that was taken by the same method at both moments, real ones first, then by how clearly they changed. */
export function compareMoments(first: readonly Reading[], second: readonly Reading[]): Change[] {
  return first
    .flatMap((reading) => {
      const later = sameIn(second, reading);
      return later ? [compare(reading, later)] : [];
    })
    .sort(
      (a, b) =>
        Number(b.verdict === "real") - Number(a.verdict === "real") ||
        Math.abs(b.difference) / b.smallestReal - Math.abs(a.difference) / a.smallestReal,
    );
}

/** The reading of the same metric, side, view and method. */
export const sameIn = (readings: readonly Reading[], { id, method }: Reading): Reading | undefined =>
  readings.find((other) => other.id === id && other.method === method);

/** Metrics taken at both moments, but never by the same method: they say nothing about a change. */
export function incomparable(first: readonly Reading[], second: readonly Reading[]): [Reading, Reading][] {
  return oneEach(first).flatMap((reading): [Reading, Reading][] => {
    const later = oneEach(second.filter((other) => other.id === reading.id))[0];
    const common = first.some((each) => each.id === reading.id && sameIn(second, each));
    return later && !common ? [[reading, later]] : [];
  });
}

/** One change for each metric, where one is needed: by the method that tells the smallest, an eye grade last of all. */
export function oneChangeEach(changes: readonly Change[]): Change[] {
  const best = new Map<string, Change>();
  const finer = (a: Change, b: Change) =>
    a.first.unit === b.first.unit ? a.smallestReal < b.smallestReal : b.first.unit === "grade";
  for (const change of changes) {
    const there = best.get(change.id);
    if (!there || finer(change, there)) best.set(change.id, change);
  }
  return changes.filter((change) => best.get(change.id) === change);
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
