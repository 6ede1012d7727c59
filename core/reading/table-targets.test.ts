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

describe("every check that asks for work", () => {
  const lead = (check: string, value: number, side: "L" | "R" | null, way: "hand" | "measured" = "hand") =>
    targetsOfTable([at(1, { check, value, side, way })]).map(
      (target) => `${target.structures!.join(" ")} ${target.side}`,
    );
  // common practice, the judgements of the trade: what stands out, and what is worked for it
  it.each([
    ["malleoli", 2, null, ["quadratus-lumborum L", "hip-rotators L"]],
    ["shoulder-height", 2, null, ["upper-trapezius levator-scapulae L", "latissimus R"]],
    ["high-neck", 2, null, ["splenius L"]],
    ["high-t-mid", 2, null, ["thoracic-erectors thoracic-groove L"]],
    ["high-l-low", 2, null, ["lumbar-erectors multifidus-groove L"]],
    ["rock-l-low", 2, "L", ["multifidus-groove L"]],
    ["rock-neck", 2, "L", ["splenius L"]],
    ["rib-spring-front", 2, "L", ["rib-spaces L"]],
    ["rib-spring-back", 2, "L", ["thoracic-erectors L"]],
    ["ridge", 2, "L", ["subscapularis L"]],
  ] as const)("%s leads to what usually holds it, and mirrors", (check, value, side, wanted) => {
    expect(lead(check, value, side)).toEqual(wanted);
    const mirror = wanted.map((each) => each.replace(/ [LR]$/, (end) => (end === " L" ? " R" : " L")));
    expect(side === null ? lead(check, -value, null) : lead(check, value, "R")).toEqual(mirror);
    expect(lead(check, 0, side)).toEqual([]);
  });

  it("opens the front for shoulders that roll in and blades that stand wide", () => {
    expect(lead("shoulder-point", 40, "R", "measured")).toEqual(["pectoralis-minor R"]);
    expect(lead("shoulder-point", 24, "R", "measured")).toEqual([]);
    expect(lead("blade-rest", 95, "L", "measured")).toEqual(["pectoralis-minor L"]);
  });

  it("works the breath where it moves wrongly, on both sides", () => {
    expect(lead("breath-path", 1, null)).toEqual([]);
    expect(lead("breath-path", 2, null)).toEqual(["scalenes both", "diaphragm both"]);
    expect(lead("chest-expansion", 20, null, "measured")).toEqual(["rib-spaces diaphragm both"]);
    expect(lead("chest-expansion", 60, null, "measured")).toEqual([]);
  });
});
