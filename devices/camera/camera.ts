import type { PointKey } from "../../core/anatomy/landmarks";
import type { Marks, PhotoSetup, Px } from "../../core/measure/calibration";
import { pointsOfView, type View } from "../../core/measure/view";
import { toRadians, type Degrees, type Millimetres } from "../../core/units";
import { bodyOf } from "./body";
import { join, type Field, type Solid } from "./field";
import { poseOf } from "./pose";
import type { Posture } from "./posture";
import { landmarksOf, type Truth } from "./truth";
import { dot, type Vec3 } from "./vector";

/** How the stand-in camera is set up. */
export type CameraSettings = {
  view: View;
  width: number;
  height: number;
  /** Lens to the plane of plumb and stick. */
  distance: Millimetres;
  lensHeight: Millimetres;
  /** Camera turned about its own axis, clockwise. */
  roll: Degrees;
  /** Lens looking up; 0 (level) when left out. */
  pitch?: Degrees;
  /** The figure turned out of the picture's plane. */
  yaw: Degrees;
  /** Plumb and stick hang this far behind the plane of the ankles; 0 when left out. */
  stickBehind?: Millimetres;
  /** Sensor noise, SD in grey levels of 255. */
  noise: number;
  seed: number;
};

export const usualCamera: Omit<CameraSettings, "view"> = {
  width: 600,
  height: 900,
  distance: 3000,
  lensHeight: 950,
  roll: 0,
  yaw: 0,
  noise: 2,
  seed: 1,
};

export const stickLength: Millimetres = 1800;
/** Plumb and stick hang this far to the left and right of the figure, in the plane of its ankles. */
export const plumbAt: Millimetres = -440;
export const stickAt: Millimetres = 440;
export const plumbTop: Millimetres = 1980;
export const plumbFoot: Millimetres = 60;

/** The camera's own frame: `right` and `near` are directions in the body frame. */
export type Frame = {
  right: Vec3;
  near: Vec3;
  focal: number;
  /** Of the roll, and of the pitch. */
  cos: number;
  sin: number;
  up: { cos: number; sin: number };
};

const facing: Record<View, { right: Vec3; near: Vec3 }> = {
  front: { right: [1, 0, 0], near: [0, 0, 1] },
  back: { right: [-1, 0, 0], near: [0, 0, -1] },
  left: { right: [0, 0, -1], near: [1, 0, 0] },
  right: { right: [0, 0, 1], near: [-1, 0, 0] },
};

export function frameOf(camera: CameraSettings): Frame {
  const yaw = toRadians(camera.yaw);
  const turn = ([x, , z]: Vec3): Vec3 => [
    x * Math.cos(yaw) + z * Math.sin(yaw),
    0,
    z * Math.cos(yaw) - x * Math.sin(yaw),
  ];
  // The room from floor to above the plumb's hook fills the picture, whatever the lens height.
  const half = Math.max(camera.lensHeight + 110, 2060 - camera.lensHeight);
  const [roll, pitch] = [toRadians(camera.roll), toRadians(camera.pitch ?? 0)];
  return {
    right: turn(facing[camera.view].right),
    near: turn(facing[camera.view].near),
    focal: (camera.height / 2 / half) * camera.distance,
    cos: Math.cos(roll),
    sin: Math.sin(roll),
    up: { cos: Math.cos(pitch), sin: Math.sin(pitch) },
  };
}

/** Where a place in the room falls in the picture; `across` and `near` are in the camera's frame (mm). */
export function project(camera: CameraSettings, frame: Frame, across: number, up: number, near: number): Px {
  const [above, away] = [up - camera.lensHeight, camera.distance - near];
  const k = frame.focal / (away * frame.up.cos + above * frame.up.sin);
  const x = across * k;
  const y = (above * frame.up.cos - away * frame.up.sin) * k;
  return {
    x: camera.width / 2 + x * frame.cos - y * frame.sin,
    y: camera.height / 2 - (y * frame.cos + x * frame.sin),
  };
}

/** A posed figure: its surface and its true landmarks. */
export type Figure = { solids: readonly Solid[]; truth: Truth; stature: Millimetres };

export function figureOf(posture: Posture): Figure {
  const pose = poseOf(posture);
  const solids = bodyOf(posture.stature, pose);
  const field: Field = join(solids);
  return { solids, truth: landmarksOf(posture.stature, pose, field), stature: posture.stature };
}

/** Where plumb, stick and every landmark of the view truly fall in the picture (px). */
export function trueMarks(figure: Figure, camera: CameraSettings): Marks {
  const frame = frameOf(camera);
  const props = -(camera.stickBehind ?? 0);
  const marks: Marks = {
    "plumb.top": project(camera, frame, plumbAt, plumbTop, props),
    "plumb.foot": project(camera, frame, plumbAt, plumbFoot, props),
    "stick.top": project(camera, frame, stickAt, stickLength, props),
    "stick.foot": project(camera, frame, stickAt, 0, props),
  };
  for (const point of pointsOfView[camera.view]) {
    const skin = figure.truth[point as PointKey]!;
    // from behind the middle of the malleoli is marked, not the front of the ankle
    const side = point.startsWith("ankle.") && camera.view === "back" ? point.slice(-1) : undefined;
    const place: Vec3 = side ? [skin[0], skin[1], figure.truth[`malleolus.${side}` as PointKey]![2]] : skin;
    marks[point] = project(camera, frame, dot(place, frame.right), place[1], dot(place, frame.near));
  }
  return marks;
}

/** What a practitioner would note down about this picture's set-up. */
export const setupOf = (camera: CameraSettings, stature: Millimetres): PhotoSetup => ({
  width: camera.width,
  height: camera.height,
  stickLength,
  cameraDistance: camera.distance,
  cameraHeight: camera.lensHeight,
  stature,
});
