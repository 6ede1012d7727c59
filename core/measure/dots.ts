import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import type { Marks, Px } from "./calibration";
import { pictureSign, isSideView, pointsOfView, type View } from "./view";

/** A picture in colour: RGBA, row by row. */
export type Colours = { data: ArrayLike<number>; width: number; height: number };

/** A spot that looks like a dot: its middle, its half axes (px), and how strongly it stands out. */
export type Spot = Px & { long: number; short: number; strength: number };

/**
 * Spots that stand out in colour from what lies around them and are round or foreshortened round: blobs of pixels whose
 * colour differs from the mean of their neighbourhood, an ellipse fitted to each by its moments. Whatever is larger than
 * `largest` (px across), too thin or ragged is left out. Middles are weighted by colour, finer than a pixel.
 */
export function findSpots({ data, width, height }: Colours, largest = height / 38): Spot[] {
  // two channels that light and shade hardly change
  const size = width * height;
  const [a, b] = [new Float32Array(size), new Float32Array(size)];
  for (let i = 0; i < size; i++) {
    const [red, green, blue] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!];
    a[i] = red - green;
    b[i] = blue - (red + green) / 2;
  }
  const reach = Math.ceil(1.6 * largest);
  const [meanA, meanB] = [boxMean(a, width, height, reach), boxMean(b, width, height, reach)];
  const away = new Float32Array(size);
  for (let i = 0; i < size; i++) {
    const [u, v] = [a[i]! - meanA[i]!, b[i]! - meanB[i]!];
    away[i] = Math.sqrt(u * u + v * v);
  }
  const threshold = 34;
  const seen = new Uint8Array(size);
  const spots: Spot[] = [];
  const stack: number[] = [];
  for (let start = 0; start < size; start++) {
    if (seen[start] || away[start]! < threshold) continue;
    const pixels: number[] = [];
    seen[start] = 1;
    stack.push(start);
    while (stack.length > 0) {
      const i = stack.pop()!;
      pixels.push(i);
      const x = i % width;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
        if (j >= 0 && j < size && !seen[j] && away[j]! >= threshold) {
          seen[j] = 1;
          stack.push(j);
        }
    }
    const spot = ellipseOf(pixels, away, width);
    if (spot && spot.long <= largest / 2) spots.push(spot);
  }
  return spots;
}

/** The ellipse of a blob by its moments; undefined when it is tiny, thin or ragged. */
function ellipseOf(pixels: readonly number[], weight: Float32Array, width: number): Spot | undefined {
  if (pixels.length < 7) return undefined;
  let [sum, x, y] = [0, 0, 0];
  for (const i of pixels) {
    sum += weight[i]!;
    x += weight[i]! * ((i % width) + 0.5);
    y += weight[i]! * (Math.floor(i / width) + 0.5);
  }
  [x, y] = [x / sum, y / sum];
  let [xx, yy, xy] = [0, 0, 0];
  for (const i of pixels) {
    const [dx, dy] = [(i % width) + 0.5 - x, Math.floor(i / width) + 0.5 - y];
    xx += dx * dx;
    yy += dy * dy;
    xy += dx * dy;
  }
  const n = pixels.length;
  [xx, yy, xy] = [xx / n, yy / n, xy / n];
  const [middle, half] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  // a full ellipse has a quarter of its half axes squared as moments
  const [long, short] = [2 * Math.sqrt(middle + half), 2 * Math.sqrt(Math.max(0, middle - half))];
  const filled = n / (Math.PI * long * short || 1);
  if (short < 1 || long / short > 3 || filled < 0.72) return undefined;
  return { x, y, long, short, strength: sum / n };
}

/** Mean of a square neighbourhood of every pixel, by running sums. */
function boxMean(values: Float32Array, width: number, height: number, reach: number): Float32Array {
  const sums = new Float64Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++) {
    let row = 0;
    for (let x = 0; x < width; x++) {
      row += values[y * width + x]!;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  }
  const mean = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    const [y0, y1] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)];
    const [high, low] = [y0 * (width + 1), y1 * (width + 1)];
    for (let x = 0; x < width; x++) {
      const [x0, x1] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)];
      const inside = sums[low + x1]! - sums[low + x0]! - sums[high + x1]! + sums[high + x0]!;
      mean[y * width + x] = inside / ((x1 - x0) * (y1 - y0));
    }
  }
  return mean;
}

