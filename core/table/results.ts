import { sideWord } from "../words";
import { falseDiscovery } from "../statistics/false-discovery";
import { differing, verdictOf, type Difference, type Verdict } from "../statistics/verdict";
import type { Moment } from "../findings/restriction";
import { z95, type Side } from "../units";
import { answersTo, isAnswered, type Answer, type TableMoment, type VisitAnswers } from "./answers";
import { checkOf, checks, standsOut, unitWords, type Check, type Lying, type Way } from "./checks";
import { lookError, type LookError } from "./own-looks";

/** One figure of a check: of one side, of the whole, or which side stands out (positive: the client's left). */
export type Result = {
  check: Check;
  side: Side | null;
  way: Way;
  value: number;
  by?: string;
  /** How far it is from even or usual: 0 within. */
  off: number;
} & LookError;

const outside = (value: number, [low, high]: readonly [number, number]): number =>
  value < low ? low - value : value > high ? value - high : 0;

function offOf(check: Check, way: Way, value: number): number {
  if (way === "hand" && check.kind === "one") return Math.max(0, value - ((check.usualSteps ?? 1) - 1));
  if (way === "hand") return Math.abs(value);
  if (check.kind === "side") return Math.max(0, Math.abs(value) - (check.even ?? 0));
  return check.usual ? outside(value, check.usual) : 0;
}

/** The figures of a check at a moment, each with the error of the hands that took it. */
export const resultsOf = (check: Check, answers: readonly Answer[], moment: TableMoment): Result[] =>
  answersTo(check, answers, moment).map(({ side, way, value, by, own }) => ({
    check,
    side,
    way,
    value,
    ...(own ?? lookError(check, way)),
    ...(by && { by }),
    off: offOf(check, way, value),
  }));

/** Left less right of what is measured on each side; undefined until both are. */
export function leftLessRight(results: readonly Result[]): { value: number; se: number } | undefined {
  const of = (side: Side) => results.find((each) => each.way === "measured" && each.side === side);
  const [left, right] = [of("L"), of("R")];
  return left && right ? { value: left.value - right.value, se: Math.hypot(left.se, right.se) } : undefined;
}

/** Whether a check found something: a side that stands out, a figure beyond the usual, or sides that differ. */
export function isOff(check: Check, answers: readonly Answer[], moment: TableMoment): boolean {
  const results = resultsOf(check, answers, moment);
  const between = check.kind === "each" && check.even !== undefined ? leftLessRight(results) : undefined;
  return (
    results.some(({ off }) => off > 0) ||
    (between !== undefined && Math.abs(between.value) > (check as { even: number }).even)
  );
}

const rounded = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1));

/** "clearly left high", "12 ±8 mm left short", "left slow, right free", "even": what a check said, in words. */
export function wordsOf(check: Check, answers: readonly Answer[], moment: TableMoment): string {
  const results = resultsOf(check, answers, moment);
  const band = (se: number) => `±${rounded(Math.round(z95 * se * 10) / 10)}`;
  const said = (["hand", "measured"] as const).flatMap((way): string[] => {
    const own = results.filter((each) => each.way === way);
    if (own.length === 0) return [];
    if (check.kind === "side") {
      const { value, se } = own[0]!;
      if (value === 0) return ["even"];
      const side = value > 0 ? "left" : "right";
      return way === "hand"
        ? [`${standsOut[Math.abs(value)]!} ${side} ${check.stands}`]
        : [`${rounded(Math.abs(value))} ${band(se)}${unitWords[check.measure!.unit]} ${side} ${check.stands}`];
    }
    const word = ({ value, se }: Result) =>
      way === "hand" ? check.steps![value]! : `${rounded(value)} ${band(se)}${unitWords[check.measure!.unit]}`;
    if (check.kind === "one") return [word(own[0]!)];
    return [
      (["L", "R"] as const)
        .flatMap((side) => own.filter((each) => each.side === side).map((each) => `${sideWord[side]} ${word(each)}`))
        .join(", "),
    ];
  });
  return said.join("; ");
}

/**
 * A figure before the work against the same figure after it, or against an earlier visit's. `otherHands`: looked at by two
 * practitioners; how they agree with each other is not known, and not in the error.
 */
export type Compared = Difference & {
  before: Result;
  after: Result;
  verdict: Verdict;
  towards: boolean;
  otherHands: boolean;
};

