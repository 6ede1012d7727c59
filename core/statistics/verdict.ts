import { reach95, twoSided } from "./quantiles";

/**
 * What may be said of a difference. Everywhere the same three: **clear**, when at most one in ten of what is called clear
 * would be chance (Benjamini–Hochberg q ≤ 0.10 over everything that was looked at together); **possible**, when this
 * one alone would be rarer than 1 in 20 by chance; else it **cannot be told**.
 */
export const verdicts = ["clear", "possible", "cannot be told"] as const;
export type Verdict = (typeof verdicts)[number];
export const clearBelow = 0.1;
export const possibleBelow = 0.05;

/** A difference with its error and how rare it would be by chance alone. */
export type Difference = {
  difference: number;
  /** Standard error of the difference, everything counted that differs between two standings. */
  se: number;
  dof: number;
  /** Half of its 95 % interval. */
  band: number;
  /** Two-sided p against no difference. */
  p: number;
};

/** A difference of known standard error; `dof` as in `reach95`. */
export function differing(difference: number, se: number, dof = Infinity): Difference {
  const p = se === 0 ? (difference === 0 ? 1 : 0) : twoSided(difference / se, dof);
  return { difference, se, dof, band: reach95(dof) * se, p };
}

/** Degrees of freedom of a sum of squared errors (Welch 1947, Satterthwaite 1946). */
export function pooledDof(errors: readonly { se: number; dof: number }[]): number {
  const total = errors.reduce((sum, { se }) => sum + se ** 2, 0);
  const spread = errors.reduce((sum, { se, dof }) => sum + se ** 4 / dof, 0);
  return spread === 0 ? Infinity : total ** 2 / spread;
}

/** The verdict on a difference of chance `p`, among others with false-discovery share `q`. */
export const verdictOf = (p: number, q: number): Verdict =>
  q <= clearBelow && p < possibleBelow ? "clear" : p < possibleBelow ? "possible" : "cannot be told";
