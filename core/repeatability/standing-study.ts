import type { Metric } from "../measure/metrics";
import { figureKey, type FigureKey, type OwnFigures } from "../measure/own-figures";
import { leastPairs, pooledRatio } from "../statistics/pooled-ratio";
import type { Reading } from "../measure/reading";
import { expected } from "../measure/standings";
import type { MethodKey } from "../measure/methods";
import type { View } from "../measure/view";
import type { Unit } from "../units";

/** The standings of one person in one view within the same minutes, each with its readings by the model alone. */
export type StoodAgain = { view: View; standings: readonly (readonly Reading[])[] };

/** How one metric differs from one standing to the next in one's own hands, by one method, in its unit. */
export type StandingRepeat = {
  key: FigureKey;
  metric: Metric;
  method: MethodKey;
  /** Of the method: a grade by eye, else the metric's own. */
  unit: Unit;
  /** Pairs of standings it rests on (degrees of freedom). */
  dof: number;
  /** Own standard deviation, and what was expected of the same pictures: marking, turning and one standing, assumed. */
  own: number;
  expected: number;
  /** What is used from now on. */
  used: number;
};

/**
 * What repeated standings say of everything that differs from one to the next: finding the points, turning, standing. As a
 * ratio to what was expected of the same pictures, within people (differences between people do not count). Standings of
 * which only one is marked are left out.
 */
export function standingStudy(stood: readonly StoodAgain[]): {
  metrics: StandingRepeat[];
  standing: NonNullable<OwnFigures["standing"]>;
} {
  type Sums = { first: Reading; squares: number; ratios: number; expected: number; dof: number };
  const sums = new Map<FigureKey, Sums>();
  for (const { view, standings } of stood)
    for (const first of standings[0] ?? []) {
      const same = standings.flatMap((list) =>
        list.filter(({ id, method }) => id === first.id && method === first.method),
      );
      if (same.length < 2) continue;
      const key = figureKey(first.metric.key, view, first.method);
      const entry = sums.get(key) ?? { first, squares: 0, ratios: 0, expected: 0, dof: 0 };
      sums.set(key, entry);
      const mean = same.reduce((sum, { value }) => sum + value, 0) / same.length;
      const squares = same.reduce((sum, { value }) => sum + (value - mean) ** 2, 0);
      const should = same.reduce((sum, reading) => sum + expected(reading), 0) / same.length;
      entry.squares += squares;
      entry.ratios += squares / should;
      entry.expected += should * (same.length - 1);
      entry.dof += same.length - 1;
    }
  const metrics = [...sums].map(
    ([
      key,
      {
        first: { metric, method, unit },
        squares,
        ratios,
        expected: should,
        dof,
      },
    ]): StandingRepeat => {
      const ratio = Math.sqrt(ratios / dof);
      const model = Math.sqrt(should / dof);
      return {
        key,
        metric,
        method,
        unit,
        dof,
        own: Math.sqrt(squares / dof),
        expected: model,
        used: pooledRatio({ ratio, dof }) * model,
      };
    },
  );
  return {
    metrics,
    standing: Object.fromEntries(
      [...sums].map(([key, { ratios, dof }]) => [key, { ratio: Math.sqrt(ratios / dof), dof }]),
    ),
  };
}

/** Whether there are enough pairs for one's own figure to be used. */
export const isUsed = ({ dof }: StandingRepeat): boolean => dof >= leastPairs;
