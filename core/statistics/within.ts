import { chiSquare } from "./quantiles";

/** A standard deviation and the degrees of freedom it rests on. */
export type Spread = { sd: number; dof: number };

/**
 * Within-subject standard deviation of repeated values: rows are subjects, each with two or more repeats; rows with
 * fewer say nothing. Pooled over subjects by degrees of freedom (Bland & Altman 1986; it is the SEM of Weir 2005).
 */
export function withinSubject(rows: readonly (readonly number[])[]): Spread {
  let [squares, dof] = [0, 0];
  for (const row of rows) {
    if (row.length < 2) continue;
    const mean = row.reduce((sum, value) => sum + value, 0) / row.length;
    squares += row.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    dof += row.length - 1;
  }
  return { sd: dof === 0 ? 0 : Math.sqrt(squares / dof), dof };
}

/** 95 % interval of a standard deviation that rests on `dof` degrees of freedom, by chi-square. */
export function spreadInterval({ sd, dof }: Spread): { low: number; high: number } {
  if (dof < 1) return { low: 0, high: Infinity };
  return { low: sd * Math.sqrt(dof / chiSquare(0.975, dof)), high: sd * Math.sqrt(dof / chiSquare(0.025, dof)) };
}

/**
 * How many more repeat pairs bring the upper end of a standard deviation's 95 % interval down to `within` times the
 * standard deviation (1.5: known to half again). 0 when it is there already.
 */
export function furtherPairs(dof: number, within = 1.5): number {
  let more = 0;
  while (Math.sqrt((dof + more) / chiSquare(0.025, dof + more || 1e-9)) > within || dof + more < 1) more++;
  return more;
}
