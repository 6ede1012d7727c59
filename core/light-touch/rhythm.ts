import { reach95 } from "../statistics/quantiles";

/** A rate with its standard error, in cycles per minute, and over how many cycles it was counted. */
export type Rate = { perMinute: number; se: number; cycles: number };

/** A rate needs this many taps. */
export const leastTaps = 5;
/** Rates that are felt in practice (cycles per minute, common practice); others are asked about. */
export const usualRates = [3, 20] as const;

const median = (list: readonly number[]) => {
  const sorted = [...list].sort((a, b) => a - b);
  return (sorted[Math.floor((sorted.length - 1) / 2)]! + sorted[Math.ceil((sorted.length - 1) / 2)]!) / 2;
};
const gapsOf = (taps: readonly number[]) => taps.slice(1).map((tap, i) => tap - taps[i]!);

/**
 * Rate from taps, one per full cycle (seconds, ascending). A tap that follows the last in less than 0.4 of the usual gap
 * is a finger that touched twice and is left out; a gap of about two cycles holds a tap that was missed: cycles are counted
 * by rounding. The period is the least-squares slope of time over cycles. Its standard error is the larger of the slope's
 * and s/√K, with s the standard deviation of single cycles and K their number: the first holds when the finger is unsteady,
 * the second when the rhythm itself is. Undefined below `leastTaps`. Throws RangeError for taps out of order.
 */
export function rateOfTaps(taps: readonly number[]): Rate | undefined {
  for (let i = 1; i < taps.length; i++)
    if (!(taps[i]! > taps[i - 1]!)) throw new RangeError(`taps must ascend, got ${taps[i - 1]} s then ${taps[i]} s`);
  if (taps.length < leastTaps) return undefined;
  const usual = median(gapsOf(taps));
  const single = taps.filter((tap, i) => i === 0 || tap - taps[i - 1]! >= 0.4 * usual);
  const n = single.length;
  if (n < leastTaps) return undefined;
  const gaps = gapsOf(single);
  const cycle = median(gaps);
  const turns = gaps.map((gap) => Math.max(1, Math.round(gap / cycle)));
  const at = [0];
  for (const turn of turns) at.push(at.at(-1)! + turn);
  const cycles = at.at(-1)!;
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
  const [meanAt, meanTime] = [mean(at), mean(single)];
  const sxx = at.reduce((sum, each) => sum + (each - meanAt) ** 2, 0);
  const period = at.reduce((sum, each, i) => sum + (each - meanAt) * (single[i]! - meanTime), 0) / sxx;
  const residual = single.reduce((sum, time, i) => sum + (time - meanTime - period * (at[i]! - meanAt)) ** 2, 0);
  const bySlope = Math.sqrt(residual / (n - 2) / sxx);
  const spread = gaps.reduce((sum, gap, i) => sum + (gap - period * turns[i]!) ** 2 / turns[i]!, 0) / (gaps.length - 1);
  const byCycles = Math.sqrt(spread / cycles);
  return { perMinute: 60 / period, se: (60 / period ** 2) * Math.max(bySlope, byCycles), cycles };
}

/** Half of a rate's 95 % interval (per minute), by Student's t over its cycles. */
export const rateBand = ({ se, cycles }: Rate): number => reach95(Math.max(1, cycles - 1)) * se;

/** Whether a rate is one that is felt in practice. */
export const isUsualRate = ({ perMinute }: Rate): boolean => perMinute >= usualRates[0] && perMinute <= usualRates[1];
