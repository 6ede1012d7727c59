import { z95 } from "../units";
import { studentT } from "./quantiles";

/** One pair of measurements of the same thing: their mean and second minus first. */
export type Pair = { mean: number; difference: number };

export type Agreement = {
  pairs: Pair[];
  bias: number;
  /** 95 % interval of the bias (Student's t). */
  biasInterval: { low: number; high: number };
  sd: number;
  /** Limits of agreement: bias ± 1.96 SD. */
  low: number;
  high: number;
};

/**
 * Agreement of two series of measurements (Bland & Altman, Lancet 1986;i:307–310). Throws RangeError for fewer than
 * two pairs or series of different length.
 */
export function agreement(first: readonly number[], second: readonly number[]): Agreement {
  const n = first.length;
  if (n < 2 || second.length !== n)
    throw new RangeError(`agreement needs two or more pairs, got ${n} and ${second.length}`);
  const pairs = first.map((a, i) => ({ mean: (a + second[i]!) / 2, difference: second[i]! - a }));
  const bias = pairs.reduce((sum, { difference }) => sum + difference, 0) / n;
  const sd = Math.sqrt(pairs.reduce((sum, { difference }) => sum + (difference - bias) ** 2, 0) / (n - 1));
  const half = (studentT(0.975, n - 1) * sd) / Math.sqrt(n);
  return {
    pairs,
    bias,
    biasInterval: { low: bias - half, high: bias + half },
    sd,
    low: bias - z95 * sd,
    high: bias + z95 * sd,
  };
}
