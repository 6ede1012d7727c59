import fc from "fast-check";
import { regionKeys } from "../anatomy/regions";
import { catalogue } from "../techniques/catalogue";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import { fit } from "./deal-minutes";
import { Draft } from "./draft";
import { halves, type PlanInput, type PlannedSession } from "./plan";
import { opensRegion, rulebook } from "./rulebook";
import { scoreOf } from "./score";
import { searchSpace } from "./search-space";

/** A draft that holds a finished plan. */
function draftOf(input: PlanInput) {
  const plan = quickPlan(input)!;
  const draft = new Draft(searchSpace(input));
  fill(draft, plan);
  return { plan, draft };
}

function fill(draft: Draft, plan: ReturnType<typeof quickPlan>) {
  draft.held.forEach(({ room }, s) => {
    for (const step of plan![room.session]!.steps) {
      const c = room.indexOf.get(step.technique)!;
      draft.join(s, c);
      room.choices[c]!.sides.forEach((side, k) =>
        draft.set(s, 2 * c + k, halves((step.minutes as Record<string, number>)[side]!)),
      );
    }
    draft.takeStance(s);
  });
}

/** Everything a draft counts, to be compared after it was changed and changed back. */
const counted = (draft: Draft) =>
  draft.held.map(({ room: _, kept: __, in: list, ...rest }) => ({ ...rest, in: [...list].sort((a, b) => a - b) }));
/** What the complaint's own minutes are worth to the search, over and above the score. */
const reward = (draft: Draft) =>
  draft.space.items.reduce(
    (sum, item, n) => sum + (item.complaint ? item.first * Math.min(item.third, draft.covered(n)) : 0),
    0,
  );

describe("a plan in the making", () => {
  it.each<[string, PlanInput]>([
    ["ten sessions", exampleInput],
    ["three sessions", smallInput],
    ["half a series behind", { ...exampleInput, done: quickPlan(exampleInput)!.slice(0, 5) }],
    ["no targets", { ...exampleInput, targets: [] }],
    ["every wish", { ...exampleInput, wishes: ["turns", "quiet", "even", "local"], order: 0.2 }],
    ["wishes, half a series behind", { ...exampleInput, wishes: ["even"], done: quickPlan(exampleInput)!.slice(0, 5) }],
    ["no complaint", { ...smallInput, complaintRegion: null }],
  ])("is worth what the score says of it, and the reward for the complaint (%s)", (_, input) => {
    const { plan, draft } = draftOf(input);
    expect(draft.worth - reward(draft)).toBeCloseTo(scoreOf(input, plan), 6);
  });

  it("counts the same after any edits and their undoing", () => {
    const { draft } = draftOf(smallInput);
    draft.settle();
    const [before, worth] = [counted(draft), draft.worth];
    const edit = fc.record({ s: fc.nat(2), pick: fc.nat(), side: fc.nat(1), to: fc.nat(12), what: fc.nat(2) });
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 30 }), (edits) => {
        for (const { s, pick, side, to, what } of edits) {
          const { room, has } = draft.held[s]!;
          const c = pick % room.choices.length;
          if (what === 0 && draft.mayJoin(s, c)) draft.join(s, c);
          else if (what === 1 && has[c]) draft.leave(s, c);
          else if (what === 2 && has[c]) draft.set(s, 2 * c + (side % room.choices[c]!.sides.length), to);
          draft.takeStance(s);
        }
        draft.undo();
        expect(counted(draft)).toEqual(before);
        expect(draft.worth).toBeCloseTo(worth, 6);
      }),
      { numRuns: 60 },
    );
  });

  it("foretells what a half minute more or less would change", () => {
    const { draft } = draftOf(smallInput);
    draft.settle();
    draft.held.forEach(({ in: list, room, half }, s) => {
      for (const c of list)
        for (let k = 0; k < room.choices[c]!.sides.length; k++)
          for (const by of [1, -1] as const) {
            if (by < 0 && half[2 * c + k] === 0) continue;
            const [told, before] = [draft.marginal(s, 2 * c + k, by), draft.worth];
            draft.set(s, 2 * c + k, half[2 * c + k]! + by);
            expect(draft.worth - before).toBeCloseTo(told, 9);
            draft.undo();
          }
    });
  });

  it("never gains by a half minute more than by the one before", () => {
    const { draft } = draftOf(smallInput);
    draft.held.forEach(({ in: list, half }, s) => {
      for (const c of list) {
        const first = draft.marginal(s, 2 * c, 1);
        draft.set(s, 2 * c, half[2 * c]! + 1);
        expect(draft.marginal(s, 2 * c, 1)).toBeLessThanOrEqual(first + 1e-9);
      }
    });
  });

  it("takes a repeated technique no more often than it may return", () => {
    const { draft } = draftOf(exampleInput);
    for (const [s, { room }] of draft.held.entries())
      for (const [c, choice] of room.choices.entries())
        if (draft.usesLeft[choice.id]! <= 0) expect(draft.mayJoin(s, c)).toBe(false);
    expect(Math.min(...draft.usesLeft)).toBeGreaterThanOrEqual(0);
  });

  it("lets nothing deep in where nothing was opened before it", () => {
    const draft = new Draft(searchSpace(exampleInput));
    for (const [s, { room }] of draft.held.entries())
      for (const [c, choice] of room.choices.entries()) if (choice.deep) expect(draft.mayJoin(s, c)).toBe(false);
  });

  it("adds up what was worked before it is cut to half minutes: 3 × 2.8 min have opened a region", () => {
    const outer = catalogue.filter((technique) => opensRegion(technique, "belly")).slice(0, 3);
    const worked = (minutes: number): PlannedSession => ({
      steps: outer.map(({ key, sided }) => ({
        technique: key,
        position: "supine",
        minutes: sided ? { L: minutes / 2, R: minutes / 2 } : { mid: minutes },
      })),
    });
    const opened = (minutes: number) =>
      searchSpace({ ...exampleInput, done: [worked(minutes)] }).openedBefore[regionKeys.indexOf("belly")];
    expect(outer).toHaveLength(3);
    expect(opened(2.8)).toBe(2 * rulebook.opened);
    expect(opened(2.6)).toBe(2 * rulebook.opened - 1);
  });

  it("prices what differs from a kept plan: a new step, and every half minute that is re-timed", () => {
    const plan = quickPlan(smallInput)!;
    const stability = { kept: plan, newStep: 0.5, goneStep: 0.5, retimed: 0.05 };
    const [free, priced] = [new Draft(searchSpace(smallInput)), new Draft(searchSpace(smallInput), stability)];
    for (const draft of [free, priced]) fill(draft, plan);
    // with every step of the kept plan in, the price of what is gone is earned back
    const gone = free.worth - priced.worth;
    expect(gone).toBeCloseTo(-0.5 * plan.flatMap(({ steps }) => steps).length, 9);
    const { in: list, half, room } = priced.held[0]!;
    const timed = list.find((c) => half[2 * c]! > room.choices[c]!.least[0]!)!;
    for (const draft of [free, priced]) draft.set(0, 2 * timed, draft.held[0]!.half[2 * timed]! - 1);
    expect(free.worth - priced.worth - gone).toBeCloseTo(0.05, 9);
    // a step of the kept plan that goes, and one that it does not have, cost their price
    const out = list.find((c) => c !== timed && room.choices[c]!.kind === "middle")!;
    for (const draft of [free, priced]) draft.leave(0, out);
    expect(free.worth - priced.worth - gone).toBeCloseTo(0.55, 9);
    const had = new Set(plan[0]!.steps.map((step) => step.technique));
    const fresh = room.choices.findIndex(({ technique }, c) => !had.has(technique.key) && priced.mayJoin(0, c));
    for (const draft of [free, priced]) draft.join(0, fresh);
    expect(free.worth - priced.worth - gone).toBeCloseTo(1.05, 9);
  });
});

