/** The client's own scales, 0 to 10: what they can do (10 fully), and how much it hurts (10 the worst). */
export type OwnMeasure = { id: string; kind: "activity" | "pain"; name: string; retired: boolean };
export type OwnScore = { measureId: string; visit: number; score: number };

export const mostActivities = 3;

/**
 * Smallest changes that count. Activities: minimal detectable change 3 points for one, 2 for the mean (Stratford,
 * Gill, Westaway & Binkley, Physiotherapy Canada 47 (1995) 258–263). Pain: 2 points or 30 % is clinically important
 * (Farrar et al., Pain 94 (2001) 149–158). Both from memory.
 */
export const published = { oneActivity: 3, meanActivity: 2, painPoints: 2, painShare: 0.3 } as const;

export type OwnVerdict = "better" | "worse" | "unclear";
export type OwnChange = { first: number; last: number; difference: number; verdict: OwnVerdict; needed: number };

/** Judges one activity's change (points). */
export function judgeActivity(first: number, last: number, needed: number = published.oneActivity): OwnChange {
  const difference = last - first;
  const verdict = difference >= needed ? "better" : difference <= -needed ? "worse" : "unclear";
  return { first, last, difference, verdict, needed };
}

/** Judges a change of pain (points): 2 points or 30 % of the first value, whichever is reached. */
export function judgePain(first: number, last: number): OwnChange {
  const difference = last - first;
  const share = published.painShare * first;
  const needed =
    first > 0 ? Math.min(published.painPoints, Math.max(1, Math.ceil(share - 1e-9))) : published.painPoints;
  const verdict = difference <= -needed ? "better" : difference >= needed ? "worse" : "unclear";
  return { first, last, difference, verdict, needed };
}

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
