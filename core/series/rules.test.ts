import fc from "fast-check";
import { exampleInput } from "../test/plan-inputs";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { quickPlan } from "../test/quick-plan";
import { orderSteps, turnsIn } from "./order";
import type { PlanInput, PlannedSession, Step } from "./plan";
import { violations, type RuleName } from "./rules";
import { neededCover, needsOpened, prepares, regionsWorked, whyNot } from "./rulebook";

const checkPlan = quickPlan(exampleInput)!;
const rulesBroken = (sessions: readonly PlannedSession[], input: PlanInput = exampleInput): RuleName[] => [
  ...new Set(violations(input, sessions).map((violation) => violation.rule)),
];
const changed = (session: number, change: (steps: Step[]) => Step[]): PlannedSession[] =>
  checkPlan.map((each, i) => (i === session ? { steps: change([...each.steps]) } : each));
const step = (technique: string, minutes: number): Step => {
  const { sided, positions } = techniqueOf(technique);
  return {
    technique,
    position: positions[0] ?? "prone",
    minutes: sided ? { L: minutes, R: minutes } : { mid: minutes },
  };
};

describe("the rule checker", () => {
  it("finds nothing wrong with a checkPlan plan", () => {
    expect(violations(exampleInput, checkPlan)).toEqual([]);
  });

  it.each<[RuleName, PlannedSession[], Partial<PlanInput>]>([
    ["opening and closing", changed(0, (steps) => steps.slice(1)), {}],
    ["opening and closing", changed(0, (steps) => steps.slice(0, -1)), {}],
    ["order", changed(0, (steps) => [steps.at(-1)!, ...steps.slice(0, -1)]), {}],
    ["technique", changed(0, (steps) => [steps[0]!, step("rotator-sink", 5), ...steps.slice(1)]), {}],
    ["technique", changed(0, (steps) => [steps[0]!, ...steps]), {}],
    [
      "step length",
      changed(2, (steps) =>
        steps.map((each, i) =>
          i === 1 ? { ...each, minutes: "mid" in each.minutes ? { mid: 0.5 } : { L: 0.5, R: 3 } } : each,
        ),
      ),
      {},
    ],
    [
      "step length",
      changed(2, (steps) =>
        steps.map((each, i) =>
          i === 1 ? { ...each, minutes: "mid" in each.minutes ? { L: 2, R: 2 } : { mid: 4 } } : each,
        ),
      ),
      {},
    ],
    ["time", checkPlan, { tableMinutes: 40 }],
    ["safety", checkPlan, { pressureCeiling: 3 }],
    ["hands", checkPlan, { thumbBudget: 1 }],
    ["complaint", checkPlan, { complaintRegion: "arm" }],
    ["locks", checkPlan, { locks: [{ session: 3, technique: "rise-slowly", kind: "leave-out" }] }],
    ["length of series", checkPlan.slice(1), {}],
  ])("names the broken rule: %s", (rule, sessions, change) => {
    expect(rulesBroken(sessions, { ...exampleInput, ...change })).toContain(rule);
  });

  it("asks for outer work in earlier sessions before going deep", () => {
    const entered = checkPlan
      .flatMap(({ steps }) => steps.map((each) => techniqueOf(each.technique)))
      .find(needsOpened)!;
    const [region] = regionsWorked(entered);
    const deep = checkPlan.findIndex((session) => session.steps.some((each) => each.technique === entered.key));
    const bare = checkPlan.map((session, i) =>
      i < deep
        ? {
            steps: session.steps.filter(
              (each) => !techniqueOf(each.technique).doses.some((dose) => dose.region === region),
            ),
          }
        : session,
    );
    expect(deep).toBeGreaterThan(0);
    expect(
      violations(exampleInput, bare).some((violation) => violation.rule === "opened before" && violation.by > 0),
    ).toBe(true);
  });

  it("asks for preparation in the same session and region, by something not oilier", () => {
    const index = checkPlan.findIndex((session) =>
      session.steps.some((each) => neededCover(techniqueOf(each.technique)) > 0),
    );
    const stripped = changed(index, (steps) => {
      const needy = techniqueOf(steps.find((each) => neededCover(techniqueOf(each.technique)) > 0)!.technique);
      return steps.filter(
        (each) => !regionsWorked(needy).some((region) => prepares(techniqueOf(each.technique), needy, region)),
      );
    });
    expect(rulesBroken(stripped)).toContain("preparation");
    expect(prepares(techniqueOf("forearm-glide"), techniqueOf("tilt-glide"), "low-back")).toBe(false);
    expect(prepares(techniqueOf("hip-lift-press"), techniqueOf("tilt-glide"), "low-back")).toBe(true);
  });

  it("does not let a region be worked strongly twice running", () => {
    const strong = (steps: Step[]) => [...steps.slice(0, -2), step("ham-iron", 3), ...steps.slice(-2)];
    const twice = checkPlan.map((session, i) =>
      i === 2 || i === 3 ? { steps: strong(session.steps.filter((each) => each.technique !== "ham-iron")) } : session,
    );
    expect(rulesBroken(twice)).toContain("recovery");
  });

  it("refuses minutes that are not numbers", () => {
    const broken = changed(1, (steps) =>
      steps.map((each, i) => (i === 1 ? { ...each, minutes: {} as Step["minutes"] } : each)),
    );
    expect(rulesBroken(broken)).toContain("step length");
  });
});

