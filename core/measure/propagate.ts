import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import { z95, type Side } from "../units";
import {
  calibrate,
  leanOf,
  locate,
  referenceKeys,
  type BodyPoint,
  type Calibration,
  type Px,
  type Scene,
} from "./calibration";
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
  /** How level the lens looks, degrees: what looks up or down makes verticals beside the middle lean. */
  pitch: number;
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
  pitch: 0.7,
};

/** One cause of error and what it adds to a value's variance. */
export type ErrorPart = {
  cause: "placing" | "plumb" | "stick" | "stick-depth" | "camera" | "depth" | "turn" | "method";
  point?: PointKey;
  variance: number;
};

/** What one standard deviation of one input does to the values. */
type Effect = Omit<ErrorPart, "variance"> & { by: readonly number[] };

/** What of a metric is needed to compute it. */
export type MeasuredBy = Pick<Metric, "sides" | "points" | "value" | "offsets">;

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
 * 100:2008, 5.1, from memory). Inputs are taken as independent. A root mean square of distances is reckoned from theirs,
 * with their error taken off (see `withoutBias`).
 */
export function measure(
  metric: MeasuredBy,
  side: Side | undefined,
  whole: Scene,
  precision: Precision = usualPrecision,
): Measured | undefined {
  const points = metric.points(side ?? "L");
  const scene = { ...whole, marks: marksFor(points, whole.marks) };
  const calibration = calibrate(scene);
  if (!calibration) return undefined;
  const place = (varied: Scene, calibrated: Calibration, point: PointKey): BodyPoint | undefined => {
    const found = locate(varied, calibrated, point);
    // Metrics of one body side are written for the left; the right one is its mirror image.
    return found && metric.sides === "each" && side === "R" ? { ...found, across: -found.across } : found;
  };
  const valuesAt = (located: readonly (BodyPoint | undefined)[]): readonly number[] | undefined => {
    if (located.includes(undefined)) return undefined;
    const all = located as BodyPoint[];
    return metric.offsets ? metric.offsets(all) : [metric.value(all)];
  };
  const stand = points.map((point) => place(scene, calibration, point));
  const values = valuesAt(stand);
  if (values === undefined) return undefined;
  /** What the metric says of a varied scene; `point`: only where it lies was varied, so that the others stay. */
  const evaluate = (varied: Scene, point?: PointKey): readonly number[] | undefined => {
    const calibrated = point ? calibration : calibrate(varied);
    if (!calibrated) return undefined;
    return valuesAt(
      points.map((each, i) => (!point || hangsOn(each, point) ? place(varied, calibrated, each) : stand[i])),
    );
  };
  const effects: Effect[] = [];
  const add = (part: Omit<ErrorPart, "variance">, sd: number, vary: (by: number) => Scene) => {
    if (sd === 0) return;
    const high = evaluate(vary(sd), part.point);
    const low = evaluate(vary(-sd), part.point);
    if (high === undefined || low === undefined) return;
    effects.push({ ...part, by: high.map((value, i) => (value - low[i]!) / 2) });
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
  add({ cause: "camera" }, leanOf(scene, precision.pitch), (by) => ({ ...scene, lean: (scene.lean ?? 0) + by }));
  add({ cause: "turn" }, precision.yaw, (by) => ({ ...scene, yaw: scene.yaw + by }));

  if (metric.offsets) return withoutBias(values, effects);
  const parts = partsOf(effects, ({ by }) => by[0]! ** 2);
  const repeat = parts.filter(({ cause }) => cause !== "depth");
  return { value: values[0]!, se: Math.sqrt(sum(parts)), seRepeat: Math.sqrt(sum(repeat)), parts };
}

/** Whether where a point lies depends on where another is marked: on its own mark, and on the floor on its ankle's. */
const hangsOn = (point: PointKey, other: PointKey): boolean => {
  if (point === other) return true;
  const { landmark, side } = splitPoint(point);
  return landmarks[landmark].onFloor === true && other === `ankle.${side ?? "L"}`;
};

/** The marks that a metric's points are located by: its own, plumb and stick, and the ankles that a point on the floor hangs on. */
function marksFor(points: readonly PointKey[], marks: Scene["marks"]): Scene["marks"] {
  const own: Record<string, Px> = {};
  for (const key of [...points, ...referenceKeys, "ankle.L", "ankle.R"] as const) {
    const mark = marks[key];
    if (mark) own[key] = mark;
  }
  return own;
}

const sum = (parts: readonly ErrorPart[]) => parts.reduce((total, { variance }) => total + variance, 0);

/** The causes of error with what each adds, largest first. */
function partsOf(effects: readonly Effect[], varianceOf: (effect: Effect) => number): ErrorPart[] {
  const parts: ErrorPart[] = [];
  for (const effect of effects) {
    const same = parts.find(({ cause, point }) => cause === effect.cause && point === effect.point);
    if (same) same.variance += varianceOf(effect);
    else
      parts.push({
        cause: effect.cause,
        ...(effect.point ? { point: effect.point } : {}),
        variance: varianceOf(effect),
      });
  }
  return parts.sort((a, b) => b.variance - a.variance);
}

/**
 * The root mean square of `values` (x) without the bias that their error gives it: with the covariance S of their errors,
 * E[xᵀx] = μᵀμ + tr S and Var[xᵀx] = 4 μᵀSμ + 2 tr S² (normal errors), where μᵀSμ is estimated by xᵀSx − tr S². Its standard
 * error is half of the longer side of its interval by 1.96: near 0 a root has no other.
 */
function withoutBias(values: readonly number[], effects: readonly Effect[]): Measured {
  const n = values.length;
  const squares = values.reduce((total, value) => total + value ** 2, 0);
  const spreadOf = (counted: readonly Effect[]) => {
    const covariance = new Float64Array(n * n);
    for (const { by } of counted)
      for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) covariance[i * n + j]! += by[i]! * by[j]!;
    let [trace, trace2, along] = [0, 0, 0];
    for (let i = 0; i < n; i++) {
      trace += covariance[i * n + i]!;
      for (let j = 0; j < n; j++) {
        const shared = covariance[i * n + j]!;
        trace2 += shared * shared;
        along += values[i]! * shared * values[j]!;
      }
    }
    return { trace, sd: Math.sqrt(Math.max(4 * along - 2 * trace2, 2 * trace2)) / n };
  };
  const all = spreadOf(effects);
  const meanSquare = Math.max(0, (squares - all.trace) / n);
  const value = Math.sqrt(meanSquare);
  const errorBy = (sd: number) =>
    Math.max(Math.sqrt(meanSquare + z95 * sd) - value, value - Math.sqrt(Math.max(0, meanSquare - z95 * sd))) / z95;
  const se = errorBy(all.sd);
  const raw = partsOf(effects, ({ by }) => 4 * dot(by, values) ** 2 + dot(by, by) ** 2);
  const scale = se ** 2 / (sum(raw) || 1);
  return {
    value,
    se,
    seRepeat: errorBy(spreadOf(effects.filter(({ cause }) => cause !== "depth")).sd),
    parts: raw.map((part) => ({ ...part, variance: part.variance * scale })),
  };
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((total, each, i) => total + each * b[i]!, 0);
