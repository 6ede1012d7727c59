/** The client's own scales, 0 to 10: what they can do (10 fully), and how much it hurts (10 the worst). */
export type OwnMeasure = { id: string; kind: "activity" | "pain"; name: string; retired: boolean };
export type OwnScore = { measureId: string; visit: number; score: number };

export const mostActivities = 3;

/**
 * Smallest changes that count. Activities: 4 points for one, 2.4 for the mean of several. The published minimal detectable
 * change is 3 and 2 at 90 % (Stratford, Gill, Westaway & Binkley, Physiotherapy Canada 47 (1995) 258–263); × 1.96/1.645 is
 * 3.6 and 2.4 at the 95 % that everything else here is judged by, and a whole point above the first is 4. Pain: 2 points
 * *and* 30 % (Farrar et al., Pain 94 (2001) 149–158). Both from memory.
 */
export const published = { oneActivity: 4, meanActivity: 2.4, painPoints: 2, painShare: 0.3 } as const;

/** As every verdict: clear, or it cannot be told; which way is said beside it. */
export type OwnChange = {
  first: number;
  last: number;
  difference: number;
  verdict: "clear" | "cannot be told";
  way: "better" | "worse" | undefined;
  /** Points that count. */
  needed: number;
};

/** `better`: whether more or fewer points are better. */
function judged(first: number, last: number, needed: number, better: 1 | -1): OwnChange {
  const difference = last - first;
  const clear = Math.abs(difference) >= needed - 1e-9;
  const way = difference * better > 0 ? "better" : "worse";
  return { first, last, difference, verdict: clear ? "clear" : "cannot be told", way: clear ? way : undefined, needed };
}

/** Judges one activity's change (points). */
export const judgeActivity = (first: number, last: number, needed: number = published.oneActivity): OwnChange =>
  judged(first, last, needed, 1);

/** Judges a change of pain (points): 2 points and 30 % of the larger of both values. */
export const judgePain = (first: number, last: number): OwnChange =>
  judged(first, last, Math.max(published.painPoints, published.painShare * Math.max(first, last)), -1);

/** A measure's scores in the order of visits. */
export const trendOf = (scores: readonly OwnScore[], measureId: string): OwnScore[] =>
  scores.filter((score) => score.measureId === measureId).sort((a, b) => a.visit - b.visit);

/** First against latest score; undefined with fewer than two visits. */
export function changeOf(measure: OwnMeasure, scores: readonly OwnScore[]): OwnChange | undefined {
  const trend = trendOf(scores, measure.id);
  if (trend.length < 2) return undefined;
  const [first, last] = [trend[0]!.score, trend.at(-1)!.score];
  return measure.kind === "pain" ? judgePain(first, last) : judgeActivity(first, last);
}

/** The mean over activities that were scored both at the first and at the latest visit any was. */
export function meanActivityChange(
  measures: readonly OwnMeasure[],
  scores: readonly OwnScore[],
): OwnChange | undefined {
  const activities = measures.filter((measure) => measure.kind === "activity");
  const visits = scores.filter((score) => activities.some((each) => each.id === score.measureId)).map((s) => s.visit);
  if (visits.length === 0) return undefined;
  const [from, to] = [Math.min(...visits), Math.max(...visits)];
  const at = (id: string, visit: number) =>
    scores.find((score) => score.measureId === id && score.visit === visit)?.score;
  const both = activities.flatMap(({ id }) => {
    const [first, last] = [at(id, from), at(id, to)];
    return from === to || first === undefined || last === undefined ? [] : [[first, last] as const];
  });
  if (both.length < 2) return undefined;
  const mean = (pick: 0 | 1) => both.reduce((sum, pair) => sum + pair[pick], 0) / both.length;
  return judgeActivity(mean(0), mean(1), published.meanActivity);
}
