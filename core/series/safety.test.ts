import loadHighs from "highs";
import { areasOf } from "../techniques/follows";
import type { Outcome } from "../screening/outcome";
import { techniqueOf } from "../techniques/library";
import { hasTag, regionsTouched } from "../techniques/touches";
import { cautionsOn, entryOf, factsOf } from "../test/facts";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { screen } from "../screening/screen";
import { daysWorked, sessionDays } from "./dates";
import { cautionsOnStep, heldBack } from "./explain";
import { quickPlan } from "../test/quick-plan";
import { minutesOf, sessionMinutes, type PlanInput, type PlannedSession } from "./plan";
import { complaintNeed } from "./complaint";
import { cautionsIn, positionsIn, rulebook, tableMinutesIn, verdictIn, whyNot } from "./rulebook";
import { violations, unsafe } from "./rules";
import { prove } from "./prove";

const today = "2026-11-25";
const days = sessionDays([], { startOn: today, intervalDays: 10 }, 10);
const cautionsFrom = (...entries: Parameters<typeof entryOf>[]): Outcome[] =>
  screen(factsOf({ history: entries.map((each) => entryOf(...each)) }));
const planFor = (change: Partial<PlanInput>): { input: PlanInput; sessions: PlannedSession[] } => {
  const input = { ...exampleInput, days, ...change };
  const sessions = quickPlan(input);
  if (!sessions) throw new Error("no plan");
  expect(violations(input, sessions)).toEqual([]);
  return { input, sessions };
};
const steps = (sessions: readonly PlannedSession[]) =>
  sessions.flatMap((session, s) => session.steps.map((step) => ({ ...step, s, of: techniqueOf(step.technique) })));

describe("a plan for brittle bones", () => {
  const { input, sessions } = planFor({ cautions: cautionsFrom(["osteoporosis"]) });

  it("holds no rib compression, no lever and nothing over 3 of 10", () => {
    for (const { of, s } of steps(sessions)) {
      expect(hasTag(of, "rib compression") || hasTag(of, "lever")).toBe(false);
      expect(verdictIn(of, s, input).cap).toBeLessThanOrEqual(3);
    }
  });

  it("says at every step that is lowered what lowers it, and what was left out why", () => {
    const lowered = steps(sessions).filter((step) => step.of.pressure > 3);
    expect(lowered.length).toBeGreaterThan(5);
    for (const step of lowered)
      expect(cautionsOnStep(input, step.s, step).join(" ")).toMatch(
        new RegExp(`^Up to 3 of 10 instead of ${step.of.pressure}. Osteoporosis: thin bones`),
      );
    const held = heldBack(input, 0);
    expect(held.flatMap((each) => each.techniques)).toContain(techniqueOf("broad-compress").name);
    expect(held.every((each) => each.reason.startsWith("Osteoporosis: "))).toBe(true);
    expect(heldBack({ ...input, cautions: [] }, 0)).toEqual([]);
  });

  it("is told from one that was solved before it was known", () => {
    const before = planFor({ cautions: [] });
    const found = unsafe(input, before.sessions);
    expect(found.length).toBeGreaterThan(3);
    expect(new Set(found.map((violation) => violation.rule))).toEqual(new Set(["safety"]));
    expect(found[0]!.sentence).toMatch(/Session \d+: .*osteoporosis: thin bones/);
    // what was worked stays as it was
    const done = { ...input, done: before.sessions.slice(0, 4) };
    expect(unsafe(done, before.sessions).every((violation) => violation.session >= 4)).toBe(true);
    expect(unsafe(before.input, before.sessions)).toEqual([]);
  });
});

describe("a caution with an end", () => {
  // broken on 8 September: eleven weeks and a day on 25 November, healed for our purposes on 1 December
  const cautions = cautionsFrom(["fracture", { on: "2026-09-08", region: "leg", side: "L" }]);
  const legWork = techniqueOf("side-leg-wring");

  it("is judged for each session's own day", () => {
    const { input, sessions } = planFor({ cautions, complaintRegion: "leg" });
    expect(cautionsIn(0, input).some((caution) => caution.title.startsWith("Fracture"))).toBe(true);
    expect(cautionsIn(1, input).some((caution) => caution.title.startsWith("Fracture"))).toBe(false);
    expect(verdictIn(legWork, 0, input).sides).toEqual({ L: false, R: true });
    expect(verdictIn(legWork, 2, input).sides).toEqual({ L: true, R: true });
    for (const { of, s, minutes } of steps(sessions))
      if (s === 0 && regionsTouched(of).includes("leg")) expect("L" in minutes && minutes.L).toBe(0);
    expect(
      steps(sessions).some(
        ({ of, s, minutes }) => s > 0 && regionsTouched(of).includes("leg") && "L" in minutes && minutes.L > 0,
      ),
    ).toBe(true);
  });

  it("breaks a session that is moved before it", () => {
    const { input, sessions } = planFor({
      cautions,
      days: days.map((_, i) => sessionDays([], { startOn: "2027-01-04", intervalDays: 10 }, 10)[i]!),
    });
    expect(unsafe(input, sessions)).toEqual([]);
    const early = input.days.map(() => today);
    const hits = unsafe({ ...input, days: early }, sessions);
    const works = sessions.some((session) =>
      session.steps.some(
        (step) =>
          "L" in step.minutes && step.minutes.L > 0 && regionsTouched(techniqueOf(step.technique)).includes("leg"),
      ),
    );
    expect(hits.length > 0).toBe(works);
    expect(works).toBe(true);
  });

  it("holds a session without a day to everything that is known", () => {
    const input = { ...exampleInput, cautions, days: [] };
    expect(verdictIn(legWork, 9, input).sides.L).toBe(false);
  });
});

