import { oneEach, type Reading } from "../measure/reading";
import { falseDiscovery } from "../statistics/false-discovery";
import { differing, pooledDof, verdictOf, verdicts, type Difference, type Verdict } from "../statistics/verdict";

/** A change before it is judged among the others. */
export type Unjudged = Difference & {
  id: string;
  first: Reading;
  second: Reading;
  /** The views that were brought together to this one. */
  parts?: readonly Unjudged[];
  /** Why it cannot be judged, however large it looks. */
  unjudged?: string;
};

/** How one metric changed between two moments, judged among all that was looked at. */
export type Change = Unjudged & {
  /** Share of false discoveries at which it would be one (q). 1 where nothing is judged. */
  q: number;
  verdict: Verdict;
  /** Towards or away from the middle of the usual range; undefined where nothing can be told, or inside it. */
  direction: "towards" | "away" | undefined;
};

/** How far a value lies outside the usual range; 0 inside. */
const outside = (reading: Reading): number => {
  const [low, high] = reading.usual;
  return Math.max(low - reading.value, reading.value - high, 0);
};

/**
 * How much two people who mark the same body disagree beyond what one of them varies, as a share of the marking error of
 * each (SD): assumed (common practice: between examiners errors are about a quarter larger than within one).
 */
const ownWay = 0.8;

/**
 * One metric at two moments, second minus first. What stays the same in one person (the depth of a landmark) shifts both
 * alike and is left out; how differently they stand from one time to the next is in it, and what two markers would see
 * differently. Throws RangeError for different metrics or methods.
 */
export function differ(first: Reading, second: Reading): Difference {
  if (first.id !== second.id)
    throw new RangeError(`only one metric of one side and view can be compared, got ${first.id} and ${second.id}`);
  if (first.method !== second.method)
    throw new RangeError(`only one method can be compared with itself, got ${first.method} and ${second.method}`);
  const others = first.marker !== null && second.marker !== null && first.marker !== second.marker;
  const disagree = others ? ownWay * Math.hypot(first.seMarking, second.seMarking) : 0;
  const errors = [first, second].map(({ seStanding: se, dof }) => ({ se, dof }));
  const se = Math.hypot(first.seStanding, second.seStanding, disagree);
  return differing(second.value - first.value, se, pooledDof([...errors, { se: disagree, dof: Infinity }]));
}

/** A difference that stands alone: nothing else was looked at. */
export const compare = (first: Reading, second: Reading): Change =>
  judged([{ id: first.id, first, second, ...differ(first, second) }])[0]!;

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

/**
 * Verdicts on everything that was looked at together. What cannot be judged (`unjudged`) counts among the others no more
 * than if it had not been looked at.
 */
export function judged(changes: readonly Unjudged[]): Change[] {
  const counted = changes.filter(({ unjudged }) => unjudged === undefined);
  const qs = falseDiscovery(counted.map(({ p }) => p));
  return changes.map((change) => {
    const at = counted.indexOf(change);
    const q = at < 0 ? 1 : qs[at]!;
    const verdict = at < 0 ? "cannot be told" : verdictOf(change.p, q);
    const nearer = outside(change.first) - outside(change.second);
    const direction = verdict === "cannot be told" || nearer === 0 ? undefined : nearer > 0 ? "towards" : "away";
    return { ...change, q, verdict, direction };
  });
}

/** Clear ones first, then possible ones, by how rare they would be; what cannot be judged last. */
export const byVerdict = (a: Change, b: Change): number =>
  verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) ||
  Number(a.unjudged !== undefined) - Number(b.unjudged !== undefined) ||
  a.p - b.p;

/** One change for each metric, where one is needed: by the method that tells the smallest, an eye grade last of all. */
export function oneChangeEach(changes: readonly Change[]): Change[] {
  const best = new Map<string, Change>();
  const finer = (a: Change, b: Change) => (a.first.unit === b.first.unit ? a.band < b.band : b.first.unit === "grade");
  for (const change of changes) {
    const there = best.get(change.id);
    if (!there || finer(change, there)) best.set(change.id, change);
  }
  return changes.filter((change) => best.get(change.id) === change);
}
