import fc from "fast-check";
import polygonClipping, { type Polygon } from "polygon-clipping";
import {
  areaOf,
  distanceTo,
  figureBox,
  figureViews,
  middleOf,
  placesSeen,
  structuresSeen,
  within,
  type Point,
} from "./figure";
import { layerKeys } from "./layers";
import { placeOf, places } from "./places";
import { simplified } from "./simplify";
import { spread } from "./spread-marks";
import { structures } from "./structures";

const polygon = (points: readonly Point[]): Polygon => [points.map(([x, y]): [number, number] => [x, y])];
/** What two outlines share, by the geometry package (drawing units², 520 is the stature). */
const common = (a: readonly Point[], b: readonly Point[]): number =>
  polygonClipping.intersection(polygon(a), polygon(b)).reduce((sum, [outer]) => sum + areaOf(outer!), 0);

const viewsOf = (place: string) => figureViews.filter((view) => placesSeen(view).some((each) => each.place === place));
const structureViews = (key: string) =>
  figureViews.flatMap((view) =>
    layerKeys
      .filter((layer) => structuresSeen(view, layer).some(({ structure }) => structure === key))
      .map((layer) => ({ view, layer })),
  );

/** So much two outlines may share where corners meet. */
const tolerance = 0.5;

describe("the figure", () => {
  it("shows every place in a view, and every structure in one of its layer alone", () => {
    for (const { key } of places) expect([key, viewsOf(key).length > 0]).toEqual([key, true]);
    for (const { key, layer } of structures) {
      const seen = structureViews(key);
      expect([key, seen.length > 0]).toEqual([key, true]);
      expect(new Set(seen.map((each) => each.layer))).toEqual(new Set([layer]));
    }
  });

  it.each(figureViews)("of the %s overlaps nowhere and leaves no gap between places that meet", (view) => {
    const seen = placesSeen(view);
    for (const [i, a] of seen.entries())
      for (const b of seen.slice(i + 1))
        expect([a.place, b.place, common(a.points, b.points) < tolerance]).toEqual([a.place, b.place, true]);
    const whole = polygonClipping.union(
      polygon(seen[0]!.points),
      ...seen.slice(1).map(({ points }) => polygon(points)),
    );
    for (const [, ...holes] of whole) expect(holes).toEqual([]);
    const sum = seen.reduce((total, { points }) => total + areaOf(points), 0);
    expect(whole.reduce((total, [outer]) => total + areaOf(outer!), 0)).toBeCloseTo(sum, 0);
  });

  it("keeps structures of one layer apart, each within the places it lies in", () => {
    for (const view of ["front", "back", "sole"] as const)
      for (const layer of layerKeys) {
        const seen = structuresSeen(view, layer).filter(({ side }) => side !== "L");
        const parts = seen.flatMap(({ structure, outlines }) => outlines.map((points) => ({ structure, points })));
        for (const [i, a] of parts.entries())
          for (const b of parts.slice(i + 1))
            expect([view, a.structure, b.structure, common(a.points, b.points) < tolerance]).toEqual([
              view,
              a.structure,
              b.structure,
              true,
            ]);
      }
  });

  it("mirrors left and right, and gives the mid-line no side", () => {
    for (const view of ["front", "back", "sole"] as const)
      for (const { place, side, points } of placesSeen(view)) {
        expect(side === null).toBe(placeOf(place).midline);
        const mirror = points.map(([x, y]) => `${(figureBox.width - x).toFixed(6)} ${y.toFixed(6)}`).sort();
        const twin = placesSeen(view).find(
          (each) => each.place === place && each.side === (side === null ? null : side === "L" ? "R" : "L"),
        )!;
        expect(twin.points.map(([x, y]) => `${x.toFixed(6)} ${y.toFixed(6)}`).sort()).toEqual(mirror);
      }
    // the client's right on the left of the front, on the right of the back
    const x = (view: "front" | "back", side: "L" | "R") =>
      middleOf(placesSeen(view).find((each) => each.place === "wrist" && each.side === side)!.points)[0];
    expect(x("front", "R")).toBeLessThan(100);
    expect(x("back", "R")).toBeGreaterThan(100);
  });

  it("finds a middle that lies inside, also where an outline bends", () => {
    for (const view of figureViews)
      for (const { place, points } of placesSeen(view)) {
        const [x, y] = middleOf(points);
        const dot: Point[] = [
          [x - 0.1, y - 0.1],
          [x + 0.1, y - 0.1],
          [x + 0.1, y + 0.1],
          [x - 0.1, y + 0.1],
        ];
        expect([place, common(points, dot)]).toEqual([place, expect.closeTo(0.04, 3)]);
      }
  });

  // Drillis & Contini (1966), as printed in Winter: shoulder .818, hip .530, knee .285, ankle .039 of stature
  it("stands in the handbook's proportions", () => {
    const heightOf = (y: number) => ((498 - y) / (498 - 10)) * (1 - 0.039) + 0.039;
    const middle = (place: string) =>
      heightOf(middleOf(placesSeen("front").find((each) => each.place === place)!.points)[1]);
    expect(middle("shoulder-point")).toBeCloseTo(0.8, 1);
    expect(middle("hip-side")).toBeCloseTo(0.53, 1);
    expect(middle("knee")).toBeCloseTo(0.285, 1);
    expect(middle("ankle")).toBeCloseTo(0.045, 1);
  });
});

