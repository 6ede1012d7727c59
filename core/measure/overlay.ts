import { calibrate, type Px } from "./calibration";
import { feetOf } from "./propose";
import { sceneOf, type MarkedPhoto } from "./read-photo";

/** An affine map of pictures, as SVG and canvas take it: x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Matrix = { a: number; b: number; c: number; d: number; e: number; f: number };

export const mapped = ({ a, b, c, d, e, f }: Matrix, { x, y }: Px): Px => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f,
});

/**
 * Lays an earlier picture over another of the same view: at the same scale (mm), true to the same plumb, standing on
 * the same ankles. Undefined while plumb, stick or ankles of either are not marked, or the views differ.
 */
export function overlay(earlier: MarkedPhoto, now: MarkedPhoto): Matrix | undefined {
  if (earlier.view !== now.view) return undefined;
  const [then, here] = [calibrate(sceneOf(earlier)), calibrate(sceneOf(now))];
  const standing = ({ marks, view }: MarkedPhoto): Px | undefined => {
    const feet = feetOf(view).map((key) => marks[key]);
    if (feet.some((foot) => !foot)) return undefined;
    const sum = feet.reduce<Px>((all, foot) => ({ x: all.x + foot!.x, y: all.y + foot!.y }), { x: 0, y: 0 });
    return { x: sum.x / feet.length, y: sum.y / feet.length };
  };
  const [from, to] = [standing(earlier), standing(now)];
  if (!then || !here || !from || !to) return undefined;
  const scale = then.mmPerPx / here.mmPerPx;
  const turn = then.roll - here.roll;
  const [a, b] = [scale * Math.cos(turn), scale * Math.sin(turn)];
  return { a, b, c: -b, d: a, e: to.x - a * from.x + b * from.y, f: to.y - b * from.x - a * from.y };
}