/**
 * Every figure taken at both moments, by the same check, side and way, judged together by the error of both.
 * `first` and `second` are answers of their own moments.
 */
export function compareTable(
  first: { answers: readonly Answer[]; moment: Moment },
  second: { answers: readonly Answer[]; moment: Moment },
): Compared[] {
  const pairs = checks.flatMap((check) =>
    resultsOf(check, first.answers, first.moment).flatMap((before) => {
      const after = resultsOf(check, second.answers, second.moment).find(
        (each) => each.side === before.side && each.way === before.way,
      );
      return after
        ? [{ before, after, ...differing(after.value - before.value, Math.hypot(before.se, after.se)) }]
        : [];
    }),
  );
  const q = falseDiscovery(pairs.map(({ p }) => p));
  return pairs.map((pair, i) => {
    const { before, after, p } = pair;
    return {
      ...pair,
      verdict: verdictOf(p, q[i]!),
      towards: after.off < before.off,
      otherHands: before.by !== undefined && after.by !== undefined && before.by !== after.by,
    };
  });
}

/** The checks of a run: those that follow another are asked where that one was off. */
export const runOf = (answers: readonly Answer[]): Check[] =>
  checks.filter(({ follows }) => follows === undefined || isOff(checkOf(follows), answers, "before"));

/** What was off before the work, in the order of the run. What only tells how something is held is not looked at again. */
export const offBefore = (answers: readonly Answer[]): Check[] =>
  checks.filter((check) => check.follows === undefined && isOff(check, answers, "before"));

/** What was off before and was not looked at again after the work: a correction that is still open. */
export const openRetests = (answers: readonly Answer[]): Check[] =>
  offBefore(answers).filter((check) => !isAnswered(check, answers, "after"));

/** The checks of a run in its order, by how the client lies. */
export const byLying = (list: readonly Check[]): { lying: Lying; list: Check[] }[] =>
  (["supine", "prone", "seated"] as const)
    .map((lying) => ({ lying, list: list.filter((check) => check.lying === lying) }))
    .filter((group) => group.list.length > 0);

/** When a check was answered last: the latest visit, after its work before before it. */
export function latestOf(
  check: Check,
  table: readonly VisitAnswers[],
): { at: VisitAnswers; moment: Moment } | undefined {
  for (const at of [...table].sort((a, b) => b.visit - a.visit))
    for (const moment of ["after", "before"] as const)
      if (answersTo(check, at.answers, moment).length > 0) return { at, moment };
  return undefined;
}

/** What is off as it was last looked at, and when; what only tells how something is held left out. */
export const offNow = (table: readonly VisitAnswers[]): { check: Check; at: VisitAnswers; moment: Moment }[] =>
  checks.flatMap((check) => {
    const latest = check.follows === undefined ? latestOf(check, table) : undefined;
    return latest && isOff(check, latest.at.answers, latest.moment) ? [{ check, ...latest }] : [];
  });

/** The verdicts on one check's figures, in words. */
export const verdictWords = (check: Check, compared: readonly Compared[]): string =>
  [
    ...new Set(
      compared
        .filter(({ before }) => before.check === check)
        .map(({ verdict, towards, before, after, otherHands }) =>
          [
            verdict,
            ...(verdict === "cannot be told" || before.value === after.value
              ? []
              : [towards ? "nearer to even" : "further from even"]),
            ...(otherHands ? ["in other hands"] : []),
          ].join(", "),
        ),
    ),
  ].join("; ");

/** What the table said at a visit, for its note: what was off, what the work made of it, what was not looked at again. */
export function tableNote(answers: readonly Answer[]): string {
  const off = offBefore(answers);
  if (off.length === 0) return "";
  const compared = compareTable({ answers, moment: "before" }, { answers, moment: "after" });
  const again = off.filter((check) => isAnswered(check, answers, "after"));
  const open = openRetests(answers);
  const lines = again.map(
    (check) =>
      `${check.name}: ${wordsOf(check, answers, "before")}, after ${wordsOf(check, answers, "after")} (${verdictWords(check, compared)}).`,
  );
  return [
    ...(lines.length > 0 ? ["At the table.", ...lines] : []),
    ...(open.length > 0
      ? [`Off and not looked at again: ${open.map(({ name }) => name.toLowerCase()).join(", ")}.`]
      : []),
  ].join("\n");
}