/** Spots with the names of the points they seem to lie on, and how sure that is (0–1). */
export type Named = { marks: Marks; sure: Partial<Record<PointKey, number>>; strays: number };

/** Where the points of a view lie by proportions, in shares of stature, as in a picture: x to the right, y down. */
export const proportionsOf = (view: View): Map<PointKey, Px> =>
  new Map(
    pointsOfView[view]
      .filter((key) => !key.startsWith("canthus"))
      .map((key) => {
        const { landmark, side } = splitPoint(key);
        const { lateral, forward, height } = landmarks[landmark];
        const across = isSideView(view) ? forward : side === "R" ? -lateral : side === "L" ? lateral : 0;
        return [key, { x: pictureSign[view] * across, y: -height }];
      }),
  );

type Similarity = { cos: number; sin: number; x: number; y: number };
const moved = ({ cos, sin, x, y }: Similarity, at: Px): Px => ({
  x: cos * at.x - sin * at.y + x,
  y: sin * at.x + cos * at.y + y,
});

/** The turn, scale and shift that carries two points on to two others. */
function carrying(from: readonly [Px, Px], to: readonly [Px, Px]): Similarity {
  const [dx, dy] = [from[1].x - from[0].x, from[1].y - from[0].y];
  const [ex, ey] = [to[1].x - to[0].x, to[1].y - to[0].y];
  const square = dx * dx + dy * dy;
  const cos = (dx * ex + dy * ey) / square;
  const sin = (dx * ey - dy * ex) / square;
  return {
    cos,
    sin,
    x: to[0].x - (cos * from[0].x - sin * from[0].y),
    y: to[0].y - (sin * from[0].x + cos * from[0].y),
  };
}

/** How far a body may stand from its expected shape, in shares of stature; and what is as good as certain. */
const [farthest, close] = [0.045, 0.02];
/** A picture of somebody standing holds at least this share of its height, and does not lean further than this (tangent). */
const [leastScale, mostScale, mostTurn] = [0.45, 1.05, 0.16];

/**
 * Names spots by the shape they form together: the expected shape (proportions, or the same points in an earlier picture) is
 * laid on them so that most points find a spot, then every spot gets the point it fits best, each once (smallest sum of squared
 * distances). Sure is what lies close and has no rival. `expected` is in any scale with y down; `stature` its height in it.
 */
export function nameSpots(
  spots: readonly Spot[],
  expected: ReadonlyMap<PointKey, Px>,
  stature: number,
  picture: { height: number },
): Named {
  const keys = [...expected.keys()];
  const shape = keys.map((key) => expected.get(key)!);
  const none: Named = { marks: {}, sure: {}, strays: spots.length };
  if (spots.length < 3) return none;
  let best: { map: Similarity; score: number } | undefined;
  const scaleOf = ({ cos, sin }: Similarity) => Math.hypot(cos, sin);
  const reach = (map: Similarity) => farthest * stature * scaleOf(map);
  for (let i = 0; i < shape.length; i++)
    for (let j = 0; j < shape.length; j++) {
      if (shape[i]!.y - shape[j]!.y < 0.3 * stature) continue;
      for (const low of spots)
        for (const high of spots) {
          const length = low.y - high.y;
          if (length < 0.1 * picture.height) continue;
          const map = carrying([shape[i]!, shape[j]!], [low, high]);
          const scale = (scaleOf(map) * stature) / picture.height;
          if (scale < leastScale || scale > mostScale || Math.abs(map.sin) > mostTurn * map.cos) continue;
          const score = scoreOf(shape, spots, map, reach(map));
          if (!best || score > best.score) best = { map, score };
        }
    }
  if (!best) return none;
  // refined on what it found: a smooth map that also takes up how this body stands
  let places = shape.map((at) => moved(best.map, at));
  const limit = reach(best.map);
  for (const share of [1, 0.8]) {
    const pairs = assign(places, spots, share * limit);
    places = bent(places, pairs, spots, 0.16 * stature * scaleOf(best.map));
  }
  const pairs = assign(places, spots, limit);
  const marks: Marks = {};
  const sure: Named["sure"] = {};
  const certain = close * stature * scaleOf(best.map);
  for (const [point, spot] of pairs) {
    const { x, y } = spots[spot]!;
    const off = (at: Px) => Math.hypot(at.x - x, at.y - y);
    const own = off(places[point]!);
    const rivalPoint = Math.min(...places.filter((_, k) => k !== point).map(off));
    const rivalSpot = Math.min(
      ...spots
        .filter((_, k) => k !== spot)
        .map((other) => Math.hypot(other.x - places[point]!.x, other.y - places[point]!.y)),
    );
    const apart = Math.min(1, Math.min(rivalPoint, rivalSpot) / (2 * own + 1e-9));
    marks[keys[point]!] = { x, y };
    sure[keys[point]!] = Math.max(0, Math.min(1, 1.5 - own / certain)) * (own < 0.25 * certain ? 1 : apart);
  }
  return { marks, sure, strays: spots.length - pairs.size };
}

