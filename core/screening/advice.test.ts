import fc from "fast-check";
import { structures } from "../anatomy/structures";
import { checkOf, checks } from "../table/checks";
import { cautionsOn, entryOf } from "../test/facts";
import { ceilingUnder, ceilingWords, outFor, workOf } from "./advice";
import { conditions } from "./conditions";
import { ruledOut } from "./ruled-checks";

const day = "2026-12-01";
const told = (...entries: Parameters<typeof entryOf>[]) =>
  cautionsOn(day, { history: entries.map((each) => entryOf(...each)) });
const point = (structure: string, places: string[], side: "L" | "R" | null, cautions: ReturnType<typeof told>) =>
  outFor(workOf("hold", { places, structure }, []), cautions, side);

describe("what a screen advises", () => {
  it("holds no point where points are not held, or where nothing is worked", () => {
    const trapezius = (cautions: ReturnType<typeof told>) =>
      point("upper-trapezius", ["shoulder-top", "neck-back"], "L", cautions);
    expect(trapezius([])).toBeUndefined();
    expect(trapezius(told(["anticoagulant"]))).toMatch(/^blood thinner: .*No deep held points/);
    const wound = told(["skin", { region: "shoulder", places: ["shoulder-top"], side: "L" }]);
    expect(trapezius(wound)).toMatch(/skin open/);
    expect(point("upper-trapezius", ["shoulder-top"], "R", wound)).toBeUndefined();
    expect(point("psoas-major", ["lower-belly", "mid-belly"], "L", told(["pregnancy", { on: "2027-05-01" }]))).toMatch(
      /pregnancy/,
    );
  });

  it("rocks, springs and lies nobody where that is out, and tells nothing to do that is", () => {
    const of = (key: string, ...entries: Parameters<typeof entryOf>[]) => ruledOut(checkOf(key), told(...entries));
    expect(of("rock-l-low")).toEqual({});
    expect(of("rock-l-low", ["slipped-vertebra"]).asked).toMatch(/slipped vertebra/);
    expect(of("rib-spring-front", ["osteoporosis"]).asked).toMatch(/thin bones/);
    expect(of("rock-t-mid", ["anticoagulant"])).toEqual({ then: expect.stringMatching(/blood thinner/) });
    // a look asks nothing of the body but to lie so
    expect(of("shoulder-height", ["osteoporosis"])).toEqual({});
    expect(of("rock-t-mid", ["pregnancy", { on: "2027-03-14" }]).asked).toMatch(/lies on the belly/);
    // before a doctor has seen it nothing is asked of anybody
    for (const check of checks) expect(ruledOut(check, told(["sign-chest-pain"])).asked).toBeDefined();
  });

  it("never becomes possible by a caution more", () => {
    const keys = conditions.filter(({ rules }) => rules.length > 0).map(({ key }) => key);
    const entry = fc.constantFrom(...keys);
    fc.assert(
      fc.property(
        fc.array(entry, { maxLength: 3 }),
        entry,
        fc.constantFrom(...structures.filter(({ layer }) => layer !== "AR")),
        fc.constantFrom("L" as const, "R" as const),
        (some, more, { key, places }, side) => {
          const [before, after] = [some, [...some, more]].map((all) =>
            point(key, [...places], side, told(...all.map((each): [string] => [each]))),
          );
          if (before !== undefined) expect(after).toBeDefined();
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe("the ceiling", () => {
  it("is the lowest that holds for the whole body", () => {
    expect(ceilingUnder(6, [])).toBe(6);
    expect(ceilingUnder(6, told(["osteoporosis"], ["neuropathy"]))).toBe(3);
    expect(ceilingUnder(2, told(["osteoporosis"]))).toBe(2);
    // of one place only: said there
    expect(ceilingUnder(6, told(["neuropathy"]))).toBe(6);
    expect(ceilingUnder(6, told(["sign-chest-pain"]))).toBe(0);
    expect([ceilingWords(3), ceilingWords(0)]).toEqual(["Pressure up to 3", "No hands-on work until cleared"]);
  });
});