describe("dealing out the minutes of a session", () => {
  it("keeps every budget and fills what is free with what is worth it", () => {
    for (const change of [{}, { tableMinutes: 30 }, { thumbBudget: 6 }, { tableMinutes: 140 }]) {
      const input: PlanInput = { ...exampleInput, ...change };
      const { draft } = draftOf(input);
      draft.held.forEach(({ room }, s) => {
        const held = draft.held[s]!;
        expect(fit(draft, s)).toBe(true);
        expect(draft.free(s)).toBeGreaterThanOrEqual(0);
        room.hands.forEach((most, part) => expect(held.hands[part]).toBeLessThanOrEqual(most + 1e-6));
        for (const c of held.in)
          room.choices[c]!.sides.forEach((_, k) => {
            expect(held.half[2 * c + k]).toBeGreaterThanOrEqual(room.choices[c]!.least[k]!);
            expect(held.half[2 * c + k]).toBeLessThanOrEqual(room.choices[c]!.most[k]!);
          });
      });
    }
  });

  it("never makes a session worth less", () => {
    const { draft } = draftOf(exampleInput);
    draft.held.forEach((_, s) => {
      const before = draft.worth;
      fit(draft, s);
      expect(draft.worth).toBeGreaterThanOrEqual(before - 1e-9);
    });
  });

  it("says so where the steps cannot fit at their least", () => {
    const input: PlanInput = { ...smallInput, tableMinutes: 12 };
    const draft = new Draft(searchSpace(input));
    const { room } = draft.held[0]!;
    // opening, closing and rising, and then long work until the least of it passes twelve minutes
    for (const kind of ["opening", "rising", "closing"] as const)
      draft.join(
        0,
        room.choices.findIndex((choice) => choice.kind === kind),
      );
    for (const [c, choice] of room.choices.entries())
      if (choice.kind === "middle" && choice.needs.length === 0 && draft.mayJoin(0, c) && draft.held[0]!.time < 40)
        draft.join(0, c);
    expect(fit(draft, 0)).toBe(false);
  });
});
