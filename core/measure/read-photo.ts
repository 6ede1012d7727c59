import type { Side } from "../units";
import type { Marks, PhotoSetup, Scene } from "./calibration";
import { metricsOf, sidesIn, type Metric } from "./metrics";
import { measure, type Measured, type Precision } from "./propagate";
import type { View } from "./view";

/** A marked photograph as it is stored. */
export type MarkedPhoto = { view: View; setup: PhotoSetup; marks: Marks };

export type Reading = Measured & { metric: Metric; side: Side | undefined; id: string };

/** The scene a stored picture stands for: usual depths, client square to the camera. */
export const sceneOf = (photo: MarkedPhoto): Scene => ({ ...photo, depth: {}, yaw: 0 });

/** All metrics a picture's marks allow, in the order of the catalogue. Missing landmarks leave theirs out. */
export function readPhoto(photo: MarkedPhoto, precision?: Precision): Reading[] {
  const scene = sceneOf(photo);
  return metricsOf(photo.view).flatMap((metric) =>
    sidesIn(metric, photo.view).flatMap((side): Reading[] => {
      const measured = measure(metric, side, scene, precision);
      return measured ? [{ ...measured, metric, side, id: readingId(metric, side, photo.view) }] : [];
    }),
  );
}

/** One metric of one side in one view: what may be compared with itself at another moment. */
export const readingId = (metric: Metric, side: Side | undefined, view: View): string =>
  [metric.key, side, view].filter(Boolean).join(".");
