import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
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
  /** How far plumb and stick hang behind the plane of the ankles, as seen from the camera (mm). Usually 0. */
  stickBehind?: Millimetres;
  /** The stick hangs instead of standing on the floor: its foot then says nothing about the floor. */
  stickHangs?: boolean;
  /** Adhesive dots were worn on the bony points: one finding of each point then serves every standing they were left on for. */
  dotted?: boolean;
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
  /** How far the true vertical in the middle lies beside what the plumb says (degrees). */
  lean?: Degrees;
};

/**
 * A point of the body: `across` in mm towards the client's left (front, back) or forward (side views) from the
 * middle of the picture, `up` in mm above the floor, `near` in mm towards the camera from the plane of the ankles.
 */
export type BodyPoint = { across: Millimetres; up: Millimetres; near: Millimetres };

export type Calibration = {
  /** Camera roll, clockwise (radians), found from the plumb line. */
  roll: number;
  /** Scale in the plane of the ankles (mm per pixel). */
  mmPerPx: number;
};

/** Scale and true vertical of a picture; undefined while an end of plumb or stick is not marked. */
export function calibrate(scene: Scene): Calibration | undefined {
  const { "plumb.top": top, "plumb.foot": foot, "stick.top": high, "stick.foot": low } = scene.marks;
  if (!top || !foot || !high || !low) return undefined;
  const stick = Math.hypot(high.x - low.x, high.y - low.y);
  const plumb = Math.hypot(foot.x - top.x, foot.y - top.y);
  if (stick < 1 || plumb < 1) return undefined;
  const { stickLength, cameraDistance, stickBehind = 0 } = scene.setup;
  return {
    roll: Math.atan2(foot.x - top.x, foot.y - top.y) + ((scene.lean ?? 0) * Math.PI) / 180,
    // a stick behind the ankles looks short: what it measures there is larger than the same pixels at the ankles
    mmPerPx: ((stickLength / stick) * cameraDistance) / (cameraDistance + stickBehind),
  };
}

/**
 * How sure the true vertical in the middle of the picture is (SD, degrees) by how level the lens looks (`pitch`, SD, degrees): what
 * hangs at x from the middle leans by (x / focal length) · pitch. The stick on the other side leans the other way and could
 * take half of it out, but stands less truly than a plumb hangs: at 0.4° it would add more than it takes.
 */
export function leanOf(scene: Scene, pitch: Degrees): Degrees {
  const { "plumb.top": top, "plumb.foot": foot } = scene.marks;
  const calibration = calibrate(scene);
  if (!top || !foot || !calibration) return 0;
  const focal = scene.setup.cameraDistance / calibration.mmPerPx;
  return (Math.abs((top.x + foot.x) / 2 - scene.setup.width / 2) / focal) * pitch;
}

/** A mark turned upright about the middle of the picture, in mm at the plane of the ankles, y up from the lens. */
export function upright(scene: Scene, { roll, mmPerPx }: Calibration, { x, y }: Px): { right: number; above: number } {
  const dx = x - scene.setup.width / 2;
  const dy = scene.setup.height / 2 - y;
  const cos = Math.cos(roll);
  const sin = Math.sin(roll);
  return { right: (dx * cos + dy * sin) * mmPerPx, above: (dy * cos - dx * sin) * mmPerPx };
}

/**
 * How near the camera a point on the floor lies (mm before the plane of the ankles): the lower it stands in the
 * picture, the nearer. Its ankle, whose depth is known, takes out a camera that does not look quite level.
 */
function nearOnFloor(scene: Scene, calibration: Calibration, point: PointKey, above: number): Millimetres | undefined {
  const { landmark, side } = splitPoint(point);
  const ankle: PointKey = `ankle.${side ?? "L"}`;
  const mark = scene.marks[ankle];
  if (!mark) return undefined;
  const { setup } = scene;
  const seen = (height: Millimetres, near: Millimetres) =>
    ((height - setup.cameraHeight) * setup.cameraDistance) / (setup.cameraDistance - near);
  const off =
    upright(scene, calibration, mark).above -
    seen(landmarks.ankle.height * setup.stature, usualDepth(scene.view, ankle, setup.stature));
  const low = landmarks[landmark].height * setup.stature - setup.cameraHeight;
  return setup.cameraDistance - (low * setup.cameraDistance) / (above - off);
}

/**
 * Where a marked landmark lies on the body: the pixel is turned upright about the middle of the picture, scaled at
 * the landmark's own depth (a pinhole camera that looks level), and turned back by the client's yaw. Undefined while
 * it, or the ankle a point on the floor is measured from, is not marked.
 */
export function locate(scene: Scene, calibration: Calibration, point: PointKey): BodyPoint | undefined {
  const mark = scene.marks[point];
  if (!mark) return undefined;
  const { setup, view } = scene;
  const { right, above } = upright(scene, calibration, mark);
  const { onFloor, joint, forward } = landmarks[splitPoint(point).landmark];
  const usual = onFloor ? nearOnFloor(scene, calibration, point, above) : usualDepth(view, point, setup.stature);
  if (usual === undefined) return undefined;
  const depth = usual + (scene.depth[point] ?? 0);
  const scale = (setup.cameraDistance - depth) / setup.cameraDistance;
  const turned = depth * Math.tan((scene.yaw * Math.PI) / 180);
  return {
    across: pictureSign[view] * (right * scale - turned),
    up: setup.cameraHeight + above * scale,
    near: depth + (joint === undefined || view !== "front" ? 0 : (joint - forward) * setup.stature),
  };
}

/** Where a place on the body falls in the picture: the inverse of `locate` for a client who stands square. */
export function project(scene: Scene, { roll, mmPerPx }: Calibration, place: BodyPoint): Px {
  const { cameraDistance, cameraHeight, width, height } = scene.setup;
  const scale = (mmPerPx * (cameraDistance - place.near)) / cameraDistance;
  const right = (pictureSign[scene.view] * place.across) / scale;
  const above = (place.up - cameraHeight) / scale;
  const [cos, sin] = [Math.cos(roll), Math.sin(roll)];
  return { x: width / 2 + right * cos - above * sin, y: height / 2 - (above * cos + right * sin) };
}
