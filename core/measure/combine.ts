import { differing } from "../statistics/verdict";
import { seUsual, type Reading } from "./reading";

/** Two views of one thing may differ by no more than this chance, or they are not one thing. */
export const oneThingAbove = 0.01;

/** What may be brought together: the same midline metric by the same method. Undefined for what belongs to one view. */
export const groupOf = ({ metric, method, unit, copied }: Reading): string | undefined =>
  metric.midline && !copied ? `${metric.key} ${method} ${unit}` : undefined;

/** The views of one metric as one reading, weighted by `shares` (which add up to 1); their errors are independent. */
export function weighted(views: readonly Reading[], shares: readonly number[]): Reading {
  const mean = (of: (reading: Reading) => number) => views.reduce((sum, each, i) => sum + shares[i]! * of(each), 0);
  const root = (of: (reading: Reading) => number) =>
    Math.sqrt(views.reduce((sum, each, i) => sum + (shares[i]! * of(each)) ** 2, 0));
  const [first] = views as [Reading];
  return {
    ...first,
    id: `${first.metric.key}.${views.map(({ id }) => id.split(".").at(-1)).join("+")}`,
    side: undefined,
    value: mean(({ value }) => value),
    se: root(({ se }) => se),
    seRepeat: root(({ seRepeat }) => seRepeat),
    seStanding: root(({ seStanding }) => seStanding),
    seMarking: root(({ seMarking }) => seMarking),
    dof: Math.min(...views.map(({ dof }) => dof)),
    parts: [],
  };
}

/** Shares by which a mean of independent values has the least error: inverse variances. */
export function sharesBy(errors: readonly number[]): number[] {
  const weights = errors.map((se) => 1 / se ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  return weights.map((weight) => weight / total);
}

/**
 * The readings of one moment with both views of a midline metric as one, where they do not contradict each other; a real
 * asymmetry stays two readings.
 */
export function bringTogether(readings: readonly Reading[]): Reading[] {
  const groups = new Map<string, Reading[]>();
  for (const reading of readings) {
    const key = groupOf(reading) ?? `${reading.id} ${reading.method}`;
    groups.set(key, [...(groups.get(key) ?? []), reading]);
  }
  return [...groups.values()].flatMap((group) => {
    const errors = group.map(seUsual);
    if (group.length !== 2) return group;
    const apart = differing(group[0]!.value - group[1]!.value, Math.hypot(...errors));
    return apart.p > oneThingAbove ? [weighted(group, sharesBy(errors))] : group;
  });
}
