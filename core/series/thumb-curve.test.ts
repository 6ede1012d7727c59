import { exampleInput } from "../test/plan-inputs";
import { violations } from "./rules";
import { strain } from "./score";
import { solve } from "./solve";
import { thumbCurve } from "./thumb-curve";

const effort = { seed: 1, moves: 3000 };

describe("what sparing the thumbs costs", () => {
  const input = { ...exampleInput, template: "three-step" };
  const curve = thumbCurve(input, undefined, effort);

  it("falls with the budget and never rises, and no plan takes more than its budget", () => {
    const free = solve(input, effort)!;
    const taken = Math.round(Math.max(...free.sessions.map((session) => strain(session, "thumb"))));
    expect(curve[0]!.budget).toBe(40);
    expect(curve.slice(1).map(({ budget }) => budget)).toEqual(
      [0.75, 0.5, 0.25, 0].map((share) => Math.round(share * taken)),
    );
    curve.forEach(({ score, most, budget }, i) => {
      expect(most).toBeLessThanOrEqual(budget);
      if (i > 0) expect(score).toBeLessThanOrEqual(curve[i - 1]!.score + 1e-9);
    });
  });

  it("is of plans that keep every rule at that budget, with half the load, too", () => {
    const half = { ...input, thumbBudget: curve[2]!.budget };
    const plan = solve(half, effort)!;
    expect(violations(half, plan.sessions)).toEqual([]);
    expect(curve[2]!.score).toBeGreaterThanOrEqual(plan.score - 1e-9);
  });

  it("tells each point as it is found, the smallest budget first, and none twice", () => {
    const told: number[] = [];
    thumbCurve({ ...input, thumbBudget: 1 }, ({ budget }) => told.push(budget), { seed: 1, moves: 200 });
    expect(told).toEqual([0, 1]);
  });
});
