/** A rate with its standard error, in cycles per minute. */
export type Rate = { perMinute: number; se: number; cycles: number };

/**
 * Rate from taps, one per full cycle. The period is the least-squares slope of tap time over tap number, which uses
 * every tap and not only the first and last; its standard error comes from the residuals. Two taps give a rate
 * without error information: three at least are asked for.
 *
 * `taps`: times in seconds, ascending. Undefined with fewer than three.
 */
export function rateOfTaps(taps: readonly number[]): Rate | undefined {
  const n = taps.length;
  if (n < 3) return undefined;
  for (let i = 1; i < n; i++)
    if (!(taps[i]! > taps[i - 1]!)) throw new RangeError(`taps must ascend, got ${taps[i - 1]} s then ${taps[i]} s`);
  const meanIndex = (n - 1) / 2;
  const meanTime = taps.reduce((sum, t) => sum + t, 0) / n;
  let sxx = 0;
  let sxy = 0;
  taps.forEach((t, i) => {
    sxx += (i - meanIndex) ** 2;
    sxy += (i - meanIndex) * (t - meanTime);
  });
  const period = sxy / sxx;
  const residual = taps.reduce((sum, t, i) => sum + (t - meanTime - period * (i - meanIndex)) ** 2, 0);
  const sePeriod = Math.sqrt(residual / (n - 2) / sxx);
  return { perMinute: 60 / period, se: (60 / period ** 2) * sePeriod, cycles: n - 1 };
}
