import polygonClipping, { type Polygon, type Ring } from "polygon-clipping";
import type { Side } from "../units";
import { drawnRows } from "./drawn-places";
import type { LayerKey } from "./layers";
import { placeOf, type PlaceKey } from "./places";
import { structures, type Structure } from "./structures";

/** From where the figure is seen. Sides are always the client's own. */
export const figureViews = ["front", "back", "left", "right", "sole"] as const;
export type FigureView = (typeof figureViews)[number];

export type Point = readonly [x: number, y: number];

/** The box every view is drawn in. */
export const figureBox = { width: 200, height: 520 } as const;

/** A place as one view shows it, on one side; mid-line places have none and are one outline across the mid-line. */
export type Drawn = { place: PlaceKey; side: Side | null; points: readonly Point[] };

const rows = new Map<string, { place: PlaceKey; points: Point[] }[]>();
{
  let view = "";
  for (const row of drawnRows.trim().split("\n")) {
    if (row.startsWith("# ")) rows.set((view = row.slice(2)), []);
    else {
      const [place, ...corners] = row.split(" ") as [string, ...string[]];
      rows
        .get(view)!
        .push({ place, points: corners.map((corner) => corner.split(",").map(Number) as [number, number] as Point) });
    }
  }
}

const mirrored = (points: readonly Point[]): Point[] =>
  points.map(([x, y]) => [figureBox.width - x, y] as const).reverse();

/** The side whose half lies at the left of the drawing. */
const halfAtLeft: Record<"front" | "back" | "sole", Side> = { front: "R", back: "L", sole: "L" };
const other = (side: Side): Side => (side === "L" ? "R" : "L");

function draw(view: FigureView): Drawn[] {
  if (view === "left" || view === "right")
    return rows.get("left")!.map(({ place, points }) => ({
      place,
      side: placeOf(place).midline ? null : view === "left" ? "L" : "R",
      points: view === "left" ? points : mirrored(points),
    }));
  return rows.get(view)!.flatMap(({ place, points }): Drawn[] => {
    const both = mirrored(points);
    if (placeOf(place).midline) return [{ place, side: null, points: joined([points, both])[0]! }];
    const side = halfAtLeft[view];
    return [
      { place, side, points },
      { place, side: other(side), points: both },
    ];
  });
}

/** An outline as the geometry package takes it. */
export const polygonOf = (points: readonly Point[]): Polygon => [points.map(([x, y]): [number, number] => [x, y])];

/** Several outlines as one, or as few as they can be; holes are left out. */
function joined(outlines: readonly (readonly Point[])[]): Point[][] {
  if (outlines.length === 0) return [];
  const polygons = outlines.map(polygonOf);
  return polygonClipping.union(polygons[0]!, ...polygons.slice(1)).map(([outer]) => open(outer!));
}

/** A ring without its last corner, which is its first. */
const open = (ring: Ring): Point[] => ring.slice(0, -1).map(([x, y]): Point => [x, y]);

const drawn = new Map<FigureView, readonly Drawn[]>();
/** Every place that a view shows. */
export function placesSeen(view: FigureView): readonly Drawn[] {
  const found = drawn.get(view) ?? draw(view);
  drawn.set(view, found);
  return found;
}

/** A structure as one view shows it at its layer, on one side: one or more outlines. */
export type DrawnStructure = { structure: string; side: Side | null; outlines: readonly (readonly Point[])[] };

/** Half of a plane: points with n·p ≥ d. */
function clipped(points: readonly Point[], [nx, ny]: Point, d: number): Point[] {
  const inside = ([x, y]: Point) => nx * x + ny * y - d;
  return points.flatMap((point, i): Point[] => {
    const next = points[(i + 1) % points.length]!;
    const [a, b] = [inside(point), inside(next)];
    const cut: Point[] =
      a > 0 !== b > 0
        ? [[point[0] + ((next[0] - point[0]) * a) / (a - b), point[1] + ((next[1] - point[1]) * a) / (a - b)]]
        : [];
    return a > 0 ? [point, ...cut] : cut;
  });
}

/** Twice the area of an outline, with a sign for which way round it goes (figure units²). */
const turned = (points: readonly Point[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return sum + x * ny - nx * y;
  }, 0);

/** Area of an outline in square units of the figure's box. */
export const areaOf = (points: readonly Point[]): number => Math.abs(turned(points) / 2);

