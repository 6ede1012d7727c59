import { z95 } from "../units";

/**
 * Smallest real change between two measurements whose errors are known: 1.96 · √(SE₁² + SE₂²), in the measure's
 * unit. With equal errors it is MDC95 = 1.96 · √2 · SEM (Weir, J Strength Cond Res 19 (2005) 231–240).
 */
export const smallestRealChange = (seFirst: number, seSecond: number): number => z95 * Math.hypot(seFirst, seSecond);

/** MDC95 from a standard error of measurement. */
export const mdc95 = (sem: number): number => smallestRealChange(sem, sem);

/** SEM = SD · √(1 − ICC) (Weir 2005). `icc` within 0–1. */
export function semFromIcc(sd: number, icc: number): number {
  if (!(icc >= 0 && icc <= 1)) throw new RangeError(`icc must be within 0 and 1, got ${icc}`);
  return sd * Math.sqrt(1 - icc);
}
