import { landmarks, splitPoint, type LandmarkKey, type PointKey } from "../anatomy/landmarks";
import type { Millimetres, Side } from "../units";

/** The four standing photographs, named for the side of the client that faces the camera. */
export type View = "front" | "back" | "left" | "right";
export const views: readonly View[] = ["front", "back", "left", "right"];
export const viewName: Record<View, string> = {
  front: "Front",
  back: "Back",
  left: "Left side",
  right: "Right side",
};

/**
 * +1 when the picture's right is the positive body axis: towards the client's left in front and back views,
 * forward in side views.
 */
export const pictureSign: Record<View, 1 | -1> = { front: 1, back: -1, left: -1, right: 1 };

export const isSideView = (view: View): boolean => view === "left" || view === "right";

/** How far a landmark usually lies in front of the plane of plumb and stick, towards the camera (mm). */
export function usualDepth(view: View, point: PointKey, stature: Millimetres): Millimetres {
  const { landmark, side } = splitPoint(point);
  const { lateral, forward } = landmarks[landmark];
  if (view === "front") return forward * stature;
  // from behind the middle of the malleoli is marked, which lies in the plane of the ankles
  if (view === "back") return landmark === "ankle" ? 0 : -forward * stature;
  return (side === (view === "left" ? "L" : "R") ? lateral : side ? -lateral : 0) * stature;
}

const both = (...keys: LandmarkKey[]): PointKey[] => keys.flatMap((key) => [`${key}.R`, `${key}.L`] as PointKey[]);
const near = (side: Side): PointKey[] => [
  `malleolus.${side}`,
  `condyle.${side}`,
  `trochanter.${side}`,
  `asis.${side}`,
  `psis.${side}`,
  `acromion.${side}`,
  "c7",
  `tragus.${side}`,
  `canthus.${side}`,
];

/** The landmarks each view asks for, in the order they are asked. */
export const pointsOfView: Record<View, readonly PointKey[]> = {
  front: [...both("toe", "ankle", "patella", "asis"), "sternal-notch", ...both("acromion", "tragus")],
  back: [
    ...both("heel", "heel-top", "calf", "ankle", "psis"),
    "t12",
    ...both("scapula-low", "scapula-root"),
    "c7",
    ...both("acromion", "tragus"),
  ],
  left: near("L"),
  right: near("R"),
};