/** Cuts an outline into `n` strips of one area, one after the other along the direction `along`. */
function strips(points: readonly Point[], n: number, along: Point): Point[][] {
  const reach = points.map(([x, y]) => along[0] * x + along[1] * y);
  const back: Point = [-along[0], -along[1]];
  const cuts = Array.from({ length: n - 1 }, (_, i) => {
    let [low, high] = [Math.min(...reach), Math.max(...reach)];
    for (let step = 0; step < 30; step++) {
      const middle = (low + high) / 2;
      if (areaOf(clipped(points, back, -middle)) < (areaOf(points) * (i + 1)) / n) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  });
  return Array.from({ length: n }, (_, i) => {
    const from = i === 0 ? points : clipped(points, along, cuts[i - 1]!);
    return i === n - 1 ? [...from] : clipped(from, back, -cuts[i]!);
  });
}

/**
 * Structures that share a place at one depth, side by side: along the body they lie one outside the other, across it one
 * below the other. Which it is follows from how most of their fibres run.
 */
function share(place: Drawn, there: readonly Structure[], view: FigureView): { structure: string; points: Point[] }[] {
  if (there.length === 1) return [{ structure: there[0]!.key, points: [...place.points] }];
  const across = there.filter(({ fibres }) => Math.abs(fibres ?? 0) > 45).length * 2 > there.length;
  const centre = place.points.reduce((sum, [x]) => sum + x, 0) / place.points.length;
  // from the mid-line outward, or from above down
  const outward: Point = view === "left" || view === "right" || centre <= 100 ? [-1, 0] : [1, 0];
  return strips(place.points, there.length, across ? [0, 1] : outward).map((points, i) => ({
    structure: there[i]!.key,
    points,
  }));
}

const layers = new Map<string, readonly DrawnStructure[]>();
/**
 * Every structure of a layer that a view shows. It is where to look, not a plate of anatomy: structures that share a place at
 * one depth share its outline in strips, in the order of the table, so that none covers another.
 */
export function structuresSeen(view: FigureView, layer: LayerKey): readonly DrawnStructure[] {
  const key = `${view} ${layer}`;
  const known = layers.get(key);
  if (known) return known;
  const pieces = new Map<string, { structure: string; side: Side | null; outlines: Point[][] }>();
  for (const place of placesSeen(view)) {
    const there = structures.filter((each) => each.layer === layer && each.places.includes(place.place));
    if (there.length === 0) continue;
    for (const { structure, points } of share(place, there, view)) {
      if (points.length < 3) continue;
      const of = `${structure} ${place.side}`;
      const piece = pieces.get(of) ?? { structure, side: place.side, outlines: [] };
      piece.outlines.push(points);
      pieces.set(of, piece);
    }
  }
  const found = [...pieces.values()].map((piece) => ({ ...piece, outlines: joined(piece.outlines) }));
  layers.set(key, found);
  return found;
}

/** A point well inside an outline: its centroid, or the middle of the widest run through it where that lies outside. */
export function middleOf(points: readonly Point[]): Point {
  const area = turned(points);
  const of = (axis: 0 | 1) =>
    points.reduce((sum, point, i) => {
      const next = points[(i + 1) % points.length]!;
      return sum + (point[axis] + next[axis]) * (point[0] * next[1] - next[0] * point[1]);
    }, 0) /
    (3 * area);
  const y = of(1);
  const crossings = points
    .flatMap((point, i): number[] => {
      const next = points[(i + 1) % points.length]!;
      return point[1] > y !== next[1] > y
        ? [point[0] + ((next[0] - point[0]) * (y - point[1])) / (next[1] - point[1])]
        : [];
    })
    .sort((a, b) => a - b);
  const x = of(0);
  for (let i = 0; i + 1 < crossings.length; i += 2) if (x >= crossings[i]! && x <= crossings[i + 1]!) return [x, y];
  const widest = crossings
    .flatMap((from, i): (readonly [number, number])[] =>
      i % 2 === 0 && i + 1 < crossings.length ? [[from, crossings[i + 1]!]] : [],
    )
    .sort((a, b) => b[1] - b[0] - (a[1] - a[0]))[0];
  return widest ? [(widest[0] + widest[1]) / 2, y] : points[0]!;
}

type Anchor = { view: FigureView; at: Point };
const anchors = new Map<string, Anchor | undefined>();

/** Where a mark for a structure or for places belongs: its view among `views`, and the point; nothing where none shows it. */
export function anchorOf(
  views: readonly FigureView[],
  what: { structure?: string; places: readonly PlaceKey[] },
  side: Side,
): Anchor | undefined {
  const key = [side, ...views, what.structure ?? what.places.join(" ")].join("|");
  if (!anchors.has(key)) anchors.set(key, findAnchor(views, what, side));
  return anchors.get(key);
}

function findAnchor(
  views: readonly FigureView[],
  what: { structure?: string; places: readonly PlaceKey[] },
  side: Side,
): Anchor | undefined {
  const best = [...views].sort((a, b) => shows(what.places, b) - shows(what.places, a));
  const own = what.structure === undefined ? undefined : structures.find(({ key }) => key === what.structure);
  for (const view of best) {
    const outlines = own
      ? structuresSeen(view, own.layer)
          .filter((each) => each.structure === own.key && each.side !== other(side))
          .flatMap((each) => each.outlines)
      : placesSeen(view)
          .filter((each) => what.places.includes(each.place) && each.side !== other(side))
          .map(({ points }) => points);
    const largest = [...outlines].sort((a, b) => areaOf(b) - areaOf(a))[0];
    if (largest) return { view, at: middleOf(largest) };
  }
  return undefined;
}

/** How well a view shows places: the first counts most. */
const shows = (places: readonly PlaceKey[], view: FigureView): number =>
  places.reduce((sum, place, i) => sum + (placesSeen(view).some((each) => each.place === place) ? 1 / 2 ** i : 0), 0);

/** How far a point lies from an outline: 0 inside. */
export function distanceTo(points: readonly Point[], [x, y]: Point): number {
  let [inside, least] = [false, Infinity];
  for (const [i, [ax, ay]] of points.entries()) {
    const [bx, by] = points[(i + 1) % points.length]!;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
    const along = ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / Math.max(1e-9, (bx - ax) ** 2 + (by - ay) ** 2);
    const t = Math.max(0, Math.min(1, along));
    least = Math.min(least, Math.hypot(x - ax - t * (bx - ax), y - ay - t * (by - ay)));
  }
  return inside ? 0 : least;
}

/** What a finger may have meant: everything whose outline comes within `reach` of a point, the nearest first. */
export const within = <T extends { outlines: readonly (readonly Point[])[] }>(
  list: readonly T[],
  at: Point,
  reach: number,
): T[] =>
  list
    .map((each) => ({ each, far: Math.min(...each.outlines.map((points) => distanceTo(points, at))) }))
    .filter(({ far }) => far <= reach)
    .sort((a, b) => a.far - b.far)
    .map(({ each }) => each);

/** An outline as an SVG path. */
export const pathOf = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${+x.toFixed(2)} ${+y.toFixed(2)}`).join("L")}Z`;
