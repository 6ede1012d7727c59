import { groupOf, oneThingAbove, sharesBy, weighted } from "../measure/combine";
import type { Reading } from "../measure/reading";
import { differing, pooledDof } from "../statistics/verdict";
import type { Unjudged } from "./compare";

/**
 * Two views of one thing (left and right of the head's angle, front and back of the shoulders' level) are brought together
 * to one row, weighted by how sure each is. Where the views contradict each other it is no longer one thing: a real
 * asymmetry keeps its own rows.
 *
 * Weights are 1/se² of each change (inverse variance: the least error that a weighted mean of independent values can have).
 * The two views are pictures of two standings, so that their errors are independent.
 */
export function combineViews(changes: readonly Unjudged[]): Unjudged[] {
  const groups = new Map<string, Unjudged[]>();
  for (const change of changes) {
    const own = `${change.id} ${change.first.method}`;
    const key = change.unjudged === undefined ? (groupOf(change.first) ?? own) : own;
    groups.set(key, [...(groups.get(key) ?? []), change]);
  }
  return [...groups.values()].flatMap((group) => (group.length === 2 && agree(group) ? [together(group)] : group));
}

/** Whether two views can be one thing: neither their values nor their changes contradict each other. */
function agree(group: readonly Unjudged[]): boolean {
  const [one, other] = group as [Unjudged, Unjudged];
  const apart = differing(one.difference - other.difference, Math.hypot(one.se, other.se));
  const level = ({ first, second }: Unjudged) => (first.value + second.value) / 2;
  // depth stays the same in one person, but is another one in each view
  const depth = ({ se, seRepeat }: Reading) => Math.sqrt(Math.max(0, se ** 2 - seRepeat ** 2));
  const seLevel = ({ first, second }: Unjudged) =>
    Math.hypot(Math.hypot(first.seStanding, second.seStanding) / 2, depth(first));
  const values = differing(level(one) - level(other), Math.hypot(seLevel(one), seLevel(other)));
  return apart.p > oneThingAbove && values.p > oneThingAbove;
}

function together(group: readonly Unjudged[]): Unjudged {
  const shares = sharesBy(group.map(({ se }) => se));
  const mean = (of: (change: Unjudged) => number) => group.reduce((sum, each, i) => sum + shares[i]! * of(each), 0);
  const first = weighted(
    group.map((each) => each.first),
    shares,
  );
  const second = weighted(
    group.map((each) => each.second),
    shares,
  );
  const errors = group.map(({ se, dof }, i) => ({ se: shares[i]! * se, dof }));
  const se = Math.hypot(...errors.map((each) => each.se));
  return {
    id: first.id,
    first,
    second,
    ...differing(
      mean(({ difference }) => difference),
      se,
      pooledDof(errors),
    ),
    parts: group,
  };
}
