import fc from "fast-check";
import { structureOf, structures } from "../anatomy/structures";
import { changeOf, heatOf, spotKey, spotsOf } from "./heat";
import type { Grade, Grading, Restriction } from "./restriction";
import { sinceLast } from "./since-last";

const spot = (
  structure: string,
  side: Restriction["side"],
  ...grades: [visit: number, grade: Grade][]
): Restriction => {
  const { region, layer } = structureOf(structure)!;
  return {
    id: `${structure} ${side}`,
    region,
    structure,
    side,
    layer,
    quality: "band",
    bind: "",
    ease: "",
    grades: grades.map(([visit, grade]): Grading => ({ visit, moment: "before", grade, tenderness: 0 })),
  };
};

describe("heat on the figure", () => {
  it("lies in every place of a structure, on its own side", () => {
    expect(spotsOf(spot("quadratus-lumborum", "L"))).toContain(spotKey("flank", "L"));
    expect(spotsOf(spot("quadratus-lumborum", "L")).some((key) => key.endsWith(" R"))).toBe(false);
    expect(spotsOf(spot("quadratus-lumborum", "both"))).toEqual(expect.arrayContaining(["flank L", "flank R"]));
  });

  it("is the worst of what was felt last, the newest of equals, and nothing where all is free", () => {
    const heat = heatOf(
      [
        spot("quadratus-lumborum", "L", [1, 3], [4, 1]),
        spot("lumbar-erectors", "both", [2, 2]),
        spot("calf", "R", [1, 2], [3, 0]),
      ],
      5,
    );
    expect(heat.get("flank L")).toMatchObject({ grade: 1, age: 1 });
    expect(heat.get("l-low mid") ?? heat.get("l-low L")).toMatchObject({ grade: 2, age: 3 });
    expect([...heat.keys()].some((key) => key.startsWith("calf"))).toBe(false);
  });

  it("never grows when a restriction is taken away (any findings)", () => {
    const finding = fc
      .record({
        own: fc.constantFrom(...structures.filter(({ layer }) => layer !== "AR")),
        side: fc.constantFrom("L" as const, "R" as const, "both" as const),
        grades: fc.array(
          fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 3 })) as fc.Arbitrary<[number, Grade]>,
          { minLength: 1, maxLength: 4 },
        ),
      })
      .map(({ own, side, grades }) => spot(own.key, side, ...grades));
    fc.assert(
      fc.property(fc.array(finding, { minLength: 1, maxLength: 12 }), fc.nat(), (list, pick) => {
        const [all, fewer] = [heatOf(list, 6), heatOf(list.filter((_, i) => i !== pick % list.length), 6)]; // prettier-ignore
        for (const [key, { grade }] of fewer) expect(all.get(key)!.grade).toBeGreaterThanOrEqual(grade);
        for (const [key, { grade, restriction }] of all) {
          expect(spotsOf(restriction)).toContain(key);
          expect(grade).toBeGreaterThan(0);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe("the difference between two visits on the figure", () => {
  it("shows the largest change of a place, and the worse of two as large", () => {
    const list = [
      spot("quadratus-lumborum", "L", [1, 3], [2, 1]),
      spot("lumbar-erectors", "L", [1, 1], [2, 3]),
      spot("calf", "R", [2, 2]),
    ];
    const change = changeOf(sinceLast(list, 2));
    const shared = spotsOf(list[0]!).filter((key) => spotsOf(list[1]!).includes(key));
    for (const key of shared) expect(change.get(key)!.restriction.structure).toBe("lumbar-erectors");
    expect(change.get(spotsOf(list[2]!)[0]!)).toMatchObject({ from: undefined, to: 2 });
  });

  it("can be asked of any two visits at which a spot was graded first", () => {
    const list = [spot("calf", "R", [1, 3], [2, 2], [5, 0]), spot("calf", "L", [2, 3], [5, 3])];
    expect(sinceLast(list, 5, 1).map(({ from, to }) => [from, to])).toEqual([[{ visit: 1, grade: 3 }, 0]]);
    expect(sinceLast(list, 5, 2).map(({ from }) => from)).toEqual([{ visit: 2, grade: 2 }]);
  });
});
