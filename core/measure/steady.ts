import type { Degrees, Seconds } from "../units";

/** One angle heard from an inclinometer, seconds since it began. */
export type Heard = { at: Seconds; angle: Degrees };

/** An inclinometer is held still when a second of its angles stays within this spread (SD, degrees). */
export const steadySpread: Degrees = 0.5;

/**
 * The mean of the last second heard and its spread (SD), in degrees; undefined until a whole second was heard.
 * `steady` says whether the hand was still enough for the mean to be kept.
 */
export function lastSecond(heard: readonly Heard[]): { angle: Degrees; spread: Degrees; steady: boolean } | undefined {
  const end = heard.at(-1)?.at;
  if (end === undefined || end - heard[0]!.at < 1) return undefined;
  const recent = heard.filter(({ at }) => at > end - 1).map(({ angle }) => angle);
  const angle = recent.reduce((sum, each) => sum + each, 0) / recent.length;
  const spread = Math.sqrt(recent.reduce((sum, each) => sum + (each - angle) ** 2, 0) / Math.max(1, recent.length - 1));
  return { angle, spread, steady: recent.length >= 5 && spread <= steadySpread };
}
