import { landmarks, splitPoint, type PointKey } from "../../core/anatomy/landmarks";
import type { MarkKey, Marks, PhotoSetup } from "../../core/measure/calibration";
import { isReference } from "../../core/measure/marking";
import { usualPrecision } from "../../core/measure/propagate";
import { readPhoto } from "../../core/measure/read-photo";
import { views, type View } from "../../core/measure/view";
import { seeded, type Random } from "../../core/random";
import { z95 } from "../../core/units";
import { figureOf, setupOf, stickLength, trueMarks, usualCamera, type CameraSettings } from "./camera";
import { drawPosture } from "./posture";
import { trueMetrics } from "./truth";

/** Marks as a practised hand would place them: the true place plus the placing error the core takes for granted. */
export function placed(marks: Marks, random: Random, share = 1): Marks {
  const result: Marks = {};
  const [top, foot] = [marks["stick.top"]!, marks["stick.foot"]!];
  const mmPerPx = stickLength / Math.hypot(top.x - foot.x, top.y - foot.y);
  for (const [key, at] of Object.entries(marks) as [MarkKey, { x: number; y: number }][]) {
    const sd = isReference(key)
      ? usualPrecision.referencePx
      : Math.hypot(usualPrecision.pointingPx, landmarks[splitPoint(key as PointKey).landmark].placing / mmPerPx);
    result[key] = { x: at.x + share * sd * random.normal(), y: at.y + share * sd * random.normal() };
  }
  return result;
}

/** How one metric came out over all trials: what was read against what was true. */
export type Outcome = { id: string; n: number; bias: number; rms: number; se: number; inside: number };

/** Cameras as they stand in practice: tripods moved a little, rolled a little, the client not quite square. */
export const ordinaryCamera = (random: Random): Partial<CameraSettings> => ({
  distance: 3000 + 400 * (random.uniform() - 0.5),
  lensHeight: 1000 + 300 * (random.uniform() - 0.5),
  roll: 2 * random.normal(),
  pitch: usualPrecision.pitch * random.normal(),
  yaw: usualPrecision.yaw * random.normal(),
  stickBehind: usualPrecision.stickBehind * random.normal(),
});

/**
 * Photographs `people` random lay figures in all four views, marks them with ordinary placing error and holds every
 * metric against the truth in space. `note` turns what the camera really was into what is written down about it (by
 * default measured with a tape); `seen` is told of each marked picture.
 */
export function tryOut(
  people: number,
  seed: number,
  {
    camera: choose = ordinaryCamera,
    note = (setup) => setup,
    seen,
  }: {
    camera?: (random: Random) => Partial<CameraSettings>;
    note?: (setup: PhotoSetup) => PhotoSetup;
    seen?: (photo: { view: View; setup: PhotoSetup; marks: Marks }) => void;
  } = {},
): Outcome[] {
  const random = seeded(seed);
  const found = new Map<string, { errors: number[]; ses: number[]; inside: number }>();
  for (let i = 0; i < people; i++) {
    const posture = drawPosture(random);
    const figure = figureOf(posture);
    for (const view of views) {
      const camera: CameraSettings = { ...usualCamera, view, ...choose(random) };
      const taped = setupOf(camera, posture.stature);
      taped.cameraDistance += usualPrecision.cameraDistance * random.normal();
      taped.cameraHeight += usualPrecision.cameraHeight * random.normal();
      const photo = { view, setup: note(taped), marks: placed(trueMarks(figure, camera), random) };
      seen?.(photo);
      const truth = trueMetrics(figure.truth, view);
      for (const { id, value, se } of readPhoto(photo)) {
        const entry = found.get(id) ?? { errors: [], ses: [], inside: 0 };
        const error = value - truth.get(id)!;
        entry.errors.push(error);
        entry.ses.push(se);
        if (Math.abs(error) < z95 * se) entry.inside++;
        found.set(id, entry);
      }
    }
  }
  const mean = (list: readonly number[]) => list.reduce((sum, value) => sum + value, 0) / list.length;
  return [...found].map(([id, { errors, ses, inside }]) => ({
    id,
    n: errors.length,
    bias: mean(errors),
    rms: Math.sqrt(mean(errors.map((error) => error ** 2))),
    se: mean(ses),
    inside: inside / errors.length,
  }));
}