describe("the order of a session", () => {
  it("keeps every rule and loses no step, for any checkPlan session", () => {
    checkPlan.forEach((session, s) => {
      const shuffled = [...session.steps]
        .sort((a, b) => (a.technique > b.technique ? 1 : -1))
        .map((each) => ({ ...each, position: null }));
      const ordered = orderSteps(shuffled)!;
      expect(ordered.map((each) => each.technique).sort()).toEqual(session.steps.map((each) => each.technique).sort());
      const plan = checkPlan.map((each, i) => (i === s ? { steps: ordered } : each));
      expect(
        violations(exampleInput, plan).filter(
          (violation) => violation.rule !== "positions" && violation.rule !== "time",
        ),
      ).toEqual([]);
    });
  });

  it("turns the client no more often than any other checkPlan order (exhaustively, small sessions)", () => {
    const pool = ["cross-spread", "lumbar-spread", "thigh-wring", "thigh-spread", "calf-lift", "chest-skin-roll"];
    fc.assert(
      fc.property(fc.uniqueArray(fc.constantFrom(...pool), { minLength: 3, maxLength: 5 }), (keys) => {
        const steps = keys.map((key) => step(key, 3));
        const best = orderSteps([step("settle-touch", 2), ...steps, step("rise-slowly", 2)]);
        const turns = permutations(steps)
          .filter((order) => order.every((each, i) => isPrepared(each, order.slice(0, i))))
          .map((order) => turnsIn(order));
        if (turns.length === 0) expect(best).toBeUndefined();
        else expect(turnsIn(best!.slice(1, -1))).toBe(Math.min(...turns));
      }),
      { numRuns: 60 },
    );
  });
});

const isPrepared = (each: Step, before: readonly Step[]) => {
  const technique = techniqueOf(each.technique);
  return (
    neededCover(technique) === 0 ||
    regionsWorked(technique).every((region) =>
      before.some((other) => prepares(techniqueOf(other.technique), technique, region)),
    )
  );
};
const permutations = <T>(items: readonly T[]): T[][] =>
  items.length <= 1
    ? [[...items]]
    : items.flatMap((item, i) =>
        permutations([...items.slice(0, i), ...items.slice(i + 1)]).map((rest) => [item, ...rest]),
      );

describe("the catalogue", () => {
  it("has at least forty techniques, light-touch blocks among them, with keys used once", () => {
    expect(catalogue.length).toBeGreaterThanOrEqual(40);
    expect(
      catalogue.filter((technique) => technique.layer === "LT" && technique.phase === "work").length,
    ).toBeGreaterThanOrEqual(4);
    expect(new Set(catalogue.map((technique) => technique.key)).size).toBe(catalogue.length);
  });

  it("can prepare every technique it holds: no chain of preparation is broken", () => {
    for (const technique of catalogue)
      for (const region of neededCover(technique) > 0 ? regionsWorked(technique) : [])
        expect({
          technique: technique.key,
          region,
          prepared: catalogue.some((cover) => prepares(cover, technique, region)),
        }).toMatchObject({ prepared: true });
  });

  it("keeps shares within 0 to 1, least under ideal, pressure and load in their scales", () => {
    for (const technique of catalogue) {
      expect(technique.minutes.least).toBeLessThanOrEqual(technique.minutes.ideal);
      expect(technique.pressure).toBeLessThanOrEqual(10);
      for (const dose of technique.doses) expect(dose.share > 0 && dose.share <= 1).toBe(true);
      for (const load of Object.values(technique.load)) expect([1, 2, 3]).toContain(load);
    }
  });

  it("never lets a higher pressure ceiling forbid what a lower one allows", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...catalogue),
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 0, max: 9 }),
        (technique, session, ceiling) => {
          const low = whyNot(technique, session, { ...exampleInput, pressureCeiling: ceiling });
          const high = whyNot(technique, session, { ...exampleInput, pressureCeiling: ceiling + 1 });
          if (!low) expect(high).toBeUndefined();
        },
      ),
    );
  });
});
