import { placesSeen, type Point } from "../anatomy/figure";
import { isPlace } from "../anatomy/places";
import { zones, zonesOf } from "./zones";

function within([x, y]: Point, polygon: readonly Point[]): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [[xi, yi], [xj, yj]] = [polygon[i]!, polygon[j]!];
    if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
  }
  return inside;
}

describe("places that stay clear", () => {
  it("lie on the figure, on the face they are named for, in a place they are named for", () => {
    for (const zone of zones)
      for (const [x, y] of zone.at) {
        const near = [-4, -1.5, 0, 1.5, 4].flatMap((dx) => [-4, 0, 4].map((dy): Point => [x + dx, y + dy]));
        const on = placesSeen(zone.face)
          .filter(({ points }) => near.some((point) => within(point, points)))
          .map(({ place }) => place);
        expect({ zone: zone.key, on: on.some((place) => zone.places.includes(place)) }).toEqual({
          zone: zone.key,
          on: true,
        });
      }
  });

  it("each say what is allowed there", () => {
    for (const zone of zones) {
      expect(zone.rule).toMatch(/^[A-Z].*\.$/);
      for (const place of zone.places) expect(isPlace(place)).toBe(true);
    }
    expect(new Set(zones.map((zone) => zone.key)).size).toBe(zones.length);
    expect(zonesOf(["knee-back", "calf"]).map((zone) => zone.name)).toEqual(["Back of the knee"]);
    expect(zonesOf([])).toEqual([]);
  });
});
