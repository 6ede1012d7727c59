import { falseDiscovery } from "../statistics/false-discovery";
import { handError } from "../statistics/hand-errors";
import { differing, verdictOf, type Verdict } from "../statistics/verdict";
import { inOrder, type Grade, type Grading, type Restriction } from "./restriction";

/** How a spot stands at a visit against when it was last graded before. */
export type Since = {
  restriction: Restriction;
  from: { visit: number; grade: Grade } | undefined;
  to: Grade;
  verdict: Verdict | undefined;
};

/**
 * What is different at a visit from the last time each spot was graded before it: the first grade of this visit against the
 * latest earlier one, the largest changes first. New spots have nothing before them. Judged together by half a step of error
 * each: one step alone cannot be told. With `from`: first grade against first grade of that visit, where both were graded.
 */
export function sinceLast(restrictions: readonly Restriction[], visit: number, from?: number): Since[] {
  const rows = restrictions.flatMap((restriction): (Since & { p: number })[] => {
    const ordered = inOrder(restriction.grades);
    const now = ordered.find((each) => each.visit === visit);
    if (!now) return [];
    const before: Grading | undefined =
      from === undefined ? ordered.findLast((each) => each.visit < visit) : ordered.find((each) => each.visit === from);
    if (!before && from !== undefined) return [];
    if (!before) return [{ restriction, from: undefined, to: now.grade, verdict: undefined, p: 1 }];
    const { p } = differing(now.grade - before.grade, Math.SQRT2 * handError.grade);
    return [
      { restriction, from: { visit: before.visit, grade: before.grade }, to: now.grade, verdict: "cannot be told", p },
    ];
  });
  const compared = rows.filter(({ from }) => from !== undefined);
  const q = falseDiscovery(compared.map(({ p }) => p));
  compared.forEach((row, i) => (row.verdict = verdictOf(row.p, q[i]!)));
  const size = ({ from, to }: Since) => (from ? Math.abs(to - from.grade) : 0.5);
  return rows
    .filter(({ from, to }) => !from || from.grade !== to)
    .sort((a, b) => size(b) - size(a))
    .map(({ p: _, ...row }) => row);
}
