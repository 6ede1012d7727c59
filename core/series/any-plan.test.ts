import fc from "fast-check";
import { placesIn } from "../anatomy/places";
import { regionKeys } from "../anatomy/regions";
import { structures } from "../anatomy/structures";
import { targetsFrom } from "../reading/targets";
import type { Restriction } from "../findings/restriction";
import type { Outcome } from "../screening/outcome";
import { exampleInput } from "../test/plan-inputs";
import { tableMinutesOf, type PlanInput } from "./plan";
import { violations } from "./rules";
import { solve } from "./solve";

/** RUNS=500 npx jest core/series/any-plan for a long look, at long series, too. */
const runs = Number(process.env.RUNS ?? 16);

/** A client as they come: what was felt, where they complain, what is out, how long they book, and how hard they want it. */
const restriction: fc.Arbitrary<Restriction> = fc
  .record({
    id: fc.uuid(),
    own: fc.constantFrom(...structures),
    side: fc.constantFrom("L" as const, "R" as const),
    grade: fc.constantFrom(1 as const, 2 as const, 3 as const),
    tenderness: fc.nat(10),
  })
  .map(({ id, own, side, grade, tenderness }) => ({
    id,
    region: own.region,
    structure: own.key,
    side: own.midline ? ("both" as const) : side,
    layer: own.layer,
    quality: "drag" as const,
    bind: "" as const,
    ease: "" as const,
    grades: [{ visit: 1, moment: "before" as const, grade, tenderness }],
  }));

const out: fc.Arbitrary<Outcome> = fc
  .record({
    region: fc.constantFrom(...regionKeys),
    side: fc.constantFrom("L" as const, "R" as const, undefined),
    pressure: fc.constantFrom(undefined, 3, 4),
  })
  .map(({ region, side, pressure }): Outcome => ({
    key: `${region} ${side} ${pressure}`,
    title: "Found on the day",
    reason: "Found on the day.",
    origin: "history",
    ...(pressure === undefined
      ? { kind: "exclude", scope: { places: placesIn(region).slice(0, 2), ...(side ? { side } : {}) } }
      : { kind: "limit", pressure, scope: { regions: [region] } }),
  }));

const input: fc.Arbitrary<PlanInput> = fc
  .record({
    felt: fc.array(restriction, { minLength: 1, maxLength: 14 }),
    cautions: fc.array(out, { maxLength: 3 }),
    template: fc.constantFrom("three-step", ...(process.env.RUNS ? ["ten-step"] : [])),
    booked: fc.constantFrom(60, 75, 90, 120),
    complaintRegion: fc.constantFrom(...regionKeys, null),
    pressureCeiling: fc.integer({ min: 3, max: 8 }),
    thumbBudget: fc.constantFrom(15, 25, 40, 60),
  })
  .map(({ felt, booked, ...rest }) => ({
    ...exampleInput,
    ...rest,
    tableMinutes: tableMinutesOf(booked),
    targets: targetsFrom(felt, []),
    locks: [],
    done: [],
  }));

describe("any plan", () => {
  it("breaks no rule, by a checker that knows nothing of the search", () => {
    let found = 0;
    fc.assert(
      fc.property(input, fc.nat(1000), (made, seed) => {
        const plan = solve(made, { seed, moves: 250 });
        if (!plan) return;
        found += 1;
        expect(violations(made, plan.sessions)).toEqual([]);
      }),
      { numRuns: runs },
    );
    // where too much is out there may be none; mostly there is one
    expect(found).toBeGreaterThan(0.8 * runs);
  });

  it("is the same whenever it is made from the same input, seed and number of moves", () => {
    fc.assert(
      fc.property(input, fc.nat(1000), (made, seed) => {
        const [once, again] = [solve(made, { seed, moves: 400 }), solve(made, { seed, moves: 400 })];
        expect(again).toEqual(once);
      }),
      { numRuns: 3 },
    );
  });
});
