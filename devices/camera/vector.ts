const { hypot, max, min } = Math;

/** A position or direction in mm: x towards the figure's left, y up from the floor, z forward of the ankles. */
export type Vec3 = readonly [number, number, number];

export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const scale = (a: Vec3, by: number): Vec3 => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const length = (a: Vec3): number => hypot(a[0], a[1], a[2]);
export const unit = (a: Vec3): Vec3 => scale(a, 1 / length(a));

export const smoothstep = (from: number, to: number, at: number): number => {
  const t = max(0, min(1, (at - from) / (to - from)));
  return t * t * (3 - 2 * t);
};
