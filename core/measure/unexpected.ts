import { landmarks, pointName, splitPoint, type PointKey } from "../anatomy/landmarks";
import { calibrate, type MarkKey } from "./calibration";
import { isReference } from "./marking";
import { fromEarlier, fromProportions } from "./propose";
import { sceneOf, type MarkedPhoto } from "./read-photo";
import { pointStance } from "./stance";

/** A mark that lies where nobody would expect it: how far off (mm), and by what it was expected elsewhere. */
export type Unexpected = { point: PointKey; off: number; by: "earlier" | "proportions" };

/** How far people differ from proportions, and one person's points from one visit to the next (SD, mm, common practice). */
const people = 35;
const visits = 12;
/** 99.7 % point of chi-square with two degrees of freedom: what three standard deviations are in one direction. */
const threeDeviations = -2 * Math.log(0.0027);

/**
 * Marks more than three standard deviations from where an earlier picture of the same view, or proportions, would have them:
 * left taken for right, a point named wrongly, a slip of the hand. Furthest first. Empty while it is not calibrated.
 */
export function unexpectedMarks(photo: MarkedPhoto, earlier?: MarkedPhoto): Unexpected[] {
  const calibration = calibrate(sceneOf(photo));
  if (!calibration) return [];
  const known = earlier && fromEarlier(photo, earlier);
  const usual = fromProportions(photo) ?? {};
  return (Object.keys(photo.marks) as MarkKey[])
    .filter((key): key is PointKey => !isReference(key))
    .flatMap((point): (Unexpected & { chi: number })[] => {
      const [at, there] = [photo.marks[point]!, known?.[point] ?? usual[point]];
      if (!there) return [];
      const by = known?.[point] ? ("earlier" as const) : ("proportions" as const);
      const { height, placing } = landmarks[splitPoint(point).landmark];
      const stance = pointStance(height);
      const own = by === "earlier" ? visits : people;
      const [dx, dy] = [(at.x - there.x) * calibration.mmPerPx, (at.y - there.y) * calibration.mmPerPx];
      const across = 2 * placing ** 2 + 2 * stance.across ** 2 + own ** 2;
      const up = 2 * placing ** 2 + 2 * stance.up ** 2 + own ** 2;
      const chi = dx ** 2 / across + dy ** 2 / up;
      return chi > threeDeviations ? [{ point, off: Math.hypot(dx, dy), by, chi }] : [];
    })
    .sort((a, b) => b.chi - a.chi)
    .map(({ point, off, by }) => ({ point, off, by }));
}

/** "C7 spinous process lies 6 cm from where before visit 4 would have it." */
export const unexpectedWords = ({ point, off, by }: Unexpected, earlierName: string | undefined): string =>
  `${pointName(point)} lies ${Math.round(off / 10)} cm from where ${by === "earlier" ? `the picture of ${earlierName ?? "an earlier visit"}` : "proportions"} would have it`;
