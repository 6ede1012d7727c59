import fc from "fast-check";
import { lightest } from "../techniques/touches";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { isStrong, passesOf } from "../techniques/technique";
import { arcOf } from "./arc-session";
import { formulate } from "./formulate";
import { quickPlan } from "../test/quick-plan";
import { LinearModel } from "./linear-model";
import { tableMinutesOf, type PlanInput } from "./plan";
import {
  candidates,
  facing,
  verdictIn,
  neededCover,
  needsOpened,
  prepares,
  regionsWorked,
  whyNot,
  workingDepth,
} from "./rulebook";
import { violations } from "./rules";
import { coverageItems, delivered, minutesByPlace, scoreOf, strain, worthOf } from "./score";
import { templateOf, templates } from "./template";
import { hopeless } from "./prove";

const plan = quickPlan(exampleInput)!;

describe("the model", () => {
  const formulation = formulate(exampleInput);
  const start = formulation.startFrom(plan);

  it("holds a checkPlan plan: every row is kept by the columns it stands for", () => {
    const { model } = formulation;
    const broken = model.rows.filter((row) => {
      const sum = row.entries.reduce((total, [column, value]) => total + value * start[column]!, 0);
      // coverage and gates are columns the solver fills by itself
      return sum > row.high + 1e-6 || (row.rule && !row.rule.includes("outer work") && sum < row.low - 1e-6);
    });
    expect(broken.map((row) => row.rule)).toEqual([]);
  });

  it("has no column for a technique the session cannot hold or that was left out", () => {
    const left = formulate({ ...smallInput, locks: [{ session: 1, technique: "glute-melt", kind: "leave-out" }] });
    expect(left.uses.some((use) => use.session === 1 && use.technique.key === "glute-melt")).toBe(false);
    expect(left.uses.some((use) => use.session === 0 && use.technique.key === "glute-melt")).toBe(true);
    for (const use of formulation.uses) expect(whyNot(use.technique, use.session, exampleInput)).toBeUndefined();
  });

  it("leaves sessions that are done out of its choices", () => {
    const later = formulate({ ...exampleInput, done: plan.slice(0, 4) });
    expect(Math.min(...later.uses.map((use) => use.session))).toBe(4);
  });

  it("adds up columns named twice in a row", () => {
    const model = new LinearModel();
    const x = model.column(1, 0, 1);
    model.row(0, 2, [
      [x, 1],
      [x, 1],
    ]);
    expect(model.arrays().matrix.values).toEqual(Float64Array.from([2]));
    expect(model.arrays().matrix.indices).toEqual(Int32Array.from([0]));
  });
});

describe("a first plan", () => {
  it.each<[string, Partial<PlanInput>]>([
    ["no targets at all", { targets: [] }],
    ["a low ceiling", { pressureCeiling: 3 }],
    ["short sessions", { tableMinutes: 40 }],
    ["long sessions", { tableMinutes: 120 }],
    ["careful thumbs", { thumbBudget: 8 }],
    ["no complaint", { complaintRegion: null }],
    ["a complaint in the jaw", { complaintRegion: "head" }],
    ["three sessions", { template: "three-step" }],
    ["half a series behind", { done: plan.slice(0, 5) }],
    ["a step locked in", { locks: [{ session: 2, technique: "crest-follow", kind: "keep" }] }],
    ["a step left out", { locks: [{ session: 0, technique: plan[0]!.steps[2]!.technique, kind: "leave-out" }] }],
  ])("is checkPlan with %s", (_name, change) => {
    const input = { ...exampleInput, ...change };
    const found = quickPlan(input);
    expect(found).toBeDefined();
    expect(violations(input, found!)).toEqual([]);
  });
});

