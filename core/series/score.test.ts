import fc from "fast-check";
import { structureOf } from "../anatomy/structures";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { exampleInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import { minutesOf, sessionMinutes, tableMinutesOf, type PlannedSession, type Step } from "./plan";
import {
  coverageItems,
  delivered,
  doseOfStep,
  minutesByPlace,
  scoreOf,
  slopePoints,
  slopes,
  strain,
  totalLoad,
  worthOf,
} from "./score";
import { templateOf, templates } from "./template";

const plan = quickPlan(exampleInput)!;
const step = (technique: string, minutes: number): Step => ({
  technique,
  position: techniqueOf(technique).positions[0] ?? null,
  minutes: techniqueOf(technique).sided ? { L: minutes, R: minutes } : { mid: minutes },
});

describe("what covering something is worth", () => {
  it("rises from nothing to all, less and less steeply, and never falls", () => {
    expect([worthOf(0), worthOf(1), worthOf(5)]).toEqual([0, 1, 1]);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1.2, noNaN: true }),
        fc.double({ min: 0, max: 0.4, noNaN: true }),
        (share, more) => {
          const gain = worthOf(share + more) - worthOf(share);
          expect(gain).toBeGreaterThanOrEqual(-1e-12);
          expect(gain).toBeLessThanOrEqual(worthOf(more) + 1e-12);
        },
      ),
    );
  });

  it("is the sum of its thirds, as the model counts it", () => {
    for (const item of coverageItems(exampleInput)) {
      const points = slopePoints(item);
      expect(points).toHaveLength(slopes.length);
      expect(points.reduce((sum, each) => sum + (each * item.wanted) / slopes.length, 0)).toBeCloseTo(item.points, 9);
    }
  });
});

describe("what a minute is worth to a target", () => {
  const worth = (technique: string, structure: string, side: "L" | "R" | "both" = "both") => {
    const { region, layer } = structureOf(structure)!;
    const target = {
      id: "t",
      name: structure,
      structures: [structure],
      region,
      layer,
      side,
      weight: 1,
      wanted: 10,
      because: "Test.",
    };
    const item = coverageItems({ ...exampleInput, targets: [target] }).find(({ id }) => id === "target t")!;
    return item.dose(techniqueOf(technique));
  };

  it("is its share where the structure itself is reached, by its own name or by a group it is part of", () => {
    expect(worth("loin-sink", "quadratus-lumborum").L).toBe(1);
    expect(worth("high-side-in", "multifidus-groove").mid).toBeCloseTo(0.7);
    expect(worth("ham-iron", "hamstrings").L).toBe(1);
    expect(worth("ham-iron", "semitendinosus").R).toBe(1);
  });

  it("is less for other work in the same place, the less the farther apart the layers, and nothing elsewhere", () => {
    // outer muscle over inner: a layer apart; skin over inner: three
    expect(worth("hip-lift-press", "quadratus-lumborum").L).toBeCloseTo(0.35);
    expect(worth("curl-lift-back", "quadratus-lumborum").L).toBeCloseTo(0.06);
    expect(worth("foot-open", "quadratus-lumborum").L).toBe(0);
    // the same layer beside it: half
    expect(worth("calf-pin", "soleus").L).toBeCloseTo(0.35);
    expect(worth("groove-strip", "quadratus-lumborum").L).toBeCloseTo(0.35);
  });

  it("counts on the target’s side, and half where work has no sides", () => {
    expect(worth("loin-sink", "quadratus-lumborum", "L")).toMatchObject({ L: 1, R: 0 });
    expect(worth("high-side-in", "multifidus-groove", "R")).toMatchObject({ L: 0, mid: 0.35 });
  });

  it("of a plan from before structures were aimed at is what its region and layer give", () => {
    const old = {
      id: "t",
      name: "Low back",
      region: "low-back" as const,
      layer: "SM" as const,
      side: "both" as const,
      weight: 1,
      wanted: 10,
      because: "Test.",
    };
    const item = coverageItems({ ...exampleInput, targets: [old] }).find(({ id }) => id === "target t")!;
    expect(item.dose(techniqueOf("hip-lift-press")).L).toBe(1);
    expect(item.dose(techniqueOf("foot-open")).L).toBe(0);
  });
});

