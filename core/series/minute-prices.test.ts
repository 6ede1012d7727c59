import { catalogue } from "../techniques/catalogue";
import { smallInput } from "../test/plan-inputs";
import { edited } from "./edit";
import { minutePrices, roomFor } from "./minute-prices";
import { minutesOf, type PlannedSession } from "./plan";
import { whyNot } from "./rulebook";
import { violations } from "./rules";
import { scoreOf } from "./score";
import { solve } from "./solve";

const plan = solve(smallInput, { seed: 1, moves: 30_000 })!.sessions;

describe("what a minute is worth", () => {
  it("is the difference of two scores, at every step of every session", () => {
    const score = scoreOf(smallInput, plan);
    plan.forEach((session, s) => {
      const { steps } = minutePrices(smallInput, plan, s);
      expect(steps.map(({ technique }) => technique)).toEqual(session.steps.map(({ technique }) => technique));
      for (const { technique, more, less } of steps) {
        for (const [by, points] of [
          [1, more],
          [-1, less],
        ] as const) {
          const after = edited(smallInput, plan, { kind: "time", technique, session: s, by });
          const at = (sessions: readonly PlannedSession[]) =>
            minutesOf(sessions[s]!.steps.find((step) => step.technique === technique)!.minutes);
          const changed = at(after) - at(plan);
          if (points !== undefined) expect(scoreOf(smallInput, after)).toBeCloseTo(score + points * changed, 9);
        }
      }
    });
  });

  it("falls: one more buys no more than one less would cost, where both can be had", () => {
    for (const [s] of plan.entries())
      for (const { more, less } of minutePrices(smallInput, plan, s).steps)
        if (more !== undefined && less !== undefined) expect(more).toBeLessThanOrEqual(less + 1e-9);
  });

  it("names the dearest and the cheapest of a session", () => {
    const { steps, dearest, cheapest, free } = minutePrices(smallInput, plan, 1);
    expect(dearest!.points).toBe(Math.max(...steps.flatMap(({ more }) => more ?? [])));
    expect(cheapest!.points).toBe(Math.min(...steps.flatMap(({ less }) => less ?? [])));
    expect(free).toBeGreaterThanOrEqual(0);
  });

  it("says what making room brings, by the plan that results: its time is kept, and the minutes come from what serves least", () => {
    const s = 1;
    const prices = minutePrices(smallInput, plan, s);
    const cheapest = prices.steps
      .filter(({ less }) => less !== undefined)
      .sort((a, b) => a.less! - b.less!)
      .map(({ technique }) => technique);
    let seen = 0;
    for (const technique of catalogue) {
      if (whyNot(technique, s, smallInput) || plan[s]!.steps.some((step) => step.technique === technique.key)) continue;
      const { points, from, after } = roomFor(smallInput, plan, s, technique, prices);
      expect(from).toEqual(cheapest.slice(0, from.length + 4).filter((key) => from.includes(key)));
      expect(after[s]!.steps.some((step) => step.technique === technique.key)).toBe(true);
      expect(after.filter((_, i) => i !== s)).toEqual(plan.filter((_, i) => i !== s));
      if (points === undefined) continue;
      seen += 1;
      expect(violations(smallInput, after).filter(({ rule, session }) => rule === "time" && session === s)).toEqual([]);
      expect(points).toBeCloseTo(scoreOf(smallInput, after) - scoreOf(smallInput, plan), 12);
    }
    expect(seen).toBeGreaterThan(5);
  });
});
