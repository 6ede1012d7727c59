import { normal } from "../../core/statistics/quantiles";
import { verdictOf } from "../../core/statistics/verdict";
import { z95 } from "../../core/units";
import { dropLess, dropOf, dropSe, farFrom, usualUpTo, type Heights } from "./drop";

/** How sure it has to be that an arch comes down further than is usual before that is said. */
const sure = 0.95;

export const figure = (drop: Heights): string => `${dropOf(drop)} ±${(z95 * dropSe).toFixed(1)} mm`;

/** "further than usual", "as most do", or that it cannot be told: with the error of one measurement. */
export function judged(drop: Heights): string {
  const value = dropOf(drop);
  const beyond = (limit: number) => normal((value - limit) / dropSe);
  if (beyond(farFrom) >= sure) return `far down (more than ${farFrom} mm)`;
  if (beyond(usualUpTo) >= sure) return `further down than most (more than ${usualUpTo} mm)`;
  if (beyond(usualUpTo) <= 1 - sure) return `as most do (up to ${usualUpTo} mm)`;
  return `too near ${usualUpTo} mm to tell whether it is more than usual`;
}

/** "Left comes down 9 ±5.5 mm further than right (clear)": both feet against each other at one moment. */
export function betweenFeet(left: Heights, right: Heights): string {
  const { difference, band, p } = dropLess(left, right);
  const verdict = verdictOf(p, p);
  if (difference === 0) return `Both come down as far, ±${band.toFixed(1)} mm.`;
  const [more, less] = difference > 0 ? ["Left", "right"] : ["Right", "left"];
  return `${more} comes down ${Math.abs(difference)} ±${band.toFixed(1)} mm further than ${less} (${verdict}).`;
}
