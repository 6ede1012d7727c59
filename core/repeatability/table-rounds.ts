import { mdc95 } from "../statistics/mdc";
import type { Ratio } from "../statistics/pooled-ratio";
import { same, weightedKappa, type Kappa } from "../statistics/weighted-kappa";
import { withinSubject } from "../statistics/within";
import { answersTo, type Answer } from "../table/answers";
import { checks, familyOf, standsOut, unitWords, type Check, type Way } from "../table/checks";
import { lookError, lookKey, usualError, type LookKey, type OwnLooks } from "../table/own-looks";

/** The same thing looked at twice by the same hands, the second time blind. */
export type LookedAgain = { check: Check; way: Way; first: number; second: number; by?: string };

/** What one visit's second round looked at again. A pair of two practitioners says nothing of either. */
export const lookedAgain = (answers: readonly Answer[]): LookedAgain[] =>
  checks.flatMap((check) =>
    answersTo(check, answers, "again").flatMap(({ side, way, value: second, by }) => {
      const first = answersTo(check, answers, "before").find(
        (each) => each.side === side && each.way === way && each.by === by,
      );
      return first ? [{ check, way, first: first.value, second, ...(by && { by }) }] : [];
    }),
  );

/** How one's looks at one family of checks repeat, in grades or in its unit. */
export type LookRepeat = {
  key: LookKey;
  family: string;
  way: Way;
  unit: string;
  pairs: number;
  /** Agreement of grades, by the square of their distance; of words without an order, as same or not. */
  kappa?: Kappa;
  /** SEM of one look, what is usual, and what is used from now on. None for words without an order. */
  error?: { own: number; usual: number; used: number; mdc: number };
  /** So many of the pairs were the same. */
  equal: number;
};

/** Words without an order are the same or not: their distance means nothing. */
const ordered = (check: Check, way: Way) => !(check.kind === "one" && way === "hand");
const stepsOf = (check: Check): number =>
  check.kind === "side" ? 2 * standsOut.length - 1 : (check.steps?.length ?? 0);
/** A grade as a step from 0: a side that stands out counts from three to the right to three to the left. */
const step = (check: Check, value: number) => (check.kind === "side" ? value + standsOut.length - 1 : value);

/** Everything that second looks say of one practitioner's own error, family by family, and what is used of it. */
export function roundsOf(
  looked: readonly LookedAgain[],
  drawn: readonly LookedAgain[] = [],
): { looks: LookRepeat[]; own: OwnLooks } {
  const own: OwnLooks = {};
  const families = (list: readonly LookedAgain[]) => {
    const groups = new Map<LookKey, LookedAgain[]>();
    for (const each of list) {
      const key = lookKey(each.check, each.way);
      groups.set(key, [...(groups.get(key) ?? []), each]);
    }
    return groups;
  };
  const ratioOf = (list: readonly LookedAgain[]): Ratio => {
    const { sd, dof } = withinSubject(list.map(({ first, second }) => [first, second]));
    return { ratio: sd / usualError(list[0]!.check, list[0]!.way), dof };
  };
  for (const [source, list] of [
    ["clients", looked],
    ["drawings", drawn],
  ] as const)
    for (const [key, group] of families(list))
      if (ordered(group[0]!.check, group[0]!.way)) own[key] = { ...own[key], [source]: ratioOf(group) };
  const looks = [...families(looked)].map(([key, list]): LookRepeat => {
    const { check, way } = list[0]!;
    const graded = way === "hand";
    const usual = usualError(check, way);
    const used = lookError(check, way, own).se;
    return {
      key,
      family: familyOf(check),
      way,
      unit: graded ? "" : unitWords[check.measure!.unit],
      pairs: list.length,
      equal: list.filter(({ first, second }) => first === second).length,
      ...(ordered(check, way) && {
        error: { own: ratioOf(list).ratio * usual, usual, used, mdc: mdc95(used) },
      }),
      ...(graded && {
        kappa: weightedKappa(
          list.map(({ first, second }) => [step(check, first), step(check, second)] as const),
          stepsOf(check),
          ...(ordered(check, way) ? [] : [same]),
        ),
      }),
    };
  });
  return { looks, own };
}
