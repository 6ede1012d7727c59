import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import type { Side } from "../units";
import { calibrate, locate, referenceKeys, type BodyPoint, type Scene } from "./calibration";
import type { Metric } from "./metrics";

/** How sure the placing and the set-up are (standard deviations). */
export type Precision = {
  /** Pointing at a pixel. */
  pointingPx: number;
  /** An end of plumb line or stick. */
  referencePx: number;
  /** Multiplies the landmarks' own placing SD; 0 leaves pointing alone. */
  placing: number;
  /** Camera distance and lens height, mm. */
  cameraDistance: number;
  cameraHeight: number;
  /** How truly plumb and stick hang in the plane that was noted, mm. */
  stickBehind: number;
  /** How squarely the client stands to the camera, degrees. */
  yaw: number;
};

/** A tape-measured set-up and a practised marker: common practice. */
export const usualPrecision: Precision = {
  pointingPx: 1,
  referencePx: 1,
  placing: 1,
  cameraDistance: 50,
  cameraHeight: 25,
  stickBehind: 20,
  yaw: 1.5,
};

/** One cause of error and what it adds to a value's variance. */
export type ErrorPart = {
  cause: "placing" | "plumb" | "stick" | "stick-depth" | "camera" | "depth" | "turn" | "method";
  point?: PointKey;
  variance: number;
};

/** What of a metric is needed to compute it. */
export type MeasuredBy = Pick<Metric, "sides" | "points" | "value">;

export type Measured = {
  value: number;
  /** Standard error of the value, all causes together, in the metric's unit. */
  se: number;
  /**
   * Standard error without what stays the same in one person from picture to picture (how deep a landmark lies):
   * the part that counts when two pictures of one client are compared.
   */
  seRepeat: number;
  /** Causes, largest first. */
  parts: ErrorPart[];
};

/**
 * A metric's value and standard error in one scene, or undefined while a point it needs is missing.
 *
 * Every input (marks, plumb, stick, camera, depths, turn) is varied by one standard deviation both ways; the half
 * difference is its share of the error (first-order propagation with central differences, as in the GUM, JCGM
 * 100:2008, 5.1, from memory). Inputs are taken as independent.
 */
export function measure(
  metric: MeasuredBy,
  side: Side | undefined,
  scene: Scene,
  precision: Precision = usualPrecision,
): Measured | undefined {
  const points = metric.points(side ?? "L");
  const evaluate = (varied: Scene): number | undefined => {
    const calibration = calibrate(varied);
    if (!calibration) return undefined;
    const located: BodyPoint[] = [];
    for (const point of points) {
      const place = locate(varied, calibration, point);
      if (!place) return undefined;
      // Metrics of one body side are written for the left; the right one is its mirror image.
      located.push(metric.sides === "each" && side === "R" ? { ...place, across: -place.across } : place);
    }
    return metric.value(located);
  };
  const value = evaluate(scene);
  if (value === undefined) return undefined;
  const calibration = calibrate(scene)!;
  const parts: ErrorPart[] = [];
  const add = (part: Omit<ErrorPart, "variance">, sd: number, vary: (by: number) => Scene) => {
    if (sd === 0) return;
    const high = evaluate(vary(sd));
    const low = evaluate(vary(-sd));
    if (high === undefined || low === undefined) return;
    const same = parts.find((known) => known.cause === part.cause && known.point === part.point);
    const variance = ((high - low) / 2) ** 2;
    if (same) same.variance += variance;
    else parts.push({ ...part, variance });
  };
  const moved = (key: keyof Scene["marks"], dx: number, dy: number): Scene => {
    const mark = scene.marks[key]!;
    return { ...scene, marks: { ...scene.marks, [key]: { x: mark.x + dx, y: mark.y + dy } } };
  };

  for (const point of points) {
    const { placing, depthSd } = landmarks[splitPoint(point).landmark];
    const sd = Math.hypot(precision.pointingPx, (precision.placing * placing) / calibration.mmPerPx);
    add({ cause: "placing", point }, sd, (by) => moved(point, by, 0));
    add({ cause: "placing", point }, sd, (by) => moved(point, 0, by));
    add({ cause: "depth", point }, depthSd, (by) => ({
      ...scene,
      depth: { ...scene.depth, [point]: (scene.depth[point] ?? 0) + by },
    }));
  }
  for (const key of referenceKeys) {
    const cause = key.startsWith("plumb") ? "plumb" : "stick";
    add({ cause }, precision.referencePx, (by) => moved(key, by, 0));
    add({ cause }, precision.referencePx, (by) => moved(key, 0, by));
  }
  const withSetup = (change: Partial<Scene["setup"]>): Scene => ({
    ...scene,
    setup: { ...scene.setup, ...change },
  });
  add({ cause: "camera" }, precision.cameraDistance, (by) =>
    withSetup({ cameraDistance: scene.setup.cameraDistance + by }),
  );
  add({ cause: "camera" }, precision.cameraHeight, (by) => withSetup({ cameraHeight: scene.setup.cameraHeight + by }));
  const { stickBehind = 0 } = scene.setup;
  add({ cause: "stick-depth" }, precision.stickBehind, (by) => withSetup({ stickBehind: stickBehind + by }));
  add({ cause: "turn" }, precision.yaw, (by) => ({ ...scene, yaw: scene.yaw + by }));

  parts.sort((a, b) => b.variance - a.variance);
  const total = parts.reduce((sum, part) => sum + part.variance, 0);
  const lasting = parts.reduce((sum, part) => sum + (part.cause === "depth" ? part.variance : 0), 0);
  return { value, se: Math.sqrt(total), seRepeat: Math.sqrt(total - lasting), parts };
}
