import { structureOf } from "../anatomy/structures";
import type { Answer, VisitAnswers } from "../table/answers";
import { targetsFrom } from "./targets";
import { targetsOfTable } from "./table-targets";

const at = (visit: number, ...list: (Partial<Answer> & Pick<Answer, "check" | "value">)[]): VisitAnswers => ({
  visit,
  answers: list.map((each) => ({ moment: "before", side: null, way: "hand", ...each })),
});

describe("targets from the table", () => {
  it("work what usually holds a side high, and give each its reason", () => {
    const targets = targetsOfTable([at(2, { check: "hip-height", value: -2 })]);
    expect(targets.map(({ structures, side }) => [structures![0], side])).toEqual([
      ["quadratus-lumborum", "R"],
      ["lumbar-erectors", "L"],
    ]);
    expect(targets[0]!.because).toBe("Hip height at the table: clearly right high before visit 2.");
    for (const { structures } of targets) for (const key of structures!) expect(structureOf(key)).toBeDefined();
  });

  it("mirror, and follow the latest answer: what is even by now asks for nothing", () => {
    const left = targetsOfTable([at(1, { check: "shoulder-height", value: 1 })]);
    const right = targetsOfTable([at(1, { check: "shoulder-height", value: -1 })]);
    expect(left.map(({ side }) => side)).toEqual(["L", "R"]);
    expect(right.map(({ side }) => side)).toEqual(["R", "L"]);
    expect(
      targetsOfTable([at(1, { check: "shoulder-height", value: 1 }), at(2, { check: "shoulder-height", value: 0 })]),
    ).toEqual([]);
    expect(
      targetsOfTable([
        at(1, { check: "shoulder-height", value: 1 }, { check: "shoulder-height", value: 0, moment: "after" }),
      ]),
    ).toEqual([]);
  });

  it("need to be surer than four in five that something is off", () => {
    const of = (value: number) => targetsOfTable([at(1, { check: "malleoli", way: "measured", value })]);
    expect(of(7)).toEqual([]);
    expect(of(12).length).toBeGreaterThan(0);
    expect(of(30)[0]!.weight).toBeGreaterThan(of(12)[0]!.weight);
  });

  it("stand beside what hands found, once for one place and side", () => {
    const table = [at(1, { check: "malleoli", way: "measured", value: -20 }, { check: "hip-height", value: -3 })];
    const places = targetsFrom([], [], table).map(({ structures, side }) => `${structures!.join(" ")} ${side}`);
    expect(new Set(places).size).toBe(places.length);
    expect(places).toContain("quadratus-lumborum R");
  });
});
