import { formatValue, unitSign } from "../measure/format";
import type { Reading } from "../measure/reading";
import { stances } from "../measure/stance";
import { byVerdict, differ, judged, sameIn, type Change, type Unjudged } from "./compare";
import { combineViews } from "./views";

/** Why a difference is not judged, or undefined. */
function unjudged(first: Reading, second: Reading, band: number): string | undefined {
  if (first.copied || second.copied)
    return "Its marks were taken over from an earlier picture and not moved: they say where the earlier ones would lie.";
  const { plausible } = stances[first.metric.key];
  if (first.unit === "grade" || band <= plausible) return undefined;
  const inUnit = (value: number) => `${formatValue(first, value)}${unitSign(first)}`;
  return `Not judgeable from one picture: its band of ±${inUnit(band)} is wider than any change to be expected (${inUnit(plausible)}).`;
}

/** Every metric that was taken by the same method at both moments, not yet judged, views of one thing together. */
export const pairsOf = (first: readonly Reading[], second: readonly Reading[]): Unjudged[] =>
  combineViews(
    first.flatMap((before): Unjudged[] => {
      const after = sameIn(second, before);
      if (!after) return [];
      const difference = differ(before, after);
      const why = unjudged(before, after, difference.band);
      return [{ id: before.id, first: before, second: after, ...difference, ...(why ? { unjudged: why } : {}) }];
    }),
  );

/** What two moments have in common, judged together: clear ones first. */
export const compareMoments = (first: readonly Reading[], second: readonly Reading[]): Change[] =>
  judged(pairsOf(first, second)).sort(byVerdict);

/** The change of one metric as it was judged among all of its moments, be it alone or within a row of two views. */
export function changeIn(changes: readonly Change[], { id, method }: Reading): Change | undefined {
  const own = changes.find((change) => change.id === id && change.first.method === method);
  return own ?? changes.find(({ parts }) => parts?.some((part) => part.id === id && part.first.method === method));
}
