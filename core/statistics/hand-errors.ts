/**
 * Standard errors of what hands and eyes find, until one's own are known: one table, so that a grade is as sure in the
 * reading as in Change. Each of one look, in its own unit.
 */
export const handError = {
  /** A grade of 0–3 by hand or eye: half a step (common practice). */
  grade: 0.5,
  /** How far a scar slides one way, 0–3: half a step (common practice, from memory). */
  slide: 0.5,
  /**
   * A tenderness of 0–10: set so that two points, which Farrar et al. (Pain 94, 2001, 149–158) call an important change, are
   * the smallest that can be told.
   */
  tenderness: 2 / (1.96 * Math.SQRT2),
  /** An angle by goniometer, in degrees (common practice). */
  goniometer: 2.5,
  /** What is graded tells no finer than the rounding to whole steps, however steadily it is repeated. */
  rounding: 1 / Math.sqrt(12),
} as const;
