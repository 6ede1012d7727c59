import fc from "fast-check";
import { cautionsOn, entryOf } from "../test/facts";
import { suggest } from "./find-condition";
import { beightonKeys, beightonScore, beightonSigns, hypermobileFrom, trunkRotation } from "./thresholds";

describe("published thresholds", () => {
  it("counts nine signs, four on each side and one of the whole", () => {
    expect(beightonKeys).toHaveLength(9);
    expect(beightonKeys.filter((key) => key.endsWith(" L"))).toHaveLength(4);
    expect(beightonSigns.filter((sign) => !sign.sided).map((sign) => sign.key)).toEqual(["palms"]);
    expect(beightonScore(new Set())).toBe(0);
    expect(beightonScore(new Set(beightonKeys))).toBe(9);
    fc.assert(
      fc.property(fc.subarray([...beightonKeys]), (found) => expect(beightonScore(new Set(found))).toBe(found.length)),
    );
  });

  // 2017 international criteria for hypermobility: 5 of 9 in adults, 4 over fifty, 6 before puberty (from memory)
  it.each([
    [undefined, 5],
    [8, 6],
    [13, 6],
    [14, 5],
    [30, 5],
    [50, 5],
    [51, 4],
  ])("at %s years calls joints hypermobile from %i of 9", (age, from) => expect(hypermobileFrom(age)).toBe(from));

  // Bunnell, JBJS Am 66 (1984) 1381–7: refer at 5–7° of trunk rotation (from memory)
  it.each([
    [0, "usual"],
    [4.9, "usual"],
    [5, "look again"],
    [-6.9, "look again"],
    [7, "refer"],
    [-12, "refer"],
  ])("calls a trunk rotation of %d° %s", (angle, verdict) => expect(trunkRotation(angle)).toBe(verdict));

  it("leads to what it means for the work", () => {
    expect(suggest("hypermobility")[0]?.key).toBe("hypermobility");
    const [caution] = cautionsOn("2026-11-25", { history: [entryOf("trunk-rotation")] });
    expect(caution).toMatchObject({ kind: "inform" });
    expect(caution!.reason).toMatch(/doctor/);
  });
});
