import type { PointKey } from "../anatomy/landmarks";
import type { Degrees, Millimetres, Pixels } from "../units";
import { pictureSign, usualDepth, type View } from "./view";

/** A position in the picture: x to the right, y down, from the top left corner. */
export type Px = { x: Pixels; y: Pixels };

/** The two ends of the plumb line and of the stick, which lie in one plane with the client's ankles. */
export type ReferenceKey = "plumb.top" | "plumb.foot" | "stick.top" | "stick.foot";
export const referenceKeys: readonly ReferenceKey[] = ["plumb.top", "plumb.foot", "stick.top", "stick.foot"];
export const referenceName: Record<ReferenceKey, string> = {
  "plumb.top": "Plumb line, top",
  "plumb.foot": "Plumb line, foot",
  "stick.top": "Stick, top end",
  "stick.foot": "Stick, foot end",
};

export type MarkKey = ReferenceKey | PointKey;
export type Marks = Partial<Record<MarkKey, Px>>;

/** What is known of how a picture was taken. Errors are standard deviations. */
export type PhotoSetup = {
  width: Pixels;
  height: Pixels;
  stickLength: Millimetres;
  cameraDistance: Millimetres;
  cameraHeight: Millimetres;
  /** Stature for proportions (mm): depth of landmarks scales with it. */
  stature: Millimetres;
};

/** Everything a position on the body is computed from, so that each part can be varied on its own. */
export type Scene = {
  view: View;
  setup: PhotoSetup;
  marks: Marks;
  /** Extra depth of single points, beyond what is usual (mm, towards the camera). */
  depth: Partial<Record<PointKey, Millimetres>>;
  /** How far the client is turned out of the picture's plane (degrees). */
  yaw: Degrees;
};

/**
 * A point of the body in its own plane: `across` in mm towards the client's left (front, back) or forward (side
 * views) from the middle of the picture, `up` in mm above the floor.
 */
export type BodyPoint = { across: Millimetres; up: Millimetres };

export type Calibration = {
  /** Camera roll, clockwise (radians), found from the plumb line. */
  roll: number;
  /** Scale in the plane of plumb and stick (mm per pixel). */
  mmPerPx: number;
};

/** Scale and true vertical of a picture; undefined while an end of plumb or stick is not marked. */
export function calibrate(scene: Scene): Calibration | undefined {
  const { "plumb.top": top, "plumb.foot": foot, "stick.top": high, "stick.foot": low } = scene.marks;
  if (!top || !foot || !high || !low) return undefined;
  const stick = Math.hypot(high.x - low.x, high.y - low.y);
  const plumb = Math.hypot(foot.x - top.x, foot.y - top.y);
  if (stick < 1 || plumb < 1) return undefined;
  return {
    roll: Math.atan2(foot.x - top.x, foot.y - top.y),
    mmPerPx: scene.setup.stickLength / stick,
  };
}

/**
 * Where a marked landmark lies on the body: the pixel is turned upright about the middle of the picture, scaled at
 * the landmark's own depth (a pinhole camera that looks level), and turned back by the client's yaw.
 */
export function locate(scene: Scene, calibration: Calibration, point: PointKey): BodyPoint | undefined {
  const mark = scene.marks[point];
  if (!mark) return undefined;
  const { setup, view } = scene;
  const dx = mark.x - setup.width / 2;
  const dy = setup.height / 2 - mark.y;
  const cos = Math.cos(calibration.roll);
  const sin = Math.sin(calibration.roll);
  const right = dx * cos + dy * sin;
  const above = dy * cos - dx * sin;
  const depth = usualDepth(view, point, setup.stature) + (scene.depth[point] ?? 0);
  const scale = (calibration.mmPerPx * (setup.cameraDistance - depth)) / setup.cameraDistance;
  const turned = depth * Math.tan((scene.yaw * Math.PI) / 180);
  return {
    across: pictureSign[view] * (right * scale - turned),
    up: setup.cameraHeight + above * scale,
  };
}
