import chisquareQuantile from "@stdlib/stats-base-dists-chisquare-quantile";
import fQuantile from "@stdlib/stats-base-dists-f-quantile";
import tQuantile from "@stdlib/stats-base-dists-t-quantile";

/** Value below which a share `p` (0–1) of Student's t with `dof` degrees of freedom lies. */
export const studentT = (p: number, dof: number): number => tQuantile(p, dof);

/** Value below which a share `p` (0–1) of chi-square with `dof` degrees of freedom lies. */
export const chiSquare = (p: number, dof: number): number => chisquareQuantile(p, dof);

/** Value below which a share `p` (0–1) of F with `d1` and `d2` degrees of freedom lies. */
export const fisherF = (p: number, d1: number, d2: number): number => fQuantile(p, d1, d2);
