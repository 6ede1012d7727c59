import fc from "fast-check";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import { techniqueOf } from "../techniques/library";
import { leastMissed, planFigures } from "./figures";
import { sessionForClient } from "./for-client";
import { changedCourse, type Numbered } from "./lengthen";
import { minutesOf, type PlanInput } from "./plan";
import { violations } from "./rules";
import { scoreOf } from "./score";
import { solve } from "./solve";
import { variantsOf } from "./variants";
import { wishKeys } from "./wish-keys";

const plan = solve(exampleInput, { seed: 2, moves: 6000 })!.sessions;

describe("what a plan comes to", () => {
  const days = Array.from({ length: 10 }, (_, s) => `2026-01-${String(10 + s)}`);
  const figures = planFigures({ ...exampleInput, days }, plan);

  it("adds up what is to come, from the steps themselves", () => {
    const steps = plan.flatMap((session) => session.steps);
    expect(figures.minutes).toBeCloseTo(steps.reduce((sum, step) => sum + minutesOf(step.minutes), 0));
    expect(figures.points).toBeCloseTo(scoreOf(exampleInput, plan));
    expect(figures).toMatchObject({ sessions: 10, until: "2026-01-19", broken: [] });
    const pressures = steps.map(({ technique }) => Math.min(6, techniqueOf(technique).pressure));
    expect(figures.pressure.most).toBe(Math.max(...pressures));
    expect(figures.pressure.mean).toBeGreaterThan(Math.min(...pressures));
    expect(figures.pressure.mean).toBeLessThan(figures.pressure.most);
    expect(figures.served).toBeGreaterThan(0.5);
    expect(figures.served).toBeLessThanOrEqual(1);
    expect(figures.thumbs).toBeLessThanOrEqual(exampleInput.thumbBudget);
  });

  it("counts only what is to come where some is done, and names what breaks", () => {
    const input: PlanInput = { ...exampleInput, days, done: plan.slice(0, 4) };
    const rest = planFigures(input, plan);
    expect(rest.sessions).toBe(6);
    expect(rest.minutes).toBeLessThan(figures.minutes);
    expect(rest.load).toBeLessThan(figures.load);
    // points and targets are of the whole series, worked sessions among it
    expect(rest.served).toBeCloseTo(figures.served!);
    const bare = planFigures(input, [...plan.slice(0, 9), { steps: [] }]);
    expect(bare.broken.length).toBeGreaterThan(0);
    expect(planFigures({ ...exampleInput, targets: [] }, plan).served).toBeUndefined();
  });
});

describe("sessions that are missed least", () => {
  it("are those whose loss costs least, and never the next or the last", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 7 }), (done) => {
        const input: PlanInput = { ...exampleInput, done: plan.slice(0, done) };
        const order = leastMissed(input, plan);
        expect([...order].sort((a, b) => a - b)).toEqual(
          Array.from({ length: Math.max(0, 8 - done) }, (_, i) => done + 1 + i),
        );
        const without = (s: number) =>
          scoreOf(
            input,
            plan.map((each, i) => (i === s ? { steps: [] } : each)),
          );
        const left = order.map(without);
        expect([...left].sort((a, b) => b - a)).toEqual(left);
      }),
    );
  });
});

describe("other ways to go about a series", () => {
  const variants = variantsOf(exampleInput, plan, 90);
  it("are gentler, spare the thumbs, are shorter or fewer, and each solves lawfully", () => {
    expect(variants.map(({ key }) => key)).toEqual(["gentler", "sparing", "shorter", "fewer", ...wishKeys]);
    const [gentler, sparing, shorter, fewer] = variants;
    expect(gentler!.settings).toEqual({ pressureMost: 4 });
    expect(sparing!.settings).toEqual({ thumbBudget: 20 });
    expect(shorter!.settings).toEqual({ bookedMinutes: 60 });
    expect(fewer!.skip).toHaveLength(2);
    expect(fewer!.what).toMatch(/^Without \d+ \(.*\) and \d+ \(.*\), whose steps are missed least$/);
    const gentle: PlanInput = { ...exampleInput, ...gentler!.settings };
    const soft = solve(gentle, { seed: 1, moves: 500 })!;
    expect(violations(gentle, soft.sessions)).toEqual([]);
    expect(planFigures(gentle, soft.sessions).pressure.most).toBeLessThanOrEqual(4);
    // what cannot be done so softly breaks the ceiling, and is told so
    expect(planFigures({ ...exampleInput, pressureMost: 1 }, plan).broken.join(" ")).toMatch(/ceiling of this series/);
    const own = fewer!.skip.reduce<Numbered>((series, session) => changedCourse(series, { kind: "skip", session }), {
      template: exampleInput.template,
      locks: [],
      sessions: plan,
    });
    const eight: PlanInput = { ...exampleInput, course: own.course! };
    expect(violations(eight, solve(eight, { seed: 1, moves: 500 })!.sessions)).toEqual([]);
  });

  it("offers none that changes nothing", () => {
    const low: PlanInput = { ...smallInput, pressureCeiling: 3, thumbBudget: 0 };
    expect(variantsOf({ ...low, wishes: wishKeys }, quickPlan(smallInput)!, 40)).toEqual([]);
    // a series' own ceiling is what is lowered further
    expect(variantsOf({ ...exampleInput, pressureMost: 4 }, plan, 90)[0]!.settings).toEqual({ pressureMost: 2 });
  });
});

describe("a session for the client", () => {
  it("says where, how they lie and what is asked first, and names no technique", () => {
    for (const session of plan) {
      const said = sessionForClient(session);
      const words = JSON.stringify(said).toLowerCase();
      for (const { technique } of session.steps) expect(words).not.toContain(techniqueOf(technique).name.toLowerCase());
      expect(said.where.length).toBeGreaterThan(0);
      expect(said.where.length).toBeLessThanOrEqual(4);
      const consent = session.steps.some(({ technique }) => techniqueOf(technique).consent);
      if (!consent) expect(said.asked).toEqual([]);
    }
    // the front of hip and belly, deep: asked first
    const front = sessionForClient(plan[4]!);
    expect(front.asked.length).toBeGreaterThan(0);
    expect(front.feels).toMatch(/deeper/);
    expect(sessionForClient(plan[0]!).feels).not.toMatch(/deeper/);
  });
});
