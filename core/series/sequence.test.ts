import loadHighs from "highs";
import { smallInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import type { Placed, Target } from "../reading/target";
import type { PlanInput } from "./plan";
import { prove } from "./prove";
import { violations } from "./rules";
import { counted, coverageItems, delivered, scoreOf } from "./score";
import { sequencePrice, sequencesIn } from "./sequence";
import { solve } from "./solve";

const placed = (when: Placed["when"]): Placed[] => [
  { pattern: "tipped-forward", name: "Pelvis tipped forward", order: "Front of the thigh before low back.", when },
];
const target = (structure: string, part: Partial<Target>): Target => ({
  id: structure,
  name: structure,
  structures: [structure],
  region: "thigh",
  layer: "SM",
  side: "both",
  weight: 2,
  wanted: 14,
  because: "Test.",
  ...part,
});
const wish = (order: number, flip = false): PlanInput => ({
  ...smallInput,
  order,
  targets: [
    target("rectus-femoris", { sequence: placed(flip ? "then" : "first") }),
    target("lumbar-erectors", { region: "low-back", sequence: placed(flip ? "first" : "then") }),
  ],
});
const solved = (input: PlanInput) => solve(input, { seed: 1, moves: 30_000 })!.sessions;

describe("the usual order of patterns, as a wish", () => {
  it("counts a minute in full at its own end of the series and less towards the other", () => {
    const [front, back] = coverageItems(wish(0.2));
    const last = 2;
    expect([front!.when!(0), front!.when!(last)]).toEqual([1, 0.8]);
    expect([back!.when!(0), back!.when!(last)]).toEqual([0.8, 1]);
    expect(coverageItems(wish(0))[0]!.when).toBeUndefined();
    const both = {
      ...wish(0.2),
      targets: [target("rectus-femoris", { sequence: [...placed("first"), ...placed("then")] })],
    };
    expect(coverageItems(both)[0]!.when).toBeUndefined();
  });

  it("moves what comes first forward and the rest back, as far as the template leaves room, and breaks no rule for it", () => {
    const gap = (input: PlanInput) => {
      const sessions = solved(input);
      expect(violations(input, sessions)).toEqual([]);
      const [{ first, then, kept, order }] = sequencesIn(input, sessions) as [ReturnType<typeof sequencesIn>[number]];
      expect([kept, order]).toEqual([first <= then, "Front of the thigh before low back."]);
      return then - first;
    };
    expect(gap(wish(0.5))).toBeGreaterThan(-gap(wish(0.5, true)));
    // a plan that was made for the wish serves it better than one that knew nothing of it
    expect(scoreOf(wish(0.5), solved(wish(0.5)))).toBeGreaterThan(scoreOf(wish(0.5), solved(wish(0))) - 0.1);
    expect(sequencePrice(wish(0.5), solved(wish(0.5)))).toBeLessThan(sequencePrice(wish(0.5), solved(wish(0))));
  });

  it("costs what the minutes at the wrong end are worth less, and nothing where it weighs nothing", () => {
    const sessions = solved(wish(0));
    expect(sequencePrice(wish(0), sessions)).toBe(0);
    const [little, much] = [sequencePrice(wish(0.2), sessions), sequencePrice(wish(0.5), sessions)];
    expect(little).toBeGreaterThan(0);
    expect(much).toBeGreaterThan(little);
    expect(scoreOf(wish(0), sessions) - scoreOf(wish(0.2), sessions)).toBeCloseTo(little, 9);
    for (const item of coverageItems(wish(0.2)))
      expect(counted(item, sessions)).toBeLessThanOrEqual(delivered(item, sessions));
  });

  it("is bounded by the exact model, which knows the same wish", async () => {
    const input = wish(0.5);
    const proof = prove(await loadHighs(), input, { seconds: 5, seed: 1 });
    if (proof.kind !== "bound") throw new Error(proof.kind);
    expect(scoreOf(input, solved(input))).toBeLessThanOrEqual(proof.bound + 1e-6);
  });

  it("says nothing of an order that nothing is planned for", () => {
    expect(sequencesIn({ ...wish(0.2), targets: [] }, quickPlan(smallInput)!)).toEqual([]);
    expect(sequencesIn(wish(0.2), [{ steps: [] }, { steps: [] }, { steps: [] }])).toEqual([]);
  });
});
