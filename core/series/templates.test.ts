import { depthOf } from "../anatomy/layers";
import { exampleInput } from "../test/plan-inputs";
import { techniqueOf } from "../techniques/library";
import { sessionMinutes, type PlanInput } from "./plan";
import { workingDepth } from "./rulebook";
import { violations } from "./rules";
import { solve } from "./solve";
import { templates } from "./template";

describe("the series templates", () => {
  it.each(templates.map(({ key, name }) => [name, key] as const))(
    "%s is solved lawfully, uses its time, and looks as the trade expects",
    (_, key) => {
      const input: PlanInput = { ...exampleInput, template: key };
      const { sessions: own } = templates.find((each) => each.key === key)!;
      const plan = solve(input, { seed: 1, moves: 6000 })!;
      expect(violations(input, plan.sessions)).toEqual([]);
      plan.sessions.forEach((session, s) => {
        const depth = Math.max(...session.steps.map(({ technique }) => workingDepth(techniqueOf(technique))));
        expect(depth).toBeLessThanOrEqual(depthOf(own[s]!.ceiling));
        // an arc takes no longer than its holds usually do; a search this short leaves some minutes of the others
        if (!own[s]!.arc) expect(sessionMinutes(session)).toBeGreaterThan(0.75 * input.tableMinutes);
      });
      // no template begins or ends with its deepest session, where it has more than two
      const depths = own.map(({ ceiling }) => depthOf(ceiling));
      if (own.length > 2 && new Set(depths).size > 1) {
        expect(depths[0]).toBeLessThan(Math.max(...depths));
        expect(depths.at(-1)).toBeLessThan(Math.max(...depths));
      }
    },
  );

  it("has a light-touch visit inside the five-step chain", () => {
    const input: PlanInput = { ...exampleInput, template: "five-step" };
    const { sessions } = solve(input, { seed: 1, moves: 2000 })!;
    expect(sessions[3]!.steps.map(({ technique }) => technique)).toEqual([
      "lt-listen",
      "lt-sheets",
      "lt-skull-base",
      "lt-tube",
      "lt-occiput-still",
      "lt-listen-again",
      "rise-slowly",
    ]);
  });
});
