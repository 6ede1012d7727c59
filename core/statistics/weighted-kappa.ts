import { z95 } from "../units";

export type Kappa = { kappa: number; se: number; low: number; high: number; n: number };

/** How much two grades `a` and `b` of `steps` (0 … steps − 1) agree: 1 the same, 0 as far apart as can be. */
export type Agrees = (a: number, b: number, steps: number) => number;
/** Words without an order: the same or not (Cohen 1960). */
export const same: Agrees = (a, b) => (a === b ? 1 : 0);
/** Grades: by the square of how far they are apart (Fleiss & Cohen 1973: an intraclass correlation, then). */
export const bySquare: Agrees = (a, b, steps) => 1 - ((a - b) / (steps - 1)) ** 2;

/**
 * Weighted kappa (Cohen, Psychological Bulletin 70 (1968) 213–220) of pairs of grades 0 … steps − 1, with the standard error of
 * Fleiss, Cohen & Everitt, Psychological Bulletin 72 (1969) 323–327, and a 95 % interval. Undefined where it says nothing:
 * fewer than two pairs, or everything graded the same, so that chance alone would agree.
 */
export function weightedKappa(
  pairs: readonly (readonly [number, number])[],
  steps: number,
  agrees: Agrees = bySquare,
): Kappa | undefined {
  const n = pairs.length;
  if (n < 2 || steps < 2) return undefined;
  const grades = Array.from({ length: steps }, (_, i) => i);
  const shares = grades.map(() => grades.map(() => 0));
  for (const [a, b] of pairs) shares[a]![b]! += 1 / n;
  const rows = shares.map((row) => row.reduce((sum, share) => sum + share, 0));
  const columns = grades.map((j) => shares.reduce((sum, row) => sum + row[j]!, 0));
  const each = (of: (i: number, j: number) => number) =>
    grades.reduce((sum, i) => sum + grades.reduce((inner, j) => inner + of(i, j), 0), 0);
  const weight = (i: number, j: number) => agrees(i, j, steps);
  const seen = each((i, j) => weight(i, j) * shares[i]![j]!);
  const chance = each((i, j) => weight(i, j) * rows[i]! * columns[j]!);
  if (1 - chance < 1e-12) return undefined;
  const kappa = (seen - chance) / (1 - chance);
  const ofRow = grades.map((i) => grades.reduce((sum, j) => sum + weight(i, j) * columns[j]!, 0));
  const ofColumn = grades.map((j) => grades.reduce((sum, i) => sum + weight(i, j) * rows[i]!, 0));
  const spread =
    each((i, j) => shares[i]![j]! * (weight(i, j) - (ofRow[i]! + ofColumn[j]!) * (1 - kappa)) ** 2) -
    (kappa - chance * (1 - kappa)) ** 2;
  const se = Math.sqrt(Math.max(0, spread) / n) / (1 - chance);
  return { kappa, se, low: Math.max(-1, kappa - z95 * se), high: Math.min(1, kappa + z95 * se), n };
}
