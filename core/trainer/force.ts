/** What a scale told: grams, its own zero still in it, seconds since it began. */
export type Weighed = { at: number; grams: number };

/** A gap longer than this is a drop-out: nothing is known of it, and nothing is counted (seconds). */
export const dropOut = 0.5;
/** So close to the target counts as on it (grams). */
export const onTarget = 1;
/** The first seconds of a round are the onset: coming to the target, not holding it. */
export const onsetSeconds = 5;

/** Zero of a scale from its first second, with nothing on it; undefined before a second was heard. */
export function tareOf(weighed: readonly Weighed[]): number | undefined {
  const end = weighed[0] === undefined ? undefined : weighed[0].at + 1;
  if (end === undefined || weighed.at(-1)!.at < end) return undefined;
  const first = weighed.filter(({ at }) => at < end);
  return first.reduce((sum, { grams }) => sum + grams, 0) / first.length;
}

export type ForceScore = {
  /** Seconds that were heard after the onset, and the share of the time that was not. */
  heard: number;
  lost: number;
  /** Mean of how far the force was from the target, in grams, and the share of the time within ±1 g. */
  error: number;
  within: number;
  /** Standard deviation about its own slow drift: how steadily it was held. */
  steadiness: number;
  /** The most above the target while coming to it; 0 when it never was. */
  overshoot: number;
  /** Grams a minute that it crept, with the half of its 95 % band. */
  drift: number;
  driftBand: number;
};

/**
 * Scores a round of holding `target` grams: zero taken off, each reading counting for the time until the next, drop-outs
 * left out. Undefined with fewer than ten seconds heard after the onset. The scale's own noise and drift are in it: `steadiness`
 * is of hand and scale together.
 */
export function scoreForce(weighed: readonly Weighed[], target: number, zero = 0): ForceScore | undefined {
  const start = weighed[0]?.at ?? 0;
  const on = weighed.map(({ at, grams }) => ({ at: at - start, grams: grams - zero }));
  const held = on
    .map((each, i) => ({ ...each, seconds: (on[i + 1]?.at ?? each.at) - each.at }))
    .filter(({ at }) => at >= onsetSeconds);
  const counted = held.filter(({ seconds }) => seconds > 0 && seconds <= dropOut);
  const heard = counted.reduce((sum, { seconds }) => sum + seconds, 0);
  if (heard < 10) return undefined;
  const mean = (of: (each: (typeof counted)[number]) => number) =>
    counted.reduce((sum, each) => sum + each.seconds * of(each), 0) / heard;
  const [meanAt, meanGrams] = [mean(({ at }) => at), mean(({ grams }) => grams)];
  const sxx = mean(({ at }) => (at - meanAt) ** 2);
  const slope = sxx === 0 ? 0 : mean(({ at, grams }) => (at - meanAt) * (grams - meanGrams)) / sxx;
  const residual = ({ at, grams }: { at: number; grams: number }) => grams - meanGrams - slope * (at - meanAt);
  const variance = mean((each) => residual(each) ** 2);
  const total = (held.at(-1)?.at ?? 0) - (held[0]?.at ?? 0);
  // a hand's force goes along with itself for a moment: readings are worth as many as they say something new
  const worth = Math.max(3, counted.length * newness(counted.map(residual)));
  return {
    heard,
    lost: total <= 0 ? 0 : Math.max(0, 1 - heard / total),
    error: mean(({ grams }) => Math.abs(grams - target)),
    within: mean(({ grams }) => (Math.abs(grams - target) <= onTarget ? 1 : 0)),
    steadiness: Math.sqrt(variance),
    overshoot: Math.max(0, ...on.filter(({ at }) => at < onsetSeconds).map(({ grams }) => grams - target)),
    drift: 60 * slope,
    driftBand: 60 * 1.96 * Math.sqrt(variance / sxx / worth),
  };
}

/** The share of readings that are new, by how alike neighbours are: (1 − r) / (1 + r) of a first-order chain. */
function newness(residuals: readonly number[]): number {
  const square = residuals.reduce((sum, each) => sum + each ** 2, 0);
  if (square === 0) return 1;
  const r = residuals.slice(1).reduce((sum, each, i) => sum + each * residuals[i]!, 0) / square;
  return Math.min(1, Math.max(1e-3, (1 - r) / (1 + r)));
}

/** Grams as newtons, by standard gravity. */
export const newtons = (grams: number): number => (grams / 1000) * 9.80665;
