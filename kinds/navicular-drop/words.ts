import { normal } from "../../core/statistics/quantiles";
import { z95 } from "../../core/units";
import { dropOf, dropSe, farFrom, usualUpTo, type Drop } from "./drop";

/** How sure it has to be that an arch comes down further than is usual before that is said. */
const sure = 0.95;

export const figure = (drop: Pick<Drop, "sitting" | "standing">): string =>
  `${dropOf(drop)} ±${(z95 * dropSe).toFixed(1)} mm`;

/** "further than usual", "as most do", or that it cannot be told: with the error of one measurement. */
export function judged(drop: Pick<Drop, "sitting" | "standing">): string {
  const value = dropOf(drop);
  const beyond = (limit: number) => normal((value - limit) / dropSe);
  if (beyond(farFrom) >= sure) return `far down (more than ${farFrom} mm)`;
  if (beyond(usualUpTo) >= sure) return `further down than most (more than ${usualUpTo} mm)`;
  if (beyond(usualUpTo) <= 1 - sure) return `as most do (up to ${usualUpTo} mm)`;
  return `too near ${usualUpTo} mm to tell whether it is more than usual`;
}
