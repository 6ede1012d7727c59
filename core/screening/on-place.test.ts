import { places } from "../anatomy/places";
import { cautionsOn, entryOf } from "../test/facts";
import { placesOut, stateOf } from "./on-place";

const from = (...entries: Parameters<typeof entryOf>[]) =>
  cautionsOn("2026-11-25", { history: entries.map((each) => entryOf(...each)) });

describe("cautions on places", () => {
  it("put out hand and forearm of a wrist broken eleven weeks ago, and leave the upper arm free", () => {
    const cautions = from(["fracture", { on: "2026-09-09", region: "arm", places: ["wrist"], side: "L" }]);
    const out = placesOut(cautions).map(({ place, side }) => `${place} ${side}`);
    expect(out).toContain("wrist L");
    expect(out.some((key) => key.endsWith(" R"))).toBe(false);
    expect(out.filter((key) => key.startsWith("upper-arm"))).toEqual([]);
  });

  it("leave calf and sole of a new knee free", () => {
    const cautions = from(["joint-replacement", { on: "2024-03-01", region: "leg", places: ["knee"], side: "L" }]);
    for (const place of ["calf", "sole", "heel"] as const) expect(stateOf({ place, side: "L" }, cautions)).toBe("open");
    expect(stateOf({ place: "knee", side: "L" }, cautions)).not.toBe("open");
    expect(stateOf({ place: "knee", side: "R" }, cautions)).toBe("open");
  });

  it("put nothing out where nobody brought anything", () => {
    expect(placesOut([])).toEqual([]);
    expect(places.length).toBeGreaterThan(50);
  });
});
