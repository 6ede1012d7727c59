import { landmarks, splitPoint, type PointKey } from "../../core/anatomy/landmarks";
import { seeded, seedOf } from "../../core/random";
import type { Marks, Px } from "../../core/measure/calibration";
import { isReference } from "../../core/measure/marking";
import { stickLength, type CameraSettings, type Figure, trueMarks } from "./camera";

/** Adhesive dots on the bony points: round, flat, of one strong colour, as they are bought for this. */
export type Dots = {
  /** Diameter, mm. */
  diameter: number;
  /** Share of the points whose dot has come off. */
  missing: number;
  /** Spots of the same colour that are no dot on a point. */
  strays: number;
  seed: number;
  /** How well the points were found by touch: times the ordinary placing error; 1 when left out. */
  finding?: number;
};
export const usualDots: Dots = { diameter: 13, missing: 0, strays: 0, seed: 1 };
const colour = [38, 168, 92] as const;

/** Where the dots of a picture are to be seen, and the strays. */
export type Worn = { marks: Marks; strays: Px[] };

/**
 * Paints dots on to a rendered picture (RGBA), in place: an ellipse for each, foreshortened as its place is turned away, its
 * edge softened over a pixel. Eye corners wear none. The same seed loses and strays the same ones.
 */
export function wearDots(pixels: Uint8ClampedArray, figure: Figure, camera: CameraSettings, dots: Dots): Worn {
  const random = seeded(dots.seed);
  const truth = trueMarks(figure, camera);
  const [top, foot] = [truth["stick.top"]!, truth["stick.foot"]!];
  const radius = (dots.diameter / 2) * (Math.hypot(top.x - foot.x, top.y - foot.y) / stickLength);
  const paint = (at: Px, narrow: number, lean: number) => {
    const [cos, sin] = [Math.cos(lean), Math.sin(lean)];
    for (let y = Math.floor(at.y - radius - 2); y <= at.y + radius + 2; y++)
      for (let x = Math.floor(at.x - radius - 2); x <= at.x + radius + 2; x++) {
        if (x < 0 || y < 0 || x >= camera.width || y >= camera.height) continue;
        // pixel centres lie half a pixel into them
        const [dx, dy] = [x + 0.5 - at.x, y + 0.5 - at.y];
        const off = Math.hypot((dx * cos + dy * sin) / narrow, dy * cos - dx * sin) - radius;
        const cover = Math.max(0, Math.min(1, 0.5 - off));
        if (cover === 0) continue;
        const i = 4 * (y * camera.width + x);
        const light = (0.3 * pixels[i]! + 0.6 * pixels[i + 1]! + 0.1 * pixels[i + 2]!) / 190;
        for (let c = 0; c < 3; c++)
          pixels[i + c] = pixels[i + c]! * (1 - cover) + Math.min(255, colour[c]! * (0.35 + 0.75 * light)) * cover;
      }
  };
  const marks: Marks = {};
  const scale = radius / (dots.diameter / 2);
  for (const [key, place] of Object.entries(truth) as [PointKey, Px][]) {
    if (isReference(key) || key.startsWith("canthus")) continue;
    // found by touch: a little beside the point, and the same wherever it is seen from this side
    const hand = seeded(seedOf(`${dots.seed} ${key}`));
    const off = (dots.finding ?? 1) * landmarks[splitPoint(key).landmark].placing * scale;
    const at = { x: place.x + off * hand.normal(), y: place.y + off * hand.normal() };
    const [lost, narrow, lean] = [
      random.uniform() < dots.missing,
      0.62 + 0.38 * random.uniform(),
      random.uniform() - 0.5,
    ];
    if (lost) continue;
    paint(at, narrow, lean);
    marks[key] = at;
  }
  const strays = Array.from({ length: dots.strays }, () => ({
    x: camera.width * (0.15 + 0.7 * random.uniform()),
    y: camera.height * (0.1 + 0.8 * random.uniform()),
  }));
  for (const at of strays) paint(at, 0.9, 0);
  return { marks, strays };
}
