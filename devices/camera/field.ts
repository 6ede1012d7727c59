import type { Vec3 } from "./vector";

const { abs, ceil, floor, hypot, max, min, sqrt } = Math;

/** A solid by its signed distance (mm, negative inside), with a bounding ball so that far ones can be skipped. */
export type Solid = {
  distance: (x: number, y: number, z: number) => number;
  centre: Vec3;
  reach: number;
  /** How softly it joins what is already there (mm). Negative: it is carved out, that softly. */
  blend: number;
};

export type Field = (x: number, y: number, z: number) => number;

/** Solids joined one after the other by a polynomial smooth minimum. Called millions of times a picture: no objects. */
export function join(solids: readonly Solid[]): Field {
  const n = solids.length;
  const [cx, cy, cz] = ([0, 1, 2] as const).map((i) => Float64Array.from(solids, ({ centre }) => centre[i])) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  const reaches = Float64Array.from(solids, ({ reach }) => reach);
  const blends = Float64Array.from(solids, ({ blend }) => blend);
  const distances = solids.map(({ distance }) => distance);
  return (x, y, z) => {
    let d = 1e6;
    for (let i = 0; i < n; i++) {
      const [dx, dy, dz] = [x - cx[i]!, y - cy[i]!, z - cz[i]!];
      const away = dx * dx + dy * dy + dz * dz;
      const blend = blends[i]!;
      if (blend >= 0) {
        // distances of flat solids fall short of the true ones by up to a half
        const far = 2 * (d + blend) + reaches[i]!;
        if (far < 0 || away > far * far) continue;
        const other = distances[i]!(x, y, z);
        const overlap = blend - abs(d - other);
        d = min(d, other);
        if (overlap > 0) d -= (overlap * overlap) / (4 * blend);
      } else {
        const far = reaches[i]! - blend;
        if (away > far * far) continue;
        const carved = -distances[i]!(x, y, z);
        const overlap = -blend - abs(d - carved);
        d = max(d, carved);
        if (overlap > 0) d -= (overlap * overlap) / (4 * blend);
      }
    }
    return d;
  };
}

/** An ellipsoid with axes along x, y, z. */
export function ellipsoid(centre: Vec3, radii: Vec3, blend: number): Solid {
  const [cx, cy, cz] = centre;
  const [rx, ry, rz] = radii;
  return {
    centre,
    reach: max(rx, ry, rz),
    blend,
    distance: (x, y, z) => {
      const px = (x - cx) / rx;
      const py = (y - cy) / ry;
      const pz = (z - cz) / rz;
      const k0 = sqrt(px * px + py * py + pz * pz);
      if (k0 < 1e-6) return -min(rx, ry, rz);
      const k1 = sqrt((px / rx) ** 2 + (py / ry) ** 2 + (pz / rz) ** 2);
      return (k0 * (k0 - 1)) / k1;
    },
  };
}

/** A capsule whose radius runs from `ra` at `a` to `rb` at `b`. */
export function cone(a: Vec3, b: Vec3, ra: number, rb: number, blend: number): Solid {
  const [bx, by, bz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]];
  const long = bx * bx + by * by + bz * bz;
  return {
    centre: [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2],
    reach: sqrt(long) / 2 + max(ra, rb),
    blend,
    distance: (x, y, z) => {
      const px = x - a[0];
      const py = y - a[1];
      const pz = z - a[2];
      const t = max(0, min(1, (px * bx + py * by + pz * bz) / long));
      return sqrt((px - bx * t) ** 2 + (py - by * t) ** 2 + (pz - bz * t) ** 2) - ra - (rb - ra) * t;
    },
  };
}

/** A horizontal slice of a loft: height, centre, half-width, half-depth. */
export type Slice = { y: number; x: number; z: number; a: number; b: number };

const step = 3;

/** Tangents of a monotone cubic (Fritsch & Carlson 1980, from memory), so that profiles do not overshoot. */
function tangents(xs: readonly number[], ys: readonly number[]): number[] {
  const n = xs.length;
  const slope = Array.from({ length: n - 1 }, (_, i) => (ys[i + 1]! - ys[i]!) / (xs[i + 1]! - xs[i]!));
  return xs.map((_, i) => {
    if (i === 0) return slope[0]!;
    if (i === n - 1) return slope[n - 2]!;
    const [before, after] = [slope[i - 1]!, slope[i]!];
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
}

function tabulate(ys: readonly number[], values: readonly number[], count: number): Float64Array {
  const m = tangents(ys, values);
  const table = new Float64Array(count + 1);
  let i = 0;
  for (let n = 0; n <= count; n++) {
    const y = min(ys[0]! + n * step, ys[ys.length - 1]!);
    while (i < ys.length - 2 && y > ys[i + 1]!) i++;
    const w = ys[i + 1]! - ys[i]!;
    const t = (y - ys[i]!) / w;
    table[n] =
      values[i]! * (1 + 2 * t) * (1 - t) ** 2 +
      m[i]! * w * t * (1 - t) ** 2 +
      values[i + 1]! * t * t * (3 - 2 * t) +
      m[i + 1]! * w * t * t * (t - 1);
  }
  return table;
}

/**
 * A body through horizontal slices, each a superellipse |x/a|ⁿ + |z/b|ⁿ = 1. The distance is a good lower bound
 * near the surface for the gentle profiles used here; ray steps are shortened accordingly.
 */
export function loft(slices: readonly Slice[], exponent: number, blend: number): Solid {
  const sorted = [...slices].sort((p, q) => p.y - q.y);
  const ys = sorted.map((slice) => slice.y);
  const low = ys[0]!;
  const high = ys[ys.length - 1]!;
  const count = ceil((high - low) / step);
  const column = (key: "x" | "z" | "a" | "b") =>
    tabulate(
      ys,
      sorted.map((slice) => slice[key]),
      count,
    );
  const [tx, tz, ta, tb] = [column("x"), column("z"), column("a"), column("b")];
  const middle = sorted[floor(sorted.length / 2)]!;
  const reach = max(
    ...sorted.map((s) => hypot(s.y - (low + high) / 2, hypot(s.x - middle.x, s.z - middle.z) + max(s.a, s.b))),
  );
  return {
    centre: [middle.x, (low + high) / 2, middle.z],
    reach,
    blend,
    distance: (x, y, z) => {
      const inside = max(low, min(high, y));
      const at = min((inside - low) / step, count - 1e-9);
      const i = floor(at);
      const t = at - i;
      const a = ta[i]! + (ta[i + 1]! - ta[i]!) * t;
      const b = tb[i]! + (tb[i + 1]! - tb[i]!) * t;
      const px = abs(x - tx[i]! - (tx[i + 1]! - tx[i]!) * t) / a;
      const pz = abs(z - tz[i]! - (tz[i + 1]! - tz[i]!) * t) / b;
      const norm = exponent === 2 ? sqrt(px * px + pz * pz) : (px ** exponent + pz ** exponent) ** (1 / exponent);
      const round = norm < 1e-6 ? 1e-6 : norm;
      // distance along the ray from the centre, scaled by how steep the outline is there
      const steep = sqrt((px / a) ** 2 + (pz / b) ** 2) / sqrt(px * px + pz * pz + 1e-12);
      const flat = ((round - 1) / max(steep, 1e-9)) * (norm < 0.05 ? 0.9 : 1);
      const beyond = y < low ? low - y : y > high ? y - high : 0;
      return beyond > 0 ? hypot(max(flat, 0), beyond) : flat;
    },
  };
}
