import fc from "fast-check";
import { plusDays } from "../days";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { techniqueOf } from "../techniques/library";
import { handParts, noHands, spares, type HandBudget, type Hands } from "../techniques/hand-parts";
import { budgetIn, sessionLoad } from "./hands";
import { handsLeft } from "./hands-left";
import type { PlanInput } from "./plan";
import { violations } from "./rules";
import { strain } from "./score";
import { solve } from "./solve";

const monday = "2026-03-02";
const on = (offset: number) => plusDays(monday, offset);

describe("what is left of the hands", () => {
  const hands: Hands = { session: { thumb: 30 }, day: { thumb: 50, back: 60 }, week: { thumb: 90 } };

  it("is the least of a session's, a day's and a week's budget, after what others take", () => {
    expect(handsLeft(hands, [on(0)], [])).toEqual([{ thumb: 30, back: 60 }]);
    // the day has 20 left of 50
    expect(handsLeft(hands, [on(0)], [{ day: on(0), load: { thumb: 30 } }])).toEqual([{ thumb: 20, back: 60 }]);
    // Sunday belongs to the week, the Monday after does not
    expect(handsLeft(hands, [on(0)], [{ day: on(6), load: { thumb: 70 } }])[0]!.thumb).toBe(20);
    expect(handsLeft(hands, [on(0)], [{ day: on(7), load: { thumb: 70 } }])[0]!.thumb).toBe(30);
    // more than all was promised to others: nothing is left, never less
    expect(handsLeft(hands, [on(0)], [{ day: on(1), load: { thumb: 500 } }])[0]!.thumb).toBe(0);
  });

  it("is shared by sessions of one week, and given to none that somebody else gives", () => {
    expect(handsLeft({ ...noHands, week: { back: 100 } }, [on(0), on(3), on(7)], [])).toEqual([
      { back: 50 },
      { back: 50 },
      { back: 100 },
    ]);
    expect(handsLeft({ ...noHands, week: { back: 100 } }, [on(0), undefined, on(7)], [])).toEqual([
      { back: 100 },
      {},
      { back: 100 },
    ]);
    expect(handsLeft(noHands, [on(0), on(9)], [{ day: on(0), load: { thumb: 9 } }])).toEqual([{}, {}]);
  });

  it("never lets a day or a week be passed, whatever is planned within it", () => {
    const budget = fc.record({ thumb: fc.integer({ min: 0, max: 200 }), wrist: fc.integer({ min: 0, max: 200 }) });
    const load = fc.record({ thumb: fc.integer({ min: 0, max: 60 }), wrist: fc.integer({ min: 0, max: 60 }) });
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 30 }), { maxLength: 8 });
    const others = fc.array(fc.record({ at: fc.integer({ min: 0, max: 30 }), load }), { maxLength: 12 });
    fc.assert(
      fc.property(budget, budget, days, others, (day, week, offsets, taken) => {
        const own = offsets.map(on);
        const theirs = taken.map(({ at, load: each }) => ({ day: on(at), load: each as HandBudget }));
        const left = handsLeft({ ...noHands, day, week }, own, theirs);
        for (const part of ["thumb", "wrist"] as const)
          for (let first = 0; first < 31; first += 7) {
            const inWeek = (each: string) => each >= on(first) && each <= on(first + 6);
            const before = theirs.filter((each) => inWeek(each.day)).reduce((sum, each) => sum + each.load[part]!, 0);
            const mine = own.reduce((sum, each, s) => sum + (inWeek(each) ? left[s]![part]! : 0), 0);
            expect(mine).toBeLessThanOrEqual(Math.max(0, week[part] - before) + 1e-9);
          }
      }),
    );
  });
});

describe("a plan within the hands' budgets", () => {
  it("keeps every part of every session within what is left, and the checker agrees", () => {
    const hands = smallInput.template === "three-step" ? [{ thumb: 6, back: 30 }, { wrist: 20 }, { shoulder: 15 }] : [];
    const input: PlanInput = { ...smallInput, hands };
    const { sessions } = solve(input, { seed: 1, moves: 2500 })!;
    expect(violations(input, sessions)).toEqual([]);
    sessions.forEach((session, s) => {
      const load = sessionLoad(session);
      for (const part of handParts) {
        expect(load[part]).toBeCloseTo(strain(session, part));
        expect(load[part]).toBeLessThanOrEqual(budgetIn(part, s, input) + 1e-6);
      }
    });
    // and it says which part of whom would be asked too much of
    const tight: PlanInput = { ...input, hands: hands.map((each) => ({ ...each, back: 1 })) };
    expect(violations(tight, sessions).map(({ sentence }) => sentence)).toContainEqual(
      expect.stringMatching(/Session \d: the low back would take [\d.]+ of 1\./),
    );
  });

  it("takes the least of a series' own thumbs and the day's", () => {
    expect(budgetIn("thumb", 0, exampleInput)).toBe(40);
    expect(budgetIn("thumb", 0, { ...exampleInput, hands: [{ thumb: 12 }] })).toBe(12);
    expect(budgetIn("thumb", 0, { ...exampleInput, hands: [{ thumb: 90 }] })).toBe(40);
    expect(budgetIn("thumb", 1, { ...exampleInput, hands: [{ thumb: 12 }] })).toBe(40);
    expect(budgetIn("back", 0, exampleInput)).toBe(Infinity);
    expect(budgetIn("fingers", 0, exampleInput)).toBe(50);
  });

  it("names what an alternative spares", () => {
    const one = techniqueOf("rotator-sink");
    const softer = { ...one, load: { thumb: 1 as const } };
    const harder = { ...one, load: { thumb: 3 as const, wrist: 2 as const } };
    expect(spares(harder, softer)).toEqual(["thumb", "wrist"]);
    expect(spares(softer, harder)).toEqual([]);
    expect(spares(one, one)).toEqual([]);
  });
});