describe("marks on the figure", () => {
  const mark = fc.record({
    at: fc.tuple(fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 520, noNaN: true })),
    r: fc.double({ min: 2, max: 10, noNaN: true }),
  });
  it("never cover one another, and stay where they belong while there is room", () => {
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 40 }), (marks) => {
        const at = spread(marks);
        for (const [i, a] of at.entries())
          for (const [j, b] of at.slice(0, i).entries())
            expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeGreaterThanOrEqual(marks[i]!.r + marks[j]!.r);
        if (marks.length > 0) expect(at[0]).toEqual(marks[0]!.at);
      }),
    );
    // twelve on one spot lie around it, none farther than a dozen of their own size
    const heap = spread(Array.from({ length: 12 }, () => ({ at: [50, 50] as Point, r: 5 })));
    expect(Math.max(...heap.map(([x, y]) => Math.hypot(x - 50, y - 50)))).toBeLessThan(30);
  });
});

describe("a drawn line", () => {
  it("keeps its ends, and strays no farther than it may", () => {
    const point = fc.tuple(fc.double({ min: 0, max: 200, noNaN: true }), fc.double({ min: 0, max: 520, noNaN: true }));
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 2, maxLength: 60 }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (points, most) => {
          const line = simplified(points, most);
          expect(line[0]).toEqual(points[0]);
          expect(line.at(-1)).toEqual(points.at(-1));
          const far = (at: Point) => Math.min(...line.slice(1).map((end, i) => distanceTo([line[i]!, end], at)));
          for (const at of points) expect(far(at)).toBeLessThanOrEqual(most + 1e-9);
        },
      ),
    );
    expect(
      simplified(
        [
          [0, 0],
          [1, 0.01],
          [2, 0],
          [3, 3],
        ],
        0.1,
      ),
    ).toEqual([
      [0, 0],
      [2, 0],
      [3, 3],
    ]);
  });

  it("is found by whatever comes within a finger’s reach, the nearest first", () => {
    const square = (x: number) => ({
      x,
      outlines: [
        [
          [x, 0],
          [x + 10, 0],
          [x + 10, 10],
          [x, 10],
        ] as Point[],
      ],
    });
    const list = [square(0), square(12), square(40)];
    expect(within(list, [9, 5], 4).map(({ x }) => x)).toEqual([0, 12]);
    expect(within(list, [9, 5], 0).map(({ x }) => x)).toEqual([0]);
    expect(within(list, [30, 5], 4)).toEqual([]);
  });
});