describe("a plan's score", () => {
  it("shares out a hundred points, targets and templates together, for every template", () => {
    for (const { key } of templates)
      for (const targets of [exampleInput.targets, []]) {
        const items = coverageItems({ ...exampleInput, template: key, targets });
        expect(items.reduce((sum, item) => sum + item.points, 0)).toBeCloseTo(100, 6);
        for (const item of items) expect(item.wanted).toBeGreaterThan(0);
      }
  });

  it("grows with every minute that is still wanted, less the cost of hands and turns", () => {
    const before = scoreOf(exampleInput, plan);
    const emptied = plan.map((session, s) => (s === 4 ? { steps: session.steps.slice(0, 2) } : session));
    expect(scoreOf(exampleInput, emptied)).toBeLessThan(before);
    expect(
      scoreOf(
        exampleInput,
        plan.map(() => ({ steps: [] })),
      ),
    ).toBe(0);
    expect(before).toBeLessThanOrEqual(100);
  });

  it("does not charge for what has been worked already", () => {
    const done = plan.slice(0, 3);
    expect(scoreOf({ ...exampleInput, done }, plan)).toBeGreaterThan(scoreOf(exampleInput, plan));
  });

  it("gives a target's minutes to its side alone, and half of what has no side", () => {
    const [target] = exampleInput.targets.filter((each) => each.side === "R");
    const item = coverageItems({ ...exampleInput, targets: [target!] }).find((each) => each.id.startsWith("target"))!;
    for (const technique of catalogue) {
      const { L, R, mid } = item.dose(technique);
      expect(L).toBe(0);
      expect(mid).toBeCloseTo(R / 2, 12);
    }
  });

  it("counts a session's own territory in that session only", () => {
    const item = coverageItems(exampleInput).find((each) => each.id === "territory 0 chest")!;
    const chest: PlannedSession = { steps: [step("chest-skin-roll", 4)] };
    const none: PlannedSession = { steps: [] };
    expect(delivered(item, [chest, none])).toBeGreaterThan(0);
    expect(delivered(item, [none, chest])).toBe(0);
    expect(delivered(item, [chest, none])).toBeCloseTo(doseOfStep(chest.steps[0]!, item), 12);
  });
});

describe("minutes and strain", () => {
  it("add up over sides and steps", () => {
    expect(minutesOf({ L: 3, R: 4 })).toBe(7);
    expect(minutesOf({ mid: 5 })).toBe(5);
    for (const session of plan)
      expect(sessionMinutes(session)).toBeCloseTo(
        session.steps.reduce((sum, each) => sum + minutesOf(each.minutes), 0),
        9,
      );
    expect(tableMinutesOf(90)).toBeLessThan(90);
    expect(tableMinutesOf(120)).toBeGreaterThan(tableMinutesOf(90));
  });

  it("load each part by its weight and time", () => {
    const session = { steps: [step("foot-open", 3), step("arm-spread", 2)] };
    const expected = (part: "thumb" | "wrist") =>
      session.steps.reduce(
        (sum, each) => sum + (techniqueOf(each.technique).load[part] ?? 0) * minutesOf(each.minutes),
        0,
      );
    for (const part of ["thumb", "wrist"] as const) expect(strain(session, part)).toBeCloseTo(expected(part), 9);
    expect(strain(session, "thumb")).toBeGreaterThan(0);
    for (const technique of catalogue)
      expect(totalLoad(technique)).toBe(Object.values(technique.load).reduce((sum, load) => sum + load, 0));
  });

  it("go no deeper on the map than the work goes", () => {
    for (const [s, session] of plan.entries()) {
      const ceiling = ["SF", "DF", "SM", "DM", "AR"].indexOf(templateOf("ten-step").sessions[s]!.ceiling);
      for (const layers of minutesByPlace(session).values())
        for (const [depth, minutes] of layers.entries()) if (minutes > 0) expect(depth).toBeLessThanOrEqual(ceiling);
    }
  });
});

describe("the templates", () => {
  it("name every session, say what it is for, and put its attention somewhere", () => {
    expect(new Set(templates.map((template) => template.key)).size).toBe(templates.length);
    for (const template of templates)
      for (const session of template.sessions) {
        expect(session.name).not.toBe("");
        expect(session.intent).toMatch(/\.$/);
        const emphasis = Object.values(session.territory);
        expect(Math.max(...emphasis)).toBeLessThanOrEqual(1);
        expect(emphasis.every((value) => value > 0)).toBe(true);
      }
    expect(() => templateOf("eleven-step")).toThrow();
  });
});
