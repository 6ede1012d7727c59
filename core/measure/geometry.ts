import { toDegrees } from "../units";
import type { BodyPoint } from "./calibration";

/** Angle of the line right → left against horizontal, in degrees: positive when the left end is higher. */
export const tilt = ([right, left]: readonly BodyPoint[]) =>
  toDegrees(Math.atan2(left!.up - right!.up, Math.abs(left!.across - right!.across)));

/** Halfway between two points (mm). */
export const middle = (a: BodyPoint, b: BodyPoint): BodyPoint => ({
  across: (a.across + b.across) / 2,
  up: (a.up + b.up) / 2,
  near: (a.near + b.near) / 2,
});

/** Horizontal distance of the first pair's middle from the second pair's, in mm. */
export const shiftOfPairs = ([a, b, c, d]: readonly BodyPoint[]) => middle(a!, b!).across - middle(c!, d!).across;

/** How far the first point lies forward of the second, in mm. */
export const offset = ([point, malleolus]: readonly BodyPoint[]) => point!.across - malleolus!.across;

/** Bend of the chain a–b–c at b in degrees: 0 when straight, positive when b lies on the negative side of a–c. */
export const bend = ([a, b, c]: readonly BodyPoint[]) => {
  const upper = Math.atan2(a!.across - b!.across, a!.up - b!.up);
  const lower = Math.atan2(b!.across - c!.across, b!.up - c!.up);
  return toDegrees(upper - lower);
};

/** Angle of the foot, ankle → toe, against straight ahead, in degrees: positive when the toe points to the client's left. */
export const footAngle = ([ankle, toe]: readonly BodyPoint[]) =>
  toDegrees(Math.atan2(toe!.across - ankle!.across, toe!.near - ankle!.near));

/** Distance of the first point from the line through the other two in mm, positive towards the client's left. */
export const fromLine = ([point, top, foot]: readonly BodyPoint[]) => {
  const [dx, dy] = [top!.across - foot!.across, top!.up - foot!.up];
  return ((point!.across - foot!.across) * dy - (point!.up - foot!.up) * dx) / Math.hypot(dx, dy);
};

/** Root mean square, in the unit of the values. */
export const rootMeanSquare = (values: readonly number[]) =>
  Math.sqrt(values.reduce((sum, value) => sum + value ** 2, 0) / values.length);