describe("days of a series", () => {
  it("are those worked, then the series' own", () => {
    expect(sessionDays(["2026-01-02", "2026-01-20"], { startOn: "2026-01-01", intervalDays: 10 }, 4)).toEqual([
      "2026-01-02",
      "2026-01-20",
      "2026-01-30",
      "2026-02-09",
    ]);
    expect(sessionDays(["2026-01-02", "2026-01-20"], { startOn: "2026-01-01", intervalDays: 10 }, 1)).toEqual([
      "2026-01-02",
    ]);
    const visit = (status: string, onDate: string) => ({ status, onDate });
    const visits = [visit("closed", "2026-01-02"), visit("open", "2026-01-19"), visit("planned", "2026-01-21")];
    expect(daysWorked(visits)).toEqual(["2026-01-02", "2026-01-19"]);
    expect(daysWorked(visits.slice(0, 2))).toEqual(["2026-01-02", "2026-01-19"]);
    expect(daysWorked([])).toEqual([]);
  });
});

describe("positions, time and wishes in a plan", () => {
  it("keeps off the back, and within the minutes face down and at the table", () => {
    const { input, sessions } = planFor({ cautions: cautionsFrom(["reflux"], ["heart-failure"]) });
    for (const [s, session] of sessions.entries()) {
      expect(positionsIn(s, input)).not.toContain("supine");
      expect(tableMinutesIn(s, input)).toBe(45);
      expect(sessionMinutes(session)).toBeLessThanOrEqual(45);
      const prone = session.steps
        .filter((step) => step.position === "prone" && step.technique !== "rise-slowly")
        .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
      expect(prone).toBeLessThanOrEqual(15);
      for (const step of session.steps) expect(step.position).not.toBe("supine");
    }
  });

  it("finds work for every usual mixture of things people bring", () => {
    for (const entries of [
      [["osteoporosis"], ["reflux"], ["nut-allergy"]],
      [["pregnancy", { on: "2027-03-14" }]],
      [["anticoagulant"], ["joint-replacement", { region: "leg", side: "R" }]],
      [["hypermobility"], ["whiplash", { on: "2019-07-01" }]],
      [["cancer", { region: "arm", side: "R" }]],
    ] as Parameters<typeof entryOf>[][])
      planFor({ cautions: cautionsFrom(...entries), pressureCeiling: 5 });
  });

  it("asks no more for the complaint than cautions leave, and the usual where they leave enough", () => {
    expect(complaintNeed(0, { ...exampleInput, days })).toBe(rulebook.complaint);
    expect(complaintNeed(0, { ...exampleInput, complaintRegion: null })).toBe(0);
    const shut = { ...exampleInput, complaintRegion: "belly" as const, cautions: cautionsFrom(["hernia"]), days };
    expect(complaintNeed(0, shut)).toBe(0);
    expect(quickPlan(shut)).toBeDefined();
  });

  it("names the caution in the answer to why not", () => {
    const input = { ...exampleInput, days, cautions: cautionsFrom(["hernia"]) };
    expect(whyNot(techniqueOf("psoas-wait"), 5, input)).toMatch(/^abdominal hernia or mesh: /);
    expect(whyNot(techniqueOf("psoas-wait"), 5, { ...exampleInput, days })).toBeUndefined();
  });
});

it("finds a plan for brittle bones in pregnancy, where there is little room", () => {
  const cautions = cautionsFrom(["osteoporosis"], ["pregnancy", { on: "2027-03-14" }]);
  for (const complaintRegion of ["low-back", "belly", "neck"] as const) planFor({ cautions, complaintRegion });
});

it("refuses a series that everything speaks against", async () => {
  const refer = cautionsOn(today, {
    answers: [{ question: "hot-calf", answer: "yes", visitId: null, at: "2026-11-25T08:00:00Z" }],
  });
  const input = { ...smallInput, cautions: refer, days: days.slice(0, 3) };
  expect(quickPlan(input)).toBeUndefined();
  expect(prove(await loadHighs(), input, { seconds: 4, seed: 1 }).kind).toBe("impossible");
});

it("plans sensitive work only where an area is named to ask for", () => {
  for (const { of } of steps(planFor({}).sessions)) expect(Boolean(of.consent)).toBe(areasOf(of).length > 0);
});
