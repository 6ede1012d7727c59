import { seeded } from "../../core/random";
import { join, type Field, type Solid } from "./field";
import {
  frameOf,
  plumbAt,
  plumbFoot,
  plumbTop,
  stickAt,
  stickLength,
  type CameraSettings,
  type Figure,
} from "./camera";
import type { Truth } from "./truth";
import { smoothstep, unit, type Vec3 } from "./vector";

type Colour = [number, number, number];
const { abs, ceil, floor, hypot, max, min, round, sqrt } = Math;

/** Sides of tiles and of the blocks in them (px): marched as one cone first, so that their rays start near what they meet. */
const [tile, block] = [16, 4];
const wallAt = -750;
/** How far from its ray a pixel's shading looks (mm): solids further off a tile are left out of its field. */
const shadeReach = 130;

/**
 * Renders the figure in its room: 8-bit RGBA, `width × height`. Rays are marched through the figure's distance
 * field (tiles and blocks first, so that empty ones cost one march), the room is analytic; outlines get four more rays each.
 * Pure and seeded: the same settings give the same bytes.
 *
 * `progress` is told the finished share, 0 to 1.
 */
export function takePicture(
  figure: Figure,
  camera: CameraSettings,
  progress: (share: number) => void = () => undefined,
): Uint8ClampedArray {
  const { width, height, distance, lensHeight } = camera;
  const frame = frameOf(camera);
  const { stature } = figure;
  const [rx, , rz] = frame.right;
  const [nx, , nz] = frame.near;
  let field: Field = join(figure.solids);
  /** The field in the camera's frame: across, up, near. */
  const at = (a: number, u: number, n: number) => field(a * rx + n * nx, u, a * rz + n * nz);

  const direction = (px: number, py: number): Vec3 => {
    const x = px - width / 2;
    const y = height / 2 - py;
    const [across, above] = [x * frame.cos + y * frame.sin, y * frame.cos - x * frame.sin];
    const { cos, sin } = frame.up;
    return unit([across, above * cos + frame.focal * sin, above * sin - frame.focal * cos]);
  };

  /** Marches from `from` mm; returns the distance of the hit, or -1. A cone of half-angle `spread` may pass. */
  const march = (d: Vec3, from: number, spread: number): number => {
    let [t, before, step] = [from, 0, 0];
    for (let i = 0; i < 160; i++) {
      const n = distance + d[2] * t;
      if (n < -420) return -1;
      const gap = at(d[0] * t, lensHeight + d[1] * t, n);
      if (spread > 0 ? gap < spread * t + 0.25 : abs(gap) < 0.25 || (gap < 0 && i === 0)) return t;
      // careful steps until the surface is near, then where the last two say that it lies
      const closing = before - gap;
      const near = spread === 0 && i > 0 && gap < 4 && closing * step > 0;
      step = near ? max(-4, min(3 * gap, (gap * step) / closing)) : (gap - spread * t * 0.5) * 0.78;
      before = gap;
      t += step;
    }
    return t;
  };

  const key = unit([-0.5, 0.75, 0.75]);
  const fill = unit([0.85, 0.15, 0.6]);
  const rim = unit([0.5, 0.5, -0.75]);

  const skin: Colour = [218, 208, 198];
  const cloth: Colour = [92, 104, 118];
  const cap: Colour = [104, 98, 94];

  const { "tragus.L": earL, "tragus.R": earR, c7, "sternal-notch": notch } = figure.truth as Required<Truth>;
  /** Skin, shorts or cap: bands of the figure's own height, with the arms left bare. */
  const material = (a: number, u: number, n: number): Colour => {
    const f = u / stature;
    const x = (a * rx + n * nx) / stature;
    const z = (a * rz + n * nz) / stature;
    const middle = (notch[0] / stature) * smoothstep(0.5, 0.7, f);
    const arm = smoothstep(0.112, 0.116, abs(x - middle));
    const shorts = smoothstep(0.4, 0.402, f) * (1 - smoothstep(0.588, 0.59, f)) * (1 - arm);
    // the cap's edge runs level over the ears, up to the forehead and down to the nape
    const back = z - earL[2] / stature;
    const headX = x - (earL[0] + earR[0]) / 2 / stature;
    const edge = (earL[1] + earR[1]) / 2 / stature + 0.012 + (back > 0 ? 0.55 * back : max(-0.036, 1.5 * back + 0.012));
    const ear =
      smoothstep(0.036, 0.039, abs(headX)) *
      (1 - smoothstep(0.9, 1.1, hypot((back + 0.012) / 0.015, (f - earL[1] / stature) / 0.021)));
    const hair = u > c7[1] + 30 ? smoothstep(-0.001, 0.001, f - edge) * (1 - ear) : 0;
    return [0, 1, 2].map((i) => {
      const base = skin[i]! * (1 - shorts) + cloth[i]! * shorts;
      return base * (1 - hair) + cap[i]! * hair;
    }) as Colour;
  };

  const shadeBody = (d: Vec3, t: number): Colour => {
    const [a, u, n] = [d[0] * t, lensHeight + d[1] * t, distance + d[2] * t];
    const e = 1.2;
    const [k1, k2, k3, k4] = [
      at(a + e, u - e, n - e),
      at(a - e, u - e, n + e),
      at(a - e, u + e, n - e),
      at(a + e, u + e, n + e),
    ];
    const normal = unit([k1 - k2 - k3 + k4, -k1 - k2 + k3 + k4, -k1 + k2 - k3 + k4]);
    let open = 0;
    for (const [reach, weight] of [
      [14, 0.34],
      [38, 0.33],
      [85, 0.33],
    ] as const)
      open +=
        weight * max(0, min(1, 0.15 + at(a + normal[0] * reach, u + normal[1] * reach, n + normal[2] * reach) / reach));
    const lambert = (light: Vec3) =>
      max(0, 0.12 + 0.88 * (normal[0] * light[0] + normal[1] * light[1] + normal[2] * light[2]));
    const grazing = (1 + (normal[0] * d[0] + normal[1] * d[1] + normal[2] * d[2])) ** 3;
    const light =
      (0.3 + 0.1 * normal[1]) * open +
      0.62 * lambert(key) * (0.45 + 0.55 * open) +
      0.2 * lambert(fill) * open +
      0.2 * lambert(rim) * grazing;
    const base = material(a, u, n);
    return [base[0] * light * 1.01, base[1] * light, base[2] * light * 0.985];
  };

  const floorShadow = (a: number, n: number): number => {
    if (hypot(a, n) > 600) return 1;
    let open = 1;
    for (const reach of [12, 45, 120]) open -= 0.2 * max(0, 1 - at(a, reach, n) / (reach * 1.6));
    return max(0.35, open);
  };

  const room = (d: Vec3): Colour => {
    const toWall = (wallAt - distance) / d[2];
    const up = lensHeight + d[1] * toWall;
    if (up > 0) {
      const across = d[0] * toWall;
      const glow = 1 - 0.1 * hypot((across + 250) / 1500, (up - 1400) / 1600) ** 2;
      const skirting = up < 85 ? (up > 80 ? 0.86 : 0.96) : 1;
      const wall = 226 * glow * skirting * (0.965 + 0.035 * smoothstep(0, 160, up));
      return [wall, wall * 0.985, wall * 0.955];
    }
    const t = -lensHeight / d[1];
    const [a, n] = [d[0] * t, distance + d[2] * t];
    const pixel = (t / frame.focal) * 1.2;
    const line = (value: number, gap: number, wide: number) => {
      const off = abs(value - round(value / gap) * gap);
      return 1 - smoothstep(wide, wide + pixel, off);
    };
    const grid = max(line(a, 200, 1.4), line(n, 200, 1.4)) * min(1, 6 / pixel) * 0.5;
    const cross = max(line(a, 1e6, 3), line(n, 1e6, 3)) * 0.35;
    const tone = (188 - 16 * hypot(a / 1300, n / 1500)) * floorShadow(a, n) * (1 - 0.26 * grid) * (1 - 0.4 * cross);
    return [tone, tone * 0.972, tone * 0.925];
  };

  /** Plumb line, bob and stick hang in one plane, usually that of the ankles: their cover of a pixel and colour. */
  const props = (d: Vec3, hit: number): { cover: number; colour: Colour } | undefined => {
    const t = -(distance + (camera.stickBehind ?? 0)) / d[2];
    if (hit > 0 && hit < t) return undefined;
    const [a, u] = [d[0] * t, lensHeight + d[1] * t];
    const px = t / frame.focal;
    const edge = (inside: number) => max(0, min(1, inside / px + 0.5));
    const stick = edge(14 - abs(a - stickAt)) * edge(min(u, stickLength - u));
    if (stick > 0) {
      const dark = floor(u / 100) % 2 === 0;
      const round = 1 - 0.35 * ((a - stickAt) / 14) ** 2;
      const grey = (dark ? 84 : 240) * round;
      return { cover: stick, colour: [grey, grey * 0.99, grey * 0.97] };
    }
    const line = edge(1.6 - abs(a - plumbAt)) * edge(min(u - plumbFoot, plumbTop + 200 - u));
    const taper = 11 * smoothstep(0, 46, u - plumbFoot);
    const bob = edge(taper - abs(a - plumbAt)) * edge(min(u - plumbFoot, plumbFoot + 62 - u));
    const hook = edge(4 - hypot(a - plumbAt, u - plumbTop));
    if (bob > 0.02) return { cover: bob, colour: [150 - 40 * ((a - plumbAt) / 11), 122, 76] };
    if (hook > 0.02) return { cover: hook, colour: [150, 60, 40] };
    if (line > 0.02) return { cover: line * 0.95, colour: [158, 62, 42] };
    return undefined;
  };

  const colourOf = (px: number, py: number, from: number): { colour: Colour; hit: number } => {
    const d = direction(px, py);
    const hit = from < 0 ? -1 : march(d, from, 0);
    const base = hit > 0 ? shadeBody(d, hit) : room(d);
    const prop = props(d, hit);
    if (!prop) return { colour: base, hit };
    return { colour: base.map((c, i) => c * (1 - prop.cover) + prop.colour[i]! * prop.cover) as Colour, hit };
  };

  /** Whether a cone of half-angle `spread` comes within `margin` mm of a solid. */
  const passes = ({ distance: gap, centre: [x, y, z], reach }: Solid, d: Vec3, spread: number, margin: number) => {
    const [ca, cu, cn] = [x * rx + z * rz, y - lensHeight, x * nx + z * nz - distance];
    const along = ca * d[0] + cu * d[1] + cn * d[2];
    const off = sqrt(max(0, ca * ca + cu * cu + cn * cn - along * along));
    if (off > reach + spread * along + margin) return false;
    const end = along + reach + margin;
    let t = along - reach - margin;
    for (let i = 0; i < 40 && t < end; i++) {
      const [a, u, n] = [d[0] * t, lensHeight + d[1] * t, distance + d[2] * t];
      const free = gap(a * rx + n * nx, u, a * rz + n * nz) - margin - spread * t;
      if (free < 1) return true;
      t += free * 0.7;
    }
    return t < end;
  };

  // every tile has a field of the solids its rays can meet or be shaded by; every block in it a place to march from
  const across = ceil(width / tile);
  const perTile = tile / block;
  const blocks = across * perTile;
  const starts = new Float64Array(blocks * ceil(height / tile) * perTile).fill(-1);
  const fields: Field[] = [];
  const nearest = distance - 520;
  const wide = (size: number) => (size * 0.75) / frame.focal;
  const centre = (i: number, perRow: number, size: number) =>
    direction((i % perRow) * size + size / 2, floor(i / perRow) * size + size / 2);
  for (let i = 0; i < across * ceil(height / tile); i++) {
    const d = centre(i, across, tile);
    const close = figure.solids.filter((solid) => passes(solid, d, wide(tile), max(shadeReach, abs(solid.blend))));
    field = fields[i] = join(close);
    const met = close.length > 0 ? march(d, nearest, wide(tile)) : -1;
    if (met < 0) continue;
    const first = floor(i / across) * perTile * blocks + (i % across) * perTile;
    for (let j = 0; j < perTile ** 2; j++) {
      const of = first + floor(j / perTile) * blocks + (j % perTile);
      const near = march(centre(of, blocks, block), max(nearest, met - 40), wide(block));
      starts[of] = near < 0 ? -1 : near - 10;
    }
  }
  const enter = (x: number, y: number): number => {
    field = fields[floor(y / tile) * across + floor(x / tile)]!;
    return starts[floor(y / block) * blocks + floor(x / block)]!;
  };

  const colours = new Float32Array(width * height * 3);
  const hits = new Float32Array(width * height);
  for (let y = 0; y < height; y++) {
    if (y % 100 === 0) progress((0.8 * y) / height);
    for (let x = 0; x < width; x++) {
      const from = enter(x, y);
      const { colour, hit } = colourOf(x + 0.5, y + 0.5, from);
      hits[y * width + x] = hit;
      colours.set(colour, (y * width + x) * 3);
    }
  }

  const jump = (a: number, b: number) => a > 0 !== b > 0 || abs(a - b) > 25;
  for (let y = 1; y < height - 1; y++) {
    if (y % 100 === 0) progress(0.8 + (0.2 * y) / height);
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      const here = hits[i]!;
      if (
        !jump(here, hits[i - 1]!) &&
        !jump(here, hits[i + 1]!) &&
        !jump(here, hits[i - width]!) &&
        !jump(here, hits[i + width]!)
      )
        continue;
      const from = enter(x, y);
      const seen = max(hits[i - 1]!, hits[i + 1]!, hits[i - width]!, hits[i + width]!);
      const near = from < 0 ? max(nearest, seen - 60) : from;
      const sum: Colour = [0, 0, 0];
      for (const [ox, oy] of [
        [0.125, 0.375],
        [0.375, 0.875],
        [0.625, 0.125],
        [0.875, 0.625],
      ] as const) {
        const { colour } = colourOf(x + ox, y + oy, near);
        for (let c = 0; c < 3; c++) sum[c]! += colour[c]! / 4;
      }
      colours.set(sum, i * 3);
    }
  }

  const random = seeded(camera.seed);
  const bytes = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const vignette = 1 - 0.1 * ((x / width - 0.5) ** 2 + (y / height - 0.5) ** 2) * 2;
      const grain = camera.noise > 0 ? camera.noise * random.normal() : 0;
      for (let c = 0; c < 3; c++) bytes[i * 4 + c] = colours[i * 3 + c]! * vignette + grain;
      bytes[i * 4 + 3] = 255;
    }
  progress(1);
  return bytes;
}
