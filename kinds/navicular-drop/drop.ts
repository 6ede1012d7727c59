import { differing, type Difference } from "../../core/statistics/verdict";
import type { Moment } from "../../core/findings/restriction";
import type { Millimetres, Side } from "../../core/units";

/**
 * Heights of the navicular bone's knob above the floor, in mm: sitting, the foot unloaded and in its middle; and standing on
 * both feet. Their difference is how far the arch comes down under the body.
 */
export type Drop = { visit: number; moment: Moment; side: Side; sitting: Millimetres; standing: Millimetres };

export type Heights = Pick<Drop, "sitting" | "standing">;

/**
 * Standard error of one drop, both heights taken anew: 2 mm (Picciano, Rowlands & Worrell, J Orthop Sports Phys Ther 18,
 * 1993, 553–558, found 1.7 to 2.6 mm in the same hands: from memory).
 */
export const dropSe = 2;
/** Up to here an arch comes down as most do; from there on far (Brody, Clin Sports Med 1, 1982, 541–558: from memory). */
export const usualUpTo = 10;
export const farFrom = 15;

/** What may stand in a field: heights of grown and growing feet (mm). */
export const heights = { least: 10, most: 100 } as const;

/** One drop less another (mm), with the error of both. */
export const dropLess = (one: Heights, other: Heights): Difference =>
  differing(dropOf(one) - dropOf(other), Math.SQRT2 * dropSe);

/** How far an arch comes down (mm); negative where it rises. */
export const dropOf = ({ sitting, standing }: Heights): Millimetres => sitting - standing;
