import type { Moment } from "../findings/restriction";
import { falseDiscovery } from "../statistics/false-discovery";
import { differing, pooledDof, verdictOf, type Difference, type Verdict } from "../statistics/verdict";
import type { Side } from "../units";
import { endFeels, isMovement, movementOf, type EndFeel, type Movement } from "./movements";

/** By themselves, or moved by the practitioner. Kept and compared apart. */
export const drives = ["active", "passive"] as const;
export type Drive = (typeof drives)[number];

/** One range as it was taken: its repeats in a row, and how it ended. */
export type Taken = {
  moment: Moment;
  movement: string;
  side: Side | null;
  drive: Drive;
  values: readonly number[];
  endFeel: EndFeel | null;
  /** 0–10; null: not asked. */
  pain: number | null;
};
/** As it was pressed; no values take it back. */
export type RangeEvent = { id: string; at: string; kind: "range"; body: Taken };

export const mostRepeats = 10;

/** Why something is no range: field, rule and value; undefined when it is one. */
export function rangeFault({
  movement: key,
  side,
  values,
  pain,
  endFeel,
}: Omit<Taken, "moment" | "drive">): string | undefined {
  if (!isMovement(key)) return `Movement: “${key}” is not measured here.`;
  const movement = movementOf(key);
  const { name } = movement;
  if (movement.sided !== (side !== null))
    return `Side of ${name.toLowerCase()}: ${movement.sided ? "left or right" : "none is taken"}.`;
  if (values.length > mostRepeats) return `${name}: at most ${mostRepeats} repeats, got ${values.length}.`;
  const [low, high] = movement.limits;
  const slip = values.find((value) => !Number.isFinite(value) || value < low || value > high);
  if (slip !== undefined) return `${name}: from ${low} to ${high}, got ${slip}.`;
  if (pain !== null && !(Number.isInteger(pain) && pain >= 0 && pain <= 10))
    return `Pain: whole numbers from 0 to 10, got ${pain}.`;
  if (endFeel !== null && !endFeels.includes(endFeel)) return `End-feel: “${String(endFeel)}” is not one of the words.`;
  return undefined;
}

/** What one press of a range stands in the place of. */
export const rangeSlot = ({ moment, movement, side, drive }: Omit<Taken, "values" | "endFeel" | "pain">) =>
  [moment, movement, side, drive].join(" ");

/** What stands after everything that was pressed. */
export function rangesAfter(events: readonly (RangeEvent | { kind: string })[]): Taken[] {
  const latest = new Map<string, Taken>();
  for (const { body } of events.filter((event): event is RangeEvent => event.kind === "range"))
    if (body.values.length === 0) latest.delete(rangeSlot(body));
    else latest.set(rangeSlot(body), body);
  return [...latest.values()];
}

/** A range with its error: the mean of its repeats. */
export type Range = { movement: Movement; taken: Taken; value: number; se: number; dof: number };

/** Degrees of freedom that the published error of one measurement is taken to rest on (assumed). */
export const modelDof = 20;

/**
 * The mean of repeats in a row and its standard error. The error of one measurement is the model's, pooled by degrees of
 * freedom with what these repeats differ by: few of them change it little.
 */
export function rangeOf(taken: Taken): Range {
  const movement = movementOf(taken.movement);
  const { values } = taken;
  const n = values.length;
  const value = values.reduce((sum, each) => sum + each, 0) / n;
  const squares = values.reduce((sum, each) => sum + (each - value) ** 2, 0);
  const dof = modelDof + n - 1;
  return { movement, taken, value, se: Math.sqrt((modelDof * movement.se ** 2 + squares) / dof / n), dof };
}

const differenceOf = (first: Range, second: Range): Difference =>
  differing(second.value - first.value, Math.hypot(first.se, second.se), pooledDof([first, second]));

/** What a difference is called where many are looked at. */
export type Judged = Difference & { verdict: Verdict };
const judged = (list: readonly Difference[]): Judged[] => {
  const q = falseDiscovery(list.map(({ p }) => p));
  return list.map((each, i) => ({ ...each, verdict: verdictOf(each.p, q[i]!) }));
};

/** Left less right of every movement taken on both sides, judged together; positive: the left goes further. */
export function asymmetries(ranges: readonly Range[]): (Judged & { left: Range; right: Range })[] {
  const pairs = ranges.flatMap((left) => {
    const { movement, side, drive, moment } = left.taken;
    const right =
      side === "L"
        ? ranges.find(
            ({ taken }) =>
              taken.movement === movement && taken.side === "R" && taken.drive === drive && taken.moment === moment,
          )
        : undefined;
    return right ? [{ left, right }] : [];
  });
  const all = judged(pairs.map(({ left, right }) => differenceOf(right, left)));
  return pairs.map((pair, i) => ({ ...pair, ...all[i]! }));
}

/** Every range against the same one of another moment or visit, judged together. */
export function compareRanges(
  first: readonly Range[],
  second: readonly Range[],
): (Judged & { first: Range; second: Range; towards: boolean })[] {
  const pairs = second.flatMap((now) => {
    const before = first.find(
      ({ taken }) =>
        taken.movement === now.taken.movement && taken.side === now.taken.side && taken.drive === now.taken.drive,
    );
    return before ? [{ first: before, second: now }] : [];
  });
  const all = judged(pairs.map((pair) => differenceOf(pair.first, pair.second)));
  return pairs.map((pair, i) => ({ ...pair, ...all[i]!, towards: missing(pair.second) < missing(pair.first) }));
}

/** How much is missing to the reference, in the unit; 0 when it is reached. */
export const missing = ({ movement, value }: Pick<Range, "movement" | "value">): number =>
  Math.max(0, movement.lessIsMore ? value - movement.reference : movement.reference - value);

/** Ranges that ended hard and hurt: there nothing is levered or stretched to its end before it is known why. */
export const hardAndPainful = (list: readonly Taken[]): Taken[] =>
  list.filter(({ endFeel, pain }) => (endFeel === "hard" || endFeel === "empty") && pain !== null && pain >= 1);
