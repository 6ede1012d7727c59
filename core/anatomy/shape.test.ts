import fc from "fast-check";
import polygonClipping from "polygon-clipping";
import { areaOf, figureBox, figureViews, placesSeen, polygonOf, type Point } from "./figure";
import { builds, middleShape, shaped, shapedAll, shapeOf, unshaped } from "./shape";
import { isClose, laidOut, placesInSight, shapedBox, sightSets } from "./sights";

const stature = fc.option(fc.integer({ min: 900, max: 2300 }), { nil: null });
const build = fc.constantFrom(...builds);
const point = fc.tuple(
  fc.double({ min: 0, max: figureBox.width, noNaN: true }),
  fc.double({ min: 0, max: figureBox.height, noNaN: true }),
);

describe("the figure of a build and a stature", () => {
  it("is the drawing itself for the middle build of 1.70 m, or where nothing is known", () => {
    expect(shapeOf("middle", 1700)).toEqual(middleShape);
    expect(shapeOf("middle", null)).toEqual(middleShape);
    const points = placesSeen("front")[0]!.points;
    expect(shapedAll(points, "front", middleShape)).toBe(points);
  });

  it("takes back what it did to a point, and mirrors it about the mid-line", () => {
    fc.assert(
      fc.property(point, build, stature, fc.constantFrom(...figureViews), (at, how, tall, view) => {
        const shape = shapeOf(how, tall);
        const [x, y] = unshaped(shaped(at, view, shape), view, shape);
        expect(x).toBeCloseTo(at[0], 6);
        expect(y).toBeCloseTo(at[1], 6);
        const mirror: Point = [figureBox.width - at[0], at[1]];
        expect(shaped(mirror, view, shape)[0]).toBeCloseTo(figureBox.width - shaped(at, view, shape)[0], 9);
      }),
    );
  });

  it("keeps places apart, within its box, and wider the broader the build", () => {
    const wide = builds.map((how) => {
      const shape = shapeOf(how, 1950);
      const seen = placesSeen("front").map(({ points }) => shapedAll(points, "front", shape));
      for (const [i, a] of seen.entries())
        for (const b of seen.slice(i + 1))
          for (const [outer] of polygonClipping.intersection(polygonOf(a), polygonOf(b)))
            expect(areaOf(outer!)).toBeLessThan(0.5);
      const xs = seen.flat().map(([x]) => x);
      expect(Math.min(...xs)).toBeGreaterThan(0);
      return Math.max(...xs) - Math.min(...xs);
    });
    expect(wide).toEqual([...wide].sort((a, b) => a - b));
  });

  it("has a smaller head the taller it is, and the same ground", () => {
    const chin = (tall: number) => shaped([100, 72], "front", shapeOf("middle", tall))[1];
    expect([1500, 1700, 1950].map(chin)).toEqual([1500, 1700, 1950].map(chin).sort((a, b) => b - a));
    expect(shaped([100, 498], "front", shapeOf("broad", 1950))[1]).toBeCloseTo(498, 9);
  });

  it("leaves every place of hand and head 24 px on a tablet, whoever it is", () => {
    for (const how of builds)
      for (const tall of [1450, 2000]) {
        const shape = shapeOf(how, tall);
        for (const set of ["head", "hands"] as const) {
          const sheet = laidOut(sightSets[set].map((sight) => ({ ...sight, box: shapedBox(sight, shape) })));
          const across = new Map<string, number>();
          for (const sight of sightSets[set]) {
            expect(isClose(sight)).toBe(true);
            const scale = (337 / sheet.width) * (figureBox.width / shapedBox(sight, shape).width);
            for (const { place, side, points } of placesInSight(sight)) {
              const px = Math.sqrt(areaOf(shapedAll(points, sight.view, shape))) * scale;
              across.set(`${place} ${side}`, Math.max(across.get(`${place} ${side}`) ?? 0, px));
            }
          }
          for (const [place, px] of across) expect({ place, wide: px >= 24 }).toEqual({ place, wide: true });
        }
      }
  });
});
