import type { Marks } from "../measure/calibration";
import type { Precision } from "../measure/propagate";
import { fromProportions } from "../measure/propose";
import type { View } from "../measure/view";

/** A set-up for tests: 600 × 900 pixels of about 2.45 mm. */
export const setup = {
  width: 600,
  height: 900,
  stickLength: 1800,
  cameraDistance: 3000,
  cameraHeight: 950,
  stature: 1750,
};

/** Plumb and stick, upright beside the body. */
export const references: Marks = {
  "plumb.top": { x: 110, y: 40 },
  "plumb.foot": { x: 110, y: 810 },
  "stick.top": { x: 480, y: 100 },
  "stick.foot": { x: 480, y: 834 },
};

/** Somebody of ordinary proportions, wholly marked. */
export const standing = (view: View) => ({
  view,
  setup,
  marks: { ...references, ...fromProportions({ view, setup, marks: references }) },
});

/** Nothing is uncertain. */
export const still: Precision = {
  pointingPx: 0,
  referencePx: 0,
  placing: 0,
  cameraDistance: 0,
  cameraHeight: 0,
  stickBehind: 0,
  yaw: 0,
  pitch: 0,
};