describe("the score", () => {
  it("shares out a hundred points, or the template's own where there is no target", () => {
    for (const input of [exampleInput, smallInput, { ...exampleInput, targets: [] }]) {
      const points = coverageItems(input).reduce((sum, item) => sum + item.points, 0);
      expect(points).toBeCloseTo(100, 6);
    }
  });

  it("counts work on the target's own side only", () => {
    const item = coverageItems(exampleInput).find((each) => each.id === "target c")!;
    const dose = item.dose(techniqueOf("rotator-sink"));
    expect(dose.R).toBeGreaterThan(0);
    expect(dose.L).toBe(0);
  });

  it("rises with minutes and never falls by giving more to a target (any minutes)", () => {
    const item = coverageItems(exampleInput).find((each) => each.id === "target b")!;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (given, more) => {
          expect(worthOf((given + more) / item.wanted)).toBeGreaterThanOrEqual(worthOf(given / item.wanted) - 1e-12);
        },
      ),
    );
  });

  it("credits sessions that are done without judging how they were reached", () => {
    const done = plan.slice(0, 3);
    expect(scoreOf({ ...exampleInput, done }, plan)).toBeGreaterThanOrEqual(scoreOf(exampleInput, plan));
    const item = coverageItems(exampleInput)[0]!;
    expect(delivered(item, plan.slice(0, 3))).toBeLessThanOrEqual(delivered(item, plan));
  });

  it("counts the load of both hands' sides, and every minute at its place", () => {
    const session = { steps: [{ technique: "groove-strip", position: "prone" as const, minutes: { L: 4, R: 5 } }] };
    expect(strain(session, "thumb")).toBe(27);
    expect(strain(session, "back")).toBe(0);
    expect(minutesByPlace(session).get("upper-back")![3]).toBeCloseTo(6.3, 9);
  });
});

describe("the rulebook", () => {
  it("never lets something prepare itself or what lies above it", () => {
    for (const technique of catalogue)
      for (const cover of catalogue)
        for (const region of regionsWorked(technique))
          if (prepares(cover, technique, region)) {
            expect(cover.key).not.toBe(technique.key);
            expect(workingDepth(cover)).toBeLessThan(workingDepth(technique));
            expect(cover.phase).not.toBe("close");
          }
  });

  it("asks nothing of openings, warming and closings, and cover of all deep work", () => {
    for (const technique of catalogue) {
      if (technique.phase === "open" || technique.phase === "warm" || technique.phase === "close")
        expect(neededCover(technique)).toBe(0);
      if (needsOpened(technique)) expect(neededCover(technique)).toBeGreaterThan(0);
      if (technique.layer === "LT") expect([workingDepth(technique), neededCover(technique)]).toEqual([0, 0]);
    }
  });

  it("keeps every candidate within ceiling and pressure, for every session of every template", () => {
    for (const template of templates)
      template.sessions.forEach((_, session) => {
        const input = { ...exampleInput, template: template.key, pressureCeiling: 5 };
        const list = candidates(input, session);
        // an arc offers its own parts, and rising
        const arc = arcOf(session, input);
        if (arc) expect(list).toHaveLength(arc.length + 1);
        else expect(list.length).toBeGreaterThan(20);
        // stronger work stays where it can be done as lightly as that
        for (const technique of list) {
          expect(lightest(technique)).toBeLessThanOrEqual(5);
          expect(verdictIn(technique, session, input).cap).toBe(Math.min(5, technique.pressure));
        }
        expect(list.some((technique) => technique.phase === "open")).toBe(true);
        expect(list.some((technique) => technique.key === "rise-slowly")).toBe(true);
      });
  });

  it("goes from the surface to the depth and back in the ten-step arc", () => {
    const depth = ["SF", "DF", "SM", "DM", "AR"];
    const path = templateOf("ten-step").sessions.map((session) => depth.indexOf(session.ceiling));
    expect(path[0]).toBeLessThan(Math.max(...path));
    expect(path.at(-1)).toBeLessThan(Math.max(...path));
    expect(() => templateOf("nine-step")).toThrow('series template "nine-step" is not known');
    expect(() => techniqueOf("magic")).toThrow('technique "magic" is not in the catalogue');
  });

  it("tells front from back by the one position a technique is done in", () => {
    expect(facing(techniqueOf("psoas-wait"))).toBe("front");
    expect(facing(techniqueOf("sink-wait"))).toBe("back");
    expect(facing(techniqueOf("tfl-lift"))).toBeUndefined();
  });

  it("runs work in three passes and everything else, light touch too, in one", () => {
    expect(passesOf(techniqueOf("rotator-sink"))).toBe(3);
    expect(passesOf(techniqueOf("settle-touch"))).toBe(1);
    expect(passesOf(techniqueOf("lt-sheets"))).toBe(1);
    expect(isStrong(techniqueOf("rotator-sink"))).toBe(true);
    expect(isStrong(techniqueOf("settle-touch"))).toBe(false);
  });

  it("leaves table time after talk and rising", () => {
    expect(tableMinutesOf(90)).toBe(70);
    expect(tableMinutesOf(10)).toBe(0);
  });

  it("finds no fault with a lock on what a session can hold", () => {
    expect(
      hopeless({
        ...exampleInput,
        locks: [
          { session: 5, technique: "rotator-sink", kind: "keep" },
          { session: 0, technique: "rotator-sink", kind: "leave-out" },
        ],
      }),
    ).toEqual([]);
  });
});
