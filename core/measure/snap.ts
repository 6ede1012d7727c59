import type { Px } from "./calibration";

/** Part of a picture in grey levels (0–255, row by row), with the place of its top left corner in the picture. */
export type Grey = { data: ArrayLike<number>; width: number; height: number; left: number; top: number };

/** Grey level at any place, between pixels too; the nearest edge beyond the patch. */
function at(grey: Grey, x: number, y: number): number {
  const px = Math.min(grey.width - 1, Math.max(0, x - grey.left - 0.5));
  const py = Math.min(grey.height - 1, Math.max(0, y - grey.top - 0.5));
  const [x0, y0] = [Math.floor(px), Math.floor(py)];
  const [x1, y1] = [Math.min(grey.width - 1, x0 + 1), Math.min(grey.height - 1, y0 + 1)];
  const [fx, fy] = [px - x0, py - y0];
  const row = (y: number) => grey.data[y * grey.width + x0]! * (1 - fx) + grey.data[y * grey.width + x1]! * fx;
  return row(y0) * (1 - fy) + row(y1) * fy;
}

const median = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;

/** Half-widths of a line or stick that are looked for (px). */
const halfWidths = [0.75, 1.5, 2.5, 4, 6, 9];
const rows = 120;
const step = 0.5;

/**
 * Finds the line that runs near a–b (a plumb line or a stick: darker or lighter than what lies on both sides of it)
 * and moves both ends on to it; with `ends`, also along it to where it stops. `reach` is how far from a–b is looked
 * (px). Undefined when no line is seen in four rows of ten (a striped stick may vanish in half of them), or the rows disagree: then the ends stay where the hand put them.
 */
export function snapToLine(grey: Grey, a: Px, b: Px, reach: number, ends: boolean): { a: Px; b: Px } | undefined {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 20) return undefined;
  const along = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  const across = { x: -along.y, y: along.x };
  const place = (t: number, off: number): Px => ({
    x: a.x + along.x * t + across.x * off,
    y: a.y + along.y * t + across.y * off,
  });
  const grayAt = (t: number, off: number) => {
    const { x, y } = place(t, off);
    return at(grey, x, y);
  };

  // one profile across the line for every row, as sums, so that any width is read in no time
  const offs = Math.round((2 * (reach + 3 * halfWidths.at(-1)!)) / step);
  const first = -(offs / 2) * step;
  const profile = (t: number): Float64Array => {
    const sums = new Float64Array(offs + 1);
    for (let i = 0; i < offs; i++) sums[i + 1] = sums[i]! + grayAt(t, first + (i + 0.5) * step);
    return sums;
  };
  const mean = (sums: Float64Array, from: number, to: number) => {
    const [i, j] = [Math.round((from - first) / step), Math.round((to - first) / step)];
    return (sums[j]! - sums[i]!) / Math.max(1, j - i);
  };
  /** How much a strip of the given half-width stands out from both its sides. */
  const contrast = (sums: Float64Array, off: number, half: number) => {
    const middle = mean(sums, off - half, off + half);
    const [left, right] = [mean(sums, off - 3 * half, off - half), mean(sums, off + half, off + 3 * half)];
    // a step (the edge of a body) stands out from one side only
    return Math.sign(middle - left) === Math.sign(middle - right)
      ? Math.min(Math.abs(middle - left), Math.abs(middle - right))
      : 0;
  };

  const samples = Array.from({ length: rows }, (_, i) => (length * (i + 0.5)) / rows);
  const profiles = samples.map(profile);
  let best: { half: number; score: number; found: { t: number; off: number; stands: number }[] } | undefined;
  for (const half of halfWidths) {
    const found = profiles.map((sums, i) => {
      const contrasts: number[] = [];
      for (let o = -reach; o <= reach; o += step) contrasts.push(contrast(sums, o, half));
      const stands = Math.max(...contrasts);
      // a strip wider than what is looked for stands out over a stretch: its middle counts
      const best = contrasts.flatMap((c, k) => (c >= 0.97 * stands ? [k * step - reach] : []));
      const off = best.reduce((sum, o) => sum + o, 0) / best.length;
      return { t: samples[i]!, off, stands };
    });
    const score = found.reduce((sum, { stands }) => sum + stands, 0) * Math.sqrt(half);
    if (!best || score > best.score) best = { half, score, found };
  }
  const { half, found } = best!;
  const seen = found.filter(({ stands }) => stands > 6);
  if (seen.length < 0.4 * rows) return undefined;

  // the line most rows agree on (Theil–Sen), then its least squares among those within a pixel and a half
  const slopes: number[] = [];
  for (let i = 0; i < seen.length; i += 2)
    for (let j = i + 1; j < seen.length; j += 3)
      if (seen[j]!.t - seen[i]!.t > length / 6) slopes.push((seen[j]!.off - seen[i]!.off) / (seen[j]!.t - seen[i]!.t));
  const slope = median(slopes);
  const start = median(seen.map(({ t, off }) => off - slope * t));
  const near = seen.filter(({ t, off }) => Math.abs(off - start - slope * t) < 1.5);
  if (near.length < 0.4 * rows || near.length < 0.6 * seen.length) return undefined;
  const mt = near.reduce((sum, { t }) => sum + t, 0) / near.length;
  const mo = near.reduce((sum, { off }) => sum + off, 0) / near.length;
  const fine =
    near.reduce((sum, { t, off }) => sum + (t - mt) * (off - mo), 0) /
    near.reduce((sum, { t }) => sum + (t - mt) ** 2, 0);
  const offAt = (t: number) => mo + fine * (t - mt);
  if (!ends) return { a: place(0, offAt(0)), b: place(length, offAt(length)) };

  // Where the strip is still unlike what lies on both its sides, outwards from well inside it. Unlike in any way: a
  // light, round stick before a light wall is told by its darker edges alone.
  const unlike = (t: number) => {
    const [centre, n] = [offAt(t), Math.ceil(half / step)];
    const side = (way: 1 | -1) =>
      Array.from({ length: n }, (_, i) => grayAt(t, centre + way * (1.6 * half + i * step))).reduce((a, b) => a + b) /
      n;
    const [left, right] = [side(-1), side(1)];
    let sum = 0;
    for (let i = -n; i <= n; i++) sum += Math.abs(grayAt(t, centre + i * step) - (left + right) / 2);
    return sum / (2 * n + 1) - Math.abs(left - right) / 2;
  };
  const usual = median(near.map(({ t }) => unlike(t)));
  const stop = (from: number, way: 1 | -1): number => {
    let last = from - way * reach;
    for (let t = last; (t - from) * way <= reach; t += way * step) if (unlike(t) > Math.max(6, 0.06 * usual)) last = t;
    return last + (way * step) / 2;
  };
  const [t0, t1] = [stop(0, -1), stop(length, 1)];
  return { a: place(t0, offAt(t0)), b: place(t1, offAt(t1)) };
}
