import type { MarkKey, Marks, Px } from "./calibration";
import { isReference } from "./marking";
import type { Grey } from "./snap";

/** Marks found again in another picture of the same minute, and how sure each is (0–1). */
export type Followed = { marks: Marks; sure: Partial<Record<MarkKey, number>> };

/** Everything by the picture's height: a patch's half side, how far it may have gone (plumb and stick stay), and a rival. */
const [half, reach, still, rival] = [1 / 70, 1 / 22, 1 / 220, 1 / 110];

/**
 * Follows the marks of one picture into another standing of the same person before the same camera: what lies around each
 * mark is looked for near where it is expected (`guess`), by normalised cross-correlation, finer than a pixel. Sure is what
 * is found almost unchanged and nowhere else nearby; what has no structure of its own (bare skin) is not, and is asked.
 */
export function follow(from: Grey, marks: Marks, to: Grey, guess: Marks): Followed {
  const found: Marks = {};
  const sure: Followed["sure"] = {};
  const size = Math.max(5, Math.round(half * from.height));
  for (const [key, at] of Object.entries(marks) as [MarkKey, Px][]) {
    const start = guess[key] ?? at;
    const patch = patchOf(from, at, size);
    const far = Math.max(2, Math.round((isReference(key) ? still : reach) * to.height));
    if (!patch) {
      found[key] = start;
      sure[key] = 0;
      continue;
    }
    const wide = 2 * far + 1;
    const scores = new Float64Array(wide * wide);
    let best = 0;
    for (let dy = -far; dy <= far; dy++)
      for (let dx = -far; dx <= far; dx++) {
        const i = (dy + far) * wide + dx + far;
        scores[i] = alike(patch, to, { x: start.x + dx, y: start.y + dy }, size);
        if (scores[i]! > scores[best]!) best = i;
      }
    const [bx, by] = [best % wide, Math.floor(best / wide)];
    const at2 = (x: number, y: number) => (x < 0 || y < 0 || x >= wide || y >= wide ? -1 : scores[y * wide + x]!);
    const top = at2(bx, by);
    // between pixels: the top of the parabola through the neighbours
    const finer = (before: number, after: number) => {
      const bend = before - 2 * top + after;
      return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
    };
    found[key] = {
      x: start.x + bx - far + finer(at2(bx - 1, by), at2(bx + 1, by)),
      y: start.y + by - far + finer(at2(bx, by - 1), at2(bx, by + 1)),
    };
    const apart = rival * to.height;
    let second = -1;
    for (let y = 0; y < wide; y++)
      for (let x = 0; x < wide; x++)
        if (Math.abs(x - bx) + Math.abs(y - by) > apart) second = Math.max(second, scores[y * wide + x]!);
    const edge = bx === 0 || by === 0 || bx === wide - 1 || by === wide - 1;
    const clear = isReference(key) ? 1 : Math.max(0, Math.min(1, (top - second) / 0.12));
    sure[key] = edge && !isReference(key) ? 0 : Math.max(0, Math.min(1, (top - 0.6) / 0.3)) * clear;
  }
  return { marks: found, sure };
}

type Patch = { values: Float64Array; spread: number };

/** The grey levels around a place, their mean taken off; undefined where it is cut off or nothing is to be seen in it. */
function patchOf(grey: Grey, at: Px, size: number): Patch | undefined {
  const values = new Float64Array((2 * size + 1) ** 2);
  if (!fill(values, grey, at, size)) return undefined;
  const spread = centre(values);
  return spread < 2.5 * Math.sqrt(values.length) ? undefined : { values, spread };
}

const scratch = { values: new Float64Array(0) };

/** Normalised cross-correlation of a patch with what lies around a place (−1 to 1). */
function alike(patch: Patch, grey: Grey, at: Px, size: number): number {
  if (scratch.values.length !== patch.values.length) scratch.values = new Float64Array(patch.values.length);
  const { values } = scratch;
  if (!fill(values, grey, at, size)) return -1;
  const spread = centre(values);
  if (spread === 0) return -1;
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]! * patch.values[i]!;
  return sum / (spread * patch.spread);
}

/** Reads a square around a place, between pixels; false where it reaches beyond the picture. */
function fill(values: Float64Array, grey: Grey, at: Px, size: number): boolean {
  const [x, y] = [at.x - grey.left - 0.5 - size, at.y - grey.top - 0.5 - size];
  const [x0, y0] = [Math.floor(x), Math.floor(y)];
  if (x0 < 0 || y0 < 0 || x0 + 2 * size + 1 >= grey.width || y0 + 2 * size + 1 >= grey.height) return false;
  const [fx, fy] = [x - x0, y - y0];
  const [a, b, c, d] = [(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy, fx * fy];
  let i = 0;
  for (let row = 0; row <= 2 * size; row++) {
    let at = (y0 + row) * grey.width + x0;
    for (let column = 0; column <= 2 * size; column++, at++)
      values[i++] =
        a * grey.data[at]! +
        b * grey.data[at + 1]! +
        c * grey.data[at + grey.width]! +
        d * grey.data[at + grey.width + 1]!;
  }
  return true;
}

/** Takes the mean off, in place; returns the root of the sum of squares that is left. */
function centre(values: Float64Array): number {
  let sum = 0;
  for (const value of values) sum += value;
  const mean = sum / values.length;
  let squares = 0;
  for (let i = 0; i < values.length; i++) {
    values[i]! -= mean;
    squares += values[i]! ** 2;
  }
  return Math.sqrt(squares);
}