/** How many points find a spot, and how near. */
function scoreOf(shape: readonly Px[], spots: readonly Spot[], map: Similarity, reach: number): number {
  let score = 0;
  for (const at of shape) {
    const place = moved(map, at);
    let nearest = reach;
    for (const spot of spots) {
      const off = Math.abs(spot.x - place.x) + Math.abs(spot.y - place.y);
      if (off < nearest) nearest = off;
    }
    score += 1 - (nearest / reach) ** 2;
  }
  return score;
}

/** Points to spots, each once, by the smallest sum of squared distances; further than `reach` is no pair. */
function assign(places: readonly Px[], spots: readonly Spot[], reach: number): Map<number, number> {
  const n = Math.max(places.length, spots.length);
  const nothing = reach ** 2;
  const cost = Array.from({ length: n }, (_, i) =>
    Array.from({ length: n }, (_, j) => {
      const [place, spot] = [places[i], spots[j]];
      return place && spot ? Math.min(nothing, (place.x - spot.x) ** 2 + (place.y - spot.y) ** 2) : nothing;
    }),
  );
  const pairs = new Map<number, number>();
  cheapest(cost).forEach((j, i) => {
    if (places[i] && spots[j] && cost[i]![j]! < nothing) pairs.set(i, j);
  });
  return pairs;
}

/** The column of every row in the cheapest complete assignment of a square table (Kuhn 1955, with potentials, O(n³)). */
export function cheapest(cost: readonly (readonly number[])[]): number[] {
  const n = cost.length;
  const [rows, columns] = [new Float64Array(n + 1), new Float64Array(n + 1)];
  const rowOf = new Int32Array(n + 1);
  for (let i = 1; i <= n; i++) {
    rowOf[0] = i;
    let column = 0;
    const least = new Float64Array(n + 1).fill(Infinity);
    const from = new Int32Array(n + 1);
    const used = new Uint8Array(n + 1);
    do {
      used[column] = 1;
      const row = rowOf[column]!;
      let [delta, next] = [Infinity, 0];
      for (let j = 1; j <= n; j++) {
        if (used[j]) continue;
        const reduced = cost[row - 1]![j - 1]! - rows[row]! - columns[j]!;
        if (reduced < least[j]!) {
          least[j] = reduced;
          from[j] = column;
        }
        if (least[j]! < delta) [delta, next] = [least[j]!, j];
      }
      for (let j = 0; j <= n; j++)
        if (used[j]) {
          rows[rowOf[j]!]! += delta;
          columns[j]! -= delta;
        } else least[j]! -= delta;
      column = next;
    } while (rowOf[column] !== 0);
    do {
      rowOf[column] = rowOf[from[column]!]!;
      column = from[column]!;
    } while (column !== 0);
  }
  const found = new Array<number>(n);
  for (let j = 1; j <= n; j++) found[rowOf[j]! - 1] = j - 1;
  return found;
}

/** Expected places pulled towards the spots they were paired with, and what lies near them along. */
function bent(places: readonly Px[], pairs: ReadonlyMap<number, number>, spots: readonly Spot[], reach: number): Px[] {
  return places.map((at) => {
    let [dx, dy, sum] = [0, 0, 0.15];
    for (const [point, spot] of pairs) {
      const from = places[point]!;
      const weight = 1 / (1 + ((from.x - at.x) ** 2 + (from.y - at.y) ** 2) / reach ** 2) ** 2;
      dx += weight * (spots[spot]!.x - from.x);
      dy += weight * (spots[spot]!.y - from.y);
      sum += weight;
    }
    return { x: at.x + dx / sum, y: at.y + dy / sum };
  });
}
