import type { PointKey } from "../anatomy/landmarks";
import { calibrate, locate, type BodyPoint } from "./calibration";
import { sceneOf, type MarkedPhoto } from "./read-photo";
import type { View } from "./view";

/** A drawing of how someone stands: chains of points in mm, from the ankles' middle, up from the floor. */
export type StanceLine = { view: View; chains: BodyPoint[][] };

const chainsOf = (view: View): (readonly PointKey[])[] => {
  if (view === "front" || view === "back") {
    const hips = view === "front" ? "asis" : "psis";
    return [
      ["tragus.R", "tragus.L"],
      ["acromion.R", "acromion.L"],
      [`${hips}.R`, `${hips}.L`],
      [`${hips}.R`, "patella.R", "ankle.R"],
      [`${hips}.L`, "patella.L", "ankle.L"],
    ];
  }
  const side = view === "left" ? "L" : "R";
  return [
    [`tragus.${side}`, "c7"],
    [`tragus.${side}`, `acromion.${side}`, `trochanter.${side}`, `condyle.${side}`, `malleolus.${side}`],
    [`psis.${side}`, `asis.${side}`],
  ];
};

/**
 * The stance line of a marked picture, standing on the middle of its ankles and true to its plumb line, so that two
 * of them can be laid over one another at the same scale. Undefined without calibration or ankles.
 */
export function stanceLine(photo: MarkedPhoto): StanceLine | undefined {
  const scene = sceneOf(photo);
  const calibration = calibrate(scene);
  if (!calibration) return undefined;
  const at = (point: PointKey) => locate(scene, calibration, point);
  const ankles: PointKey[] =
    photo.view === "front" || photo.view === "back"
      ? ["ankle.R", "ankle.L"]
      : [photo.view === "left" ? "malleolus.L" : "malleolus.R"];
  const feet = ankles.map(at).filter((place) => place !== undefined);
  if (feet.length < ankles.length) return undefined;
  const origin = feet.reduce((sum, place) => sum + place.across, 0) / feet.length;
  const chains = chainsOf(photo.view)
    .map((chain) => chain.map(at).filter((place) => place !== undefined))
    .filter((chain) => chain.length > 1)
    .map((chain) => chain.map((place) => ({ ...place, across: place.across - origin })));
  return { view: photo.view, chains };
}
