import { directions, qualities, type Direction, type Grade, type Quality } from "~core/findings/restriction";

/** What lies around the finger: grades in the middle, then what it feels like, then tenderness above and ways below. */
export type RingPart =
  | { kind: "grade"; value: Grade }
  | { kind: "quality"; value: Quality }
  | { kind: "tenderness"; value: number }
  | { kind: "way"; value: Exclude<Direction, ""> };

/** A part of a ring: between two radii (px) and two angles (degrees, clockwise from the top). */
export type Sector = { part: RingPart; inner: number; outer: number; from: number; to: number };

const spread = <T>(
  parts: readonly T[],
  of: (value: T) => RingPart,
  { inner, outer, from, to }: Omit<Sector, "part">,
): Sector[] =>
  parts.map((value, i) => ({
    part: of(value),
    inner,
    outer,
    from: from + ((to - from) * i) / parts.length,
    to: from + ((to - from) * (i + 1)) / parts.length,
  }));

/** Radius of the whole, px. A fingertip covers about 12 px to each side: no part is narrower than that on both ways. */
export const ringRadius = 152;

export const ring: readonly Sector[] = [
  ...spread([0, 1, 2, 3] as const, (value) => ({ kind: "grade", value }), { inner: 0, outer: 54, from: -90, to: 270 }),
  ...spread(qualities, (value) => ({ kind: "quality", value }), { inner: 54, outer: 108, from: -22.5, to: 337.5 }),
  ...spread(
    Array.from({ length: 11 }, (_, i) => i),
    (value) => ({ kind: "tenderness", value }),
    { inner: 108, outer: ringRadius, from: -90, to: 90 },
  ),
  ...spread(directions, (value) => ({ kind: "way", value }), { inner: 108, outer: ringRadius, from: 90, to: 270 }),
];

/** The part at an offset from the middle (px, x to the right, y down); nothing beyond the ring. */
export function partAt(x: number, y: number): RingPart | undefined {
  const [r, turn] = [Math.hypot(x, y), (Math.atan2(x, -y) * 180) / Math.PI];
  const within = ({ from, to }: Sector) => [turn, turn + 360].some((angle) => angle >= from && angle < to);
  return ring.find((sector) => r >= sector.inner && r < sector.outer && within(sector))?.part;
}

const at = (r: number, turn: number): [number, number] => [
  r * Math.sin((turn * Math.PI) / 180),
  -r * Math.cos((turn * Math.PI) / 180),
];

/** Where a sector's word stands. */
export const middleOfSector = ({ inner, outer, from, to }: Sector): [number, number] =>
  at(inner === 0 ? outer * 0.6 : (inner + outer) / 2, (from + to) / 2);

/** A sector's outline as an SVG path. */
export function sectorPath({ inner, outer, from, to }: Sector): string {
  const point = (r: number, turn: number) =>
    at(r, turn)
      .map((value) => value.toFixed(2))
      .join(" ");
  return inner === 0
    ? `M0 0L${point(outer, from)}A${outer} ${outer} 0 0 1 ${point(outer, to)}Z`
    : `M${point(inner, from)}L${point(outer, from)}A${outer} ${outer} 0 0 1 ${point(outer, to)}L${point(inner, to)}A${inner} ${inner} 0 0 0 ${point(inner, from)}Z`;
}
