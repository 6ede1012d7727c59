import { landmarks, splitPoint, type LandmarkKey, type PointKey } from "../../core/anatomy/landmarks";
import type { BodyPoint } from "../../core/measure/calibration";
import { metricsOf, sidesIn, type Metric } from "../../core/measure/metrics";
import { readingId } from "../../core/measure/reading";
import { isSideView, type View } from "../../core/measure/view";
import type { Side } from "../../core/units";
import type { Field } from "./field";
import type { Carrier, Pose } from "./pose";
import { add, scale, unit, type Vec3 } from "./vector";

/** Where each landmark lies under the skin (fractions of stature, left side) and which way the skin is: as the part is
 * posed for those that turn with their foot, straight in the room for the others. */
const seeds: Record<LandmarkKey, { from: Vec3; towards: Vec3; carrier?: Carrier; turns?: true }> = {
  tragus: { from: [0.041, 0.922, 0.0305], towards: [1, 0, 0], carrier: "head" },
  canthus: { from: [0.018, 0.9315, 0.04], towards: [0.35, 0, 1], carrier: "head" },
  c7: { from: [0, 0.846, -0.01], towards: [0, 0, -1] },
  acromion: { from: [0.104, 0.81, -0.002], towards: [0, 1, 0] },
  "sternal-notch": { from: [0, 0.818, 0], towards: [0, 0, 1] },
  asis: { from: [0.07, 0.566, 0.06], towards: [0, 0, 1] },
  psis: { from: [0.027, 0.583, -0.04], towards: [0, 0, -1] },
  trochanter: { from: [0.07, 0.52, 0.012], towards: [1, 0, 0] },
  patella: { from: [0.052, 0.288, 0.01], towards: [0, 0, 1] },
  condyle: { from: [0.055, 0.289, 0.008], towards: [1, 0, 0] },
  malleolus: { from: [0.055, 0.041, 0.001], towards: [1, 0, 0] },
  ankle: { from: [0.052, 0.041, 0.002], towards: [0, 0, 1] },
  t12: { from: [0, 0.64, -0.01], towards: [0, 0, -1] },
  "scapula-root": { from: [0.045, 0.795, -0.02], towards: [0, 0, -1] },
  "scapula-low": { from: [0.052, 0.735, -0.02], towards: [0, 0, -1] },
  calf: { from: [0.052, 0.095, -0.003], towards: [0, 0, -1] },
  "heel-top": { from: [0.052, 0.036, -0.005], towards: [0, 0, -1], turns: true },
  heel: { from: [0.052, 0.01, -0.01], towards: [0, 0, -1], turns: true },
  toe: { from: [0.0535, 0.0062, 0.095], towards: [0, 0, 1], turns: true },
};

export type Truth = Partial<Record<PointKey, Vec3>>;

/** Where the field's surface is met from an inside point along a direction (mm). */
function toSkin(field: Field, from: Vec3, towards: Vec3): Vec3 {
  const direction = unit(towards);
  let travelled = 0;
  for (let i = 0; i < 200; i++) {
    const [x, y, z] = add(from, scale(direction, travelled));
    const d = field(x, y, z);
    if (d > -0.05) break;
    travelled += Math.max(-d * 0.6, 0.05);
  }
  return add(from, scale(direction, travelled));
}

/** The true landmarks of a posed figure, on its skin (mm, body frame). */
export function landmarksOf(stature: number, pose: Pose, field: Field): Truth {
  const truth: Truth = {};
  for (const key of Object.keys(landmarks) as LandmarkKey[]) {
    const { from, towards, carrier, turns } = seeds[key];
    for (const side of landmarks[key].paired ? (["L", "R"] as const) : [undefined]) {
      const mirror = side === "R" ? -1 : 1;
      const sided = ([x, y, z]: Vec3): Vec3 => [mirror * x, y, z];
      const posed = (point: Vec3) => pose(scale(sided(point), stature), carrier);
      const seed = posed(from);
      const way = turns ? add(posed(add(from, scale(towards, 0.01))), scale(seed, -1)) : sided(towards);
      truth[(side ? `${key}.${side}` : key) as PointKey] = toSkin(field, seed, way);
    }
  }
  return truth;
}

/** What every metric of a view truly is, from the landmarks in space: no camera, no marks. */
export function trueMetrics(truth: Truth, view: View): Map<string, number> {
  const flat = (point: PointKey, mirrored: boolean): BodyPoint => {
    const [x, y, z] = truth[point]!;
    const towards = { front: z, back: -z, left: x, right: -x }[view];
    return { across: isSideView(view) ? z : mirrored ? -x : x, up: y, near: towards };
  };
  // a foot truly runs from heel to toe, whatever a picture from the front can show of it
  const from = (metric: Metric, point: PointKey): PointKey =>
    metric.key === "foot-turn-out" ? (point.replace("ankle", "heel") as PointKey) : point;
  const values = new Map<string, number>();
  for (const metric of metricsOf(view))
    for (const side of sidesIn(metric, view)) {
      const mirrored = metric.sides === "each" && side === "R";
      const points = metric.points((side ?? "L") as Side).map((point) => flat(from(metric, point), mirrored));
      values.set(readingId(metric, side, view), metric.value(points));
    }
  return values;
}

/** Body side a point belongs to, for tests that compare sides. */
export const sideOf = (point: PointKey): Side | undefined => splitPoint(point).side;
