import { splitPoint, type LandmarkKey, type PointKey } from "../anatomy/landmarks";
import { calibrate, type MarkKey, type Marks } from "../measure/calibration";
import { isReference } from "../measure/marking";
import type { Metric } from "../measure/metrics";
import { markingError, readPhoto, sceneOf, type MarkedPhoto } from "../measure/read-photo";
import type { Random } from "../random";
import { agreement, type Agreement } from "../statistics/agreement";
import { iccOneWay } from "../statistics/icc";
import { mdc95 } from "../statistics/mdc";
import { figureKey, type FigureKey, type OwnFigures } from "../measure/own-figures";
import { pooledRatio } from "../statistics/pooled-ratio";
import { withinSubject, type Spread } from "../statistics/within";

/** One marking in a study: which picture (whatever names it), and how it was marked this time. */
export type StudyMarking = MarkedPhoto & { picture: string };

/** How one metric repeats in one's own hands. Values are in the metric's unit. */
export type MetricRepeat = {
  key: FigureKey;
  metric: Metric;
  /** Own standard error of measurement from marking, and the repeat pairs it rests on. */
  sem: Spread;
  /** The model's for the same pictures. */
  model: number;
  /** What is used from now on: the model's, or both pooled where that is more. */
  used: { sd: number; own: boolean };
  /** Smallest change that marking alone can tell, by what is used. */
  mdc: number;
  /** Agreement of repeats between different bodies, undefined for fewer than two pictures. */
  icc: { icc: number; low: number; high: number } | undefined;
  /** First against second marking. */
  agreement: Agreement | undefined;
};

export type StudyResult = { metrics: MetricRepeat[]; own: OwnFigures };

/**
 * A blind order: every picture `passes` times, each pass shuffled anew, and never the same picture twice running
 * (where there is more than one).
 */
export function blindOrder<T>(pictures: readonly T[], passes: number, random: Random): T[] {
  const order: T[] = [];
  for (let pass = 0; pass < passes; pass++) {
    const left = [...pictures];
    while (left.length > 0) {
      const at = Math.floor(random.uniform() * left.length);
      order.push(...left.splice(at, 1));
    }
    const start = order.length - pictures.length;
    if (pass > 0 && pictures.length > 1 && order[start] === order[start - 1])
      [order[start], order[start + 1]] = [order[start + 1]!, order[start]!];
  }
  return order;
}

/** The markings of each picture that was marked more than once. */
function repeatsOf(markings: readonly StudyMarking[]): StudyMarking[][] {
  const byPicture = new Map<string, StudyMarking[]>();
  for (const marking of markings) byPicture.set(marking.picture, [...(byPicture.get(marking.picture) ?? []), marking]);
  return [...byPicture.values()].filter((repeats) => repeats.length > 1);
}

/** How far one's marks of each landmark scatter on the body (mm, one direction), left and right together. */
function placingOf(repeats: readonly StudyMarking[][]): OwnFigures["placing"] {
  const rows = new Map<LandmarkKey, number[][]>();
  for (const markings of repeats) {
    const scales = markings
      .map((marking) => calibrate(sceneOf(marking))?.mmPerPx)
      .filter((scale) => scale !== undefined);
    if (scales.length === 0) continue;
    const scale = scales.reduce((sum, each) => sum + each, 0) / scales.length;
    for (const key of commonMarks(markings))
      if (!isReference(key)) {
        const { landmark } = splitPoint(key as PointKey);
        const list = rows.get(landmark) ?? [];
        rows.set(landmark, list);
        for (const axis of ["x", "y"] as const) list.push(markings.map(({ marks }) => marks[key]![axis] * scale));
      }
  }
  return Object.fromEntries(
    [...rows].map(([landmark, list]) => {
      const { sd, dof } = withinSubject(list);
      // both directions of one repeat are one pair: what is said of five pairs should hold for five repeats
      return [landmark, { sd, dof: dof / 2 }];
    }),
  );
}

const commonMarks = (markings: readonly { marks: Marks }[]): MarkKey[] =>
  (Object.keys(markings[0]!.marks) as MarkKey[]).filter((key) => markings.every(({ marks }) => marks[key]));

/** Everything a practitioner's blind repeats say about their own marking. Pictures marked once are left out. */
export function analyse(markings: readonly StudyMarking[]): StudyResult {
  const repeats = repeatsOf(markings);
  type Row = { values: number[]; model: number };
  const rows = new Map<FigureKey, { metric: Metric; rows: Row[] }>();
  for (const group of repeats) {
    const readings = group.map((marking) => readPhoto(marking));
    for (const { metric, id, parts } of readings[0]!) {
      const same = readings.map((list) => list.find((other) => other.id === id));
      if (same.some((reading) => !reading)) continue;
      const key = figureKey(metric.key, group[0]!.view);
      const entry = rows.get(key) ?? { metric, rows: [] };
      rows.set(key, entry);
      entry.rows.push({
        values: same.map((reading) => reading!.value),
        model: markingError(parts),
      });
    }
  }
  const metrics = [...rows].map(([key, { metric, rows: list }]): MetricRepeat => {
    const sem = withinSubject(list.map(({ values }) => values));
    const model = Math.sqrt(list.reduce((sum, row) => sum + row.model ** 2, 0) / list.length);
    const ratio = pooledRatio({ ratio: sem.sd / model, dof: sem.dof });
    const sd = Math.max(1, ratio) * model;
    // tables need the same number of repeats everywhere
    const least = Math.min(...list.map(({ values }) => values.length));
    const table = list.map(({ values }) => values.slice(0, least));
    const many = table.length > 1;
    return {
      key,
      metric,
      sem,
      model,
      used: { sd, own: ratio > 1 },
      mdc: mdc95(sd),
      icc: many ? iccOneWay(table) : undefined,
      agreement: many
        ? agreement(
            table.map((row) => row[0]!),
            table.map((row) => row[1]!),
          )
        : undefined,
    };
  });
  return {
    metrics,
    own: {
      sem: Object.fromEntries(metrics.map(({ key, sem, model }) => [key, { ratio: sem.sd / model, dof: sem.dof }])),
      placing: placingOf(repeats),
    },
  };
}
