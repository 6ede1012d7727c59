import { sideWord } from "../words";
import type { Moment } from "../findings/restriction";
import { normal } from "../statistics/quantiles";
import { z95 } from "../units";
import type { EdgeTaken } from "./edge-of-table";
import { rangeOf, type Range, type Taken } from "./ranges";

/** What was moved at a visit. */
export type VisitMoved = { visit: number; ranges: readonly Taken[]; edges: readonly EdgeTaken[] };

/** A range or an edge test as it was last taken, and when. */
export type Last<T> = { taken: T; visit: number; moment: Moment };

/** The latest of each: after the work before before it, the later visit before the earlier. */
function lastOf<T extends { moment: Moment }>(
  moved: readonly VisitMoved[],
  listOf: (each: VisitMoved) => readonly T[],
  key: (taken: T) => string,
): Last<T>[] {
  const last = new Map<string, Last<T>>();
  for (const each of [...moved].sort((a, b) => a.visit - b.visit))
    for (const moment of ["before", "after"] as const)
      for (const taken of listOf(each).filter((one) => one.moment === moment))
        last.set(key(taken), { taken, visit: each.visit, moment });
  return [...last.values()];
}

export const lastRanges = (moved: readonly VisitMoved[]): Last<Taken>[] =>
  lastOf(
    moved,
    ({ ranges }) => ranges,
    ({ movement, side, drive }) => [movement, side, drive].join(" "),
  );
export const lastEdges = (moved: readonly VisitMoved[]): Last<EdgeTaken>[] =>
  lastOf(
    moved,
    ({ edges }) => edges,
    ({ side }) => side,
  );

/** Of the mean of the healthy a range may miss this share, and be behind the other side by so many degrees: common practice. */
const usualShare = 0.85;
const usualBehind = 5;

/** A range that is short: by how much more than is usual, how probable that is with its error, and against what. */
export type Short = { range: Range; by: number; sure: number; against: "the reference" | "the other side" };

/** What has to be reached for a range to count as enough, in its unit. */
const enough = ({ movement }: Range): number =>
  movement.unit === "deg" ? usualShare * movement.reference : movement.reference;

/**
 * How far a range falls short of what is usual: of 85 % of the mean of the healthy (distances: of what is called enough), or of
 * the other side by more than 5°; whichever is surer. Undefined: of neither.
 */
export function shortOf(range: Range, other: Range | undefined): Short | undefined {
  const { movement, value, se } = range;
  const toReference = movement.lessIsMore ? value - enough(range) : enough(range) - value;
  const behind = other && movement.unit === "deg" ? other.value - value - usualBehind : -Infinity;
  const sides = [
    { by: toReference, sure: normal(toReference / se), against: "the reference" as const },
    { by: behind, sure: other ? normal(behind / Math.hypot(se, other.se)) : 0, against: "the other side" as const },
  ].filter(({ by }) => by > 0);
  sides.sort((a, b) => b.sure - a.sure || b.by - a.by);
  return sides[0] && { range, ...sides[0] };
}

/** A range as it was last taken, and the other side's of the same moment. */
export type LastRange = { range: Range; other: Range | undefined; visit: number; moment: Moment };

/** Ranges as they were last taken, moved by the practitioner where both were taken: that tells the tissue. */
export function rangesNow(moved: readonly VisitMoved[]): LastRange[] {
  const last = lastRanges(moved);
  const found = last.filter(
    ({ taken }) =>
      taken.drive === "passive" ||
      !last.some(
        (each) =>
          each.taken.drive === "passive" && each.taken.movement === taken.movement && each.taken.side === taken.side,
      ),
  );
  return found.map(({ taken, visit, moment }) => {
    // the other side at the same moment: a side that was worked is not held against one that was not
    const other = last.find(
      (each) =>
        each.taken.movement === taken.movement &&
        each.taken.drive === taken.drive &&
        each.taken.side !== taken.side &&
        each.visit === visit &&
        each.moment === moment,
    );
    return { range: rangeOf(taken), other: other && rangeOf(other.taken), visit, moment };
  });
}

/** What is short as it was last taken. */
export const shortNow = (moved: readonly VisitMoved[]): (Short & { visit: number; moment: Moment })[] =>
  rangesNow(moved).flatMap(({ range, other, visit, moment }) => {
    const short = shortOf(range, other);
    return short ? [{ ...short, visit, moment }] : [];
  });

/** How probable it is that a range is short of what is usual, or of the other side: 0–1, whether it looks so or not. */
export function shortChance({ range, other }: Pick<LastRange, "range" | "other">): number {
  const { movement, value, se } = range;
  const missing = movement.lessIsMore ? value - enough(range) : enough(range) - value;
  const behind = other && movement.unit === "deg" ? other.value - value - usualBehind : undefined;
  return Math.max(normal(missing / se), behind === undefined ? 0 : normal(behind / Math.hypot(se, other!.se)));
}

/** "52 ±3.4°": a range with its 95 % band. */
export const rangeFigure = ({ value, se, movement }: Range): string =>
  `${Math.round(value * 10) / 10} ±${Math.round(z95 * se * 10) / 10}${movement.unit === "deg" ? "°" : " mm"}`;

/** "Neck, turning, left: 52 ±3.4°, behind the other side": a short range in words. */
export const shortWords = ({ range, against }: Short): string =>
  `${range.movement.name}${range.taken.side ? `, ${sideWord[range.taken.side]}` : ""}: ${rangeFigure(range)}, ${
    against === "the other side" ? "behind the other side" : `of ${range.movement.reference} in the mean`
  }`;
