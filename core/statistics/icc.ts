import { fisherF } from "./quantiles";

/**
 * The six intraclass correlations of Shrout & Fleiss, Psychological Bulletin 86 (1979) 420–428: by the model (1:
 * every target by other judges, 2: judges drawn at random, 3: these judges only) and by what is used, one judgement
 * or the mean of all.
 */
export type Icc = Record<"1,1" | "2,1" | "3,1" | "1,k" | "2,k" | "3,k", number>;

type Squares = { n: number; k: number; between: number; within: number; judges: number; residual: number };

/** Mean squares of a two-way table: rows are targets, columns judges (or repeats). */
function squaresOf(table: readonly (readonly number[])[]): Squares {
  const n = table.length;
  const k = table[0]?.length ?? 0;
  if (n < 2 || k < 2 || table.some((row) => row.length !== k))
    throw new RangeError(`an intraclass correlation needs 2 targets and 2 repeats of each, got ${n} by ${k}`);
  const mean = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / list.length;
  const rows = table.map(mean);
  const columns = table[0]!.map((_, j) => mean(table.map((row) => row[j]!)));
  const grand = mean(rows);
  const square = (list: readonly number[], from: number) => list.reduce((sum, value) => sum + (value - from) ** 2, 0);
  const total = table.reduce((sum, row) => sum + square(row, grand), 0);
  const between = k * square(rows, grand);
  const judges = n * square(columns, grand);
  return {
    n,
    k,
    between: between / (n - 1),
    within: (total - between) / (n * (k - 1)),
    judges: judges / (k - 1),
    residual: (total - between - judges) / ((n - 1) * (k - 1)),
  };
}

/** All six correlations of a table of n targets by k judgements. Throws RangeError below 2 by 2 or for a ragged table. */
export function icc(table: readonly (readonly number[])[]): Icc {
  const { n, k, between: b, within: w, judges: j, residual: e } = squaresOf(table);
  return {
    "1,1": (b - w) / (b + (k - 1) * w),
    "2,1": (b - e) / (b + (k - 1) * e + (k * (j - e)) / n),
    "3,1": (b - e) / (b + (k - 1) * e),
    "1,k": (b - w) / b,
    "2,k": (b - e) / (b + (j - e) / n),
    "3,k": (b - e) / b,
  };
}

/**
 * ICC(1,1) with its exact 95 % interval from the F distribution (Shrout & Fleiss 1979, p. 424): for repeats that are
 * interchangeable, as when one person marks the same pictures again.
 */
export function iccOneWay(table: readonly (readonly number[])[]): { icc: number; low: number; high: number } {
  const { n, k, between, within } = squaresOf(table);
  const f = between / within;
  const [d1, d2] = [n - 1, n * (k - 1)];
  const share = (ratio: number) => (ratio - 1) / (ratio + k - 1);
  if (!Number.isFinite(f)) return { icc: 1, low: 1, high: 1 };
  return {
    icc: share(f),
    low: share(f / fisherF(0.975, d1, d2)),
    high: share(f * fisherF(0.975, d2, d1)),
  };
}
