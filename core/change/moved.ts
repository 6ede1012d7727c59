import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import { pointStance } from "../measure/stance";
import { figureOfPoint, type OwnFigures } from "../measure/own-figures";
import type { Px } from "../measure/calibration";
import { mapped, overlay } from "../measure/overlay";
import { measure, type MeasuredBy, type Precision, usualPrecision } from "../measure/propagate";
import { feetOf } from "../measure/propose";
import { sceneOf, type MarkedPhoto } from "../measure/read-photo";
import { pointsOfView } from "../measure/view";

/** A landmark that stands elsewhere than in an earlier picture, seen from the ankles; both places in pixels of now. */
export type Move = { point: PointKey; from: Px; to: Px };

/** 95 % point of chi-square with two degrees of freedom: −2·ln 0.05 (any table). */
const chiSquare = -2 * Math.log(0.05);

/**
 * Landmarks that moved by more than their error, between two pictures of one client and view laid over each other on
 * ankles and plumb. Both directions are judged together: (Δx/σx)² + (Δy/σy)² beyond the 95 % point of chi-square with
 * two degrees of freedom. Errors are those of everything that differs from picture to picture, how one stands included.
 */
export function movedBetween(
  earlier: MarkedPhoto,
  now: MarkedPhoto,
  own?: OwnFigures,
  precision: Precision = usualPrecision,
): Move[] {
  const map = overlay(earlier, now);
  if (!map) return [];
  const feet = feetOf(now.view);
  const scenes = [sceneOf(earlier), sceneOf(now)] as const;
  return pointsOfView[now.view]
    .filter((point) => !feet.includes(point) && earlier.marks[point] && now.marks[point])
    .flatMap((point): Move[] => {
      const along = (axis: "across" | "up"): MeasuredBy => ({
        sides: "none",
        points: () => [point, ...feet],
        value: ([place, ...ankles]) =>
          place![axis] - ankles.reduce((sum, ankle) => sum + ankle[axis], 0) / ankles.length,
      });
      const share = figureOfPoint(own, splitPoint(point).landmark);
      const careful = { ...precision, placing: precision.placing * share };
      let sum = 0;
      for (const axis of ["across", "up"] as const) {
        const [before, after] = scenes.map((scene) => measure(along(axis), undefined, scene, careful));
        if (!before || !after) return [];
        const standing = pointStance(landmarks[splitPoint(point).landmark].height)[axis];
        sum += (after.value - before.value) ** 2 / (before.seRepeat ** 2 + after.seRepeat ** 2 + 2 * standing ** 2);
      }
      return sum > chiSquare ? [{ point, from: mapped(map, earlier.marks[point]!), to: now.marks[point]! }] : [];
    });
}
