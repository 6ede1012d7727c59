import chisquareQuantile from "@stdlib/stats-base-dists-chisquare-quantile";
import fQuantile from "@stdlib/stats-base-dists-f-quantile";
import normalCdf from "@stdlib/stats-base-dists-normal-cdf";
import tCdf from "@stdlib/stats-base-dists-t-cdf";
import tQuantile from "@stdlib/stats-base-dists-t-quantile";

/** Value below which a share `p` (0–1) of Student's t with `dof` degrees of freedom lies. */
export const studentT = (p: number, dof: number): number => tQuantile(p, dof);

/** Value below which a share `p` (0–1) of chi-square with `dof` degrees of freedom lies. */
export const chiSquare = (p: number, dof: number): number => chisquareQuantile(p, dof);

/** Value below which a share `p` (0–1) of F with `d1` and `d2` degrees of freedom lies. */
export const fisherF = (p: number, d1: number, d2: number): number => fQuantile(p, d1, d2);

/** Share (0–1) of the standard normal distribution below `z`. */
export const normal = (z: number): number => normalCdf(z, 0, 1);

/**
 * Two-sided p of a difference `z` standard errors away from nothing: Student's t with `dof` degrees of freedom, the
 * normal distribution where they are infinite.
 */
export const twoSided = (z: number, dof = Infinity): number =>
  2 * (Number.isFinite(dof) ? tCdf(-Math.abs(z), dof) : normal(-Math.abs(z)));

/** How many standard errors a two-sided 95 % band reaches: 1.96, more with few degrees of freedom. */
export const reach95 = (dof = Infinity): number => (Number.isFinite(dof) ? studentT(0.975, dof) : 1.959963984540054);
