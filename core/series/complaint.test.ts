import { areasOf } from "../techniques/follows";
import { screen } from "../screening/screen";
import { regionKeys } from "../anatomy/regions";
import { techniqueOf } from "../techniques/library";
import { entryOf, factsOf } from "../test/facts";
import { exampleInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import { complaintNeed, helpsComplaint } from "./complaint";
import { sessionDays } from "./dates";
import { minutesOf, type PlanInput } from "./plan";
import { rulebook } from "./rulebook";
import { violations } from "./rules";

const days = sessionDays([], { startOn: "2026-11-25", intervalDays: 10 }, 10);
const needs = (input: PlanInput) => days.map((_, s) => complaintNeed(s, input));
const within = (...entries: Parameters<typeof entryOf>[]) =>
  screen(factsOf({ history: entries.map((each) => entryOf(...each)) }));

describe("what the complaint's own region is to get", () => {
  it("is the usual in every session where nothing stands in the way, whatever the region", () => {
    for (const complaintRegion of regionKeys) {
      const asked = needs({ ...exampleInput, days, complaintRegion });
      expect({ complaintRegion, asked }).toEqual({ complaintRegion, asked: days.map(() => rulebook.complaint) });
    }
    expect(needs({ ...exampleInput, days, complaintRegion: null })).toEqual(days.map(() => 0));
  });

  it("comes in half minutes, never more than the usual, and a plan can give it", () => {
    for (const cautions of [
      within(["osteoporosis"], ["pregnancy", { on: "2027-03-14" }]),
      within(["hernia"]),
      within(["anticoagulant"], ["reflux"]),
    ])
      for (const complaintRegion of ["belly", "low-back", "leg"] as const) {
        const input: PlanInput = { ...exampleInput, days, cautions, complaintRegion };
        const asked = needs(input);
        for (const minutes of asked) {
          expect(minutes * 2).toBe(Math.round(minutes * 2));
          expect(minutes).toBeLessThanOrEqual(rulebook.complaint);
        }
        const sessions = quickPlan(input)!;
        expect(violations(input, sessions)).toEqual([]);
        sessions.forEach(({ steps }, s) => {
          const given = steps
            .filter((step) => helpsComplaint(techniqueOf(step.technique), input))
            .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
          expect(given).toBeGreaterThanOrEqual(asked[s]! - 1e-6);
        });
      }
  });

  it("asks nothing of sessions that are done, and shares what is left over those to come", () => {
    const done = quickPlan({ ...exampleInput, days })!.slice(0, 6);
    const input: PlanInput = { ...exampleInput, days, done };
    expect(needs(input).slice(0, 6)).toEqual([0, 0, 0, 0, 0, 0]);
    expect(needs(input).slice(6)).toEqual([3, 3, 3, 3]);
  });

  it("counts sensitive work for its region only where an area is named to ask for", () => {
    const input: PlanInput = { ...exampleInput, days, complaintRegion: "belly" };
    for (const { steps } of quickPlan(input)!)
      for (const step of steps) {
        const technique = techniqueOf(step.technique);
        if (helpsComplaint(technique, input) && technique.consent) expect(areasOf(technique)).not.toEqual([]);
      }
  });
});
