import { zones, zonesOf } from "../screening/zones";
import { bodyParts, faceOf, partCentre, type Face } from "./body-map";
import { landmarks } from "./landmarks";
import { depthOf, layerKeys, layerName, layers } from "./layers";
import { regionKeys, regions, type RegionKey } from "./regions";
import { structureOf, structures } from "./structures";

type Point = readonly [number, number];

/** The corners and curve points of an outline: enough to say what lies in it. */
function outline(path: string): Point[] {
  const points: Point[] = [];
  let at: Point = [0, 0];
  for (const [, letter, rest] of path.matchAll(/([MLCZ])([^MLCZ]*)/g)) {
    const numbers = rest!
      .trim()
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (letter === "M" || letter === "L")
      for (let i = 0; i < numbers.length; i += 2) points.push((at = [numbers[i]!, numbers[i + 1]!]));
    if (letter === "C")
      for (let i = 0; i < numbers.length; i += 6) {
        const [p0, p1, p2, p3] = [at, ...[0, 2, 4].map((k) => [numbers[i + k]!, numbers[i + k + 1]!] as Point)] as [
          Point,
          Point,
          Point,
          Point,
        ];
        for (let t = 0.125; t <= 1; t += 0.125)
          points.push(
            [0, 1].map(
              (axis) =>
                (1 - t) ** 3 * p0[axis]! +
                3 * (1 - t) ** 2 * t * p1[axis]! +
                3 * (1 - t) * t ** 2 * p2[axis]! +
                t ** 3 * p3[axis]!,
            ) as unknown as Point,
          );
        at = p3;
      }
  }
  return points;
}

function within([x, y]: Point, polygon: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [[xi, yi], [xj, yj]] = [polygon[i]!, polygon[j]!];
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

const faces: Face[] = ["front", "back"];
const half = (face: Face, region: RegionKey) =>
  bodyParts(face).find((part) => part.region === region && !part.mirrored);

describe("the lay figure", () => {
  it("shows every region on one face at least, on both sides", () => {
    for (const { key } of regions) {
      const shown = faces.flatMap((face) => bodyParts(face).filter((part) => part.region === key));
      expect(shown.length).toBeGreaterThanOrEqual(2);
      expect(new Set(shown.map((part) => part.side))).toEqual(new Set(["L", "R"]));
      expect(half(faceOf(key), key)).toBeDefined();
    }
  });

  it("has the client's right on the left of the front and on the right of the back", () => {
    for (const part of bodyParts("front")) expect(part.side).toBe(part.mirrored ? "L" : "R");
    for (const part of bodyParts("back")) expect(part.side).toBe(part.mirrored ? "R" : "L");
  });

  it("puts a region's mark into its own outline and into no other", () => {
    for (const key of regionKeys) {
      const { x, y } = partCentre[key];
      const face = faceOf(key);
      expect({ key, in: within([x, y], outline(half(face, key)!.path)) }).toEqual({ key, in: true });
      for (const other of bodyParts(face))
        if (!other.mirrored && other.region !== key)
          expect({ key, other: other.region, in: within([x, y], outline(other.path)) }).toEqual({
            key,
            other: other.region,
            in: false,
          });
    }
  });

  // Drillis & Contini (1966), as printed in Winter: shoulder .818, hip .530, knee .285, ankle .039 of stature
  it("stands in the handbook's proportions", () => {
    const heightOf = (y: number) => (498 - y) / (498 - 10) + 0.039 * ((y - 10) / (498 - 10));
    expect(heightOf(100)).toBeCloseTo(0.818, 1);
    expect(heightOf(247)).toBeCloseTo(0.53, 1);
    expect(heightOf(372)).toBeCloseTo(0.285, 1);
  });
});

describe("places that stay clear", () => {
  it("lie on the figure, on the face they are named for", () => {
    for (const zone of zones)
      for (const [x, y] of zone.at) {
        const near = [
          [x, y],
          [x - 1.5, y],
          [x - 4, y],
          [x, y - 4],
          [x - 3, y - 3],
        ] as Point[];
        const on = bodyParts(zone.face).some(
          (part) => !part.mirrored && near.some((point) => within(point, outline(part.path))),
        );
        expect({ zone: zone.key, on }).toEqual({ zone: zone.key, on: true });
      }
  });

  it("each say what is allowed there", () => {
    for (const zone of zones) expect(zone.rule).toMatch(/^[A-Z].*\.$/);
    expect(new Set(zones.map((zone) => zone.key)).size).toBe(zones.length);
    expect(zonesOf(["leg"]).map((zone) => zone.name)).toEqual(["Back of the knee", "Bony edges"]);
    expect(zonesOf([])).toEqual([]);
  });
});

describe("layers, structures and landmarks", () => {
  it("go from the surface to the joint", () => {
    expect(layers.map((layer) => layer.depth)).toEqual([1, 2, 3, 4, 5]);
    for (const key of layerKeys) expect(layers[depthOf(key) - 1]!.name).toBe(layerName(key));
  });

  it("give every region something to find at the surface and in the muscle", () => {
    expect(new Set(structures.map((each) => each.key)).size).toBe(structures.length);
    for (const key of regionKeys) {
      const here = structures.filter((each) => each.region === key);
      expect(here.length).toBeGreaterThanOrEqual(3);
      expect(new Set(here.map((each) => each.layer)).size).toBeGreaterThanOrEqual(2);
      for (const each of here) expect(structureOf(each.key)).toBe(each);
    }
  });

  // Wu et al. 2002, 2005 and ISO 7250-1 name them; heights follow Drillis & Contini's fractions
  it("order the landmarks from the ear to the ankle, with an error for each", () => {
    const height = (key: keyof typeof landmarks) => landmarks[key].height;
    expect(height("tragus")).toBeGreaterThan(height("c7"));
    expect(height("c7")).toBeGreaterThan(height("asis"));
    expect(height("asis")).toBeGreaterThan(height("patella"));
    expect(height("patella")).toBeGreaterThan(height("ankle"));
    expect(height("acromion")).toBeCloseTo(0.818, 1);
    for (const landmark of Object.values(landmarks)) {
      expect(landmark.placing).toBeGreaterThan(0);
      expect(landmark.depthSd).toBeGreaterThan(0);
      if (!landmark.paired) expect(landmark.lateral).toBe(0);
    }
  });
});
