import fc from "fast-check";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { exampleInput } from "../test/plan-inputs";
import { differences, differenceWords, edited, insteadOf, weigh, type Edit } from "./edit";
import { minutesOf, type PlannedSession } from "./plan";
import { violations } from "./rules";
import { scoreOf } from "./score";
import { solve } from "./solve";

const input = exampleInput;
const plan = solve(input, { seed: 1, moves: 20_000 })!.sessions;
const keysOf = (sessions: readonly PlannedSession[]) =>
  sessions.map(({ steps }) => steps.map(({ technique }) => technique).sort());
/** A step of the plan that opens or closes nothing. */
const worked = (session: number) =>
  plan[session]!.steps.map(({ technique }) => techniqueOf(technique)).filter(({ phase }) => phase === "work");

const anyEdit: fc.Arbitrary<Edit> = fc.integer({ min: 0, max: plan.length - 1 }).chain((session) => {
  const technique = fc.constantFrom(...plan[session]!.steps.map((step) => step.technique));
  const other = fc.constantFrom(...catalogue.map(({ key }) => key));
  return fc.oneof(
    fc.record({
      kind: fc.constant("move" as const),
      technique,
      from: fc.constant(session),
      to: fc.integer({ min: 0, max: plan.length - 1 }),
    }),
    fc.record({
      kind: fc.constant("time" as const),
      technique,
      session: fc.constant(session),
      by: fc.integer({ min: -20, max: 20 }),
    }),
    fc.record({ kind: fc.constant("add" as const), technique: other, session: fc.constant(session) }),
    fc.record({ kind: fc.constant("replace" as const), technique, session: fc.constant(session), with: other }),
    fc.record({ kind: fc.constant("remove" as const), technique, session: fc.constant(session) }),
  );
});

describe("a plan that is changed by hand", () => {
  it("holds what was asked for and leaves everything else as it was", () => {
    const step = worked(3)[0]!.key;
    const moved = edited(input, plan, { kind: "move", technique: step, from: 3, to: 8 });
    expect(keysOf(moved)[3]).not.toContain(step);
    expect(keysOf(moved)[8]).toContain(step);
    for (const s of [0, 1, 2, 4, 5, 6, 7, 9]) expect(moved[s]).toEqual(plan[s]);
    const longer = edited(input, plan, { kind: "time", technique: step, session: 3, by: 1 });
    expect(keysOf(longer)).toEqual(keysOf(plan));
  });

  it("is undone by the edit the other way round, but for order", () => {
    const step = worked(2)[0]!.key;
    const there = edited(input, plan, { kind: "move", technique: step, from: 2, to: 8 });
    expect(keysOf(edited(input, there, { kind: "move", technique: step, from: 8, to: 2 }))).toEqual(keysOf(plan));
    const key = catalogue.find(({ key: each }) => !plan[4]!.steps.some(({ technique }) => technique === each))!.key;
    const added = edited(input, plan, { kind: "add", technique: key, session: 4 });
    expect(edited(input, added, { kind: "remove", technique: key, session: 4 })).toEqual(plan);
  });

  it("never touches a session that was worked, never has a step twice, and keeps minutes within what a step takes", () => {
    const half = { ...input, done: plan.slice(0, 4) };
    fc.assert(
      fc.property(anyEdit, (edit) => {
        const after = edited(half, plan, edit);
        expect(after.slice(0, 4)).toEqual(plan.slice(0, 4));
        for (const { steps } of after) expect(new Set(steps.map(({ technique }) => technique)).size).toBe(steps.length);
        if (edit.kind === "time")
          expect(violations(half, after).filter(({ rule }) => rule === "step length")).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it("is weighed by the same points and rules as any plan", () => {
    fc.assert(
      fc.property(anyEdit, (edit) => {
        const after = edited(input, plan, edit);
        const { points, broken, mended, standing } = weigh(input, plan, after);
        expect(standing).toEqual([]);
        expect(points).toBeCloseTo(scoreOf(input, after) - scoreOf(input, plan), 9);
        // the solved plan breaks nothing: whatever is broken now, the edit broke
        expect(broken.map(({ sentence }) => sentence)).toEqual(
          violations(input, after).map(({ sentence }) => sentence),
        );
        expect(mended).toEqual([]);
        expect(differences(plan, after).length === 0).toBe(
          keysOf(after).join() === keysOf(plan).join() &&
            after.every(({ steps }, s) =>
              steps.every(
                (step) =>
                  minutesOf(step.minutes) ===
                  minutesOf(plan[s]!.steps.find(({ technique }) => technique === step.technique)!.minutes),
              ),
            ),
        );
      }),
      { numRuns: 40 },
    );
  });

  it("tells what was broken before from what a change breaks", () => {
    // findings that came later: less time at the table
    const later = { ...input, tableMinutes: 40 };
    const { standing, broken } = weigh(later, plan, plan);
    expect(standing.map(({ rule }) => rule)).toContain("time");
    expect(broken).toEqual([]);
  });

  it("names the preparation that an edit takes away", () => {
    // some step of the plan is what prepares another: without it a rule is broken and says so
    const found = plan.flatMap(({ steps }, session) =>
      steps.flatMap(({ technique }) => {
        const { broken } = weigh(input, plan, edited(input, plan, { kind: "remove", technique, session }));
        return broken.filter(({ rule }) => rule === "preparation").map(({ sentence }) => sentence);
      }),
    );
    expect(found.length).toBeGreaterThan(0);
    for (const sentence of found) expect(sentence).toMatch(/^Session \d+: /);
  });

  it("differs in words: moved, new, gone, longer", () => {
    const step = worked(3)[0]!;
    const after = edited(input, plan, { kind: "move", technique: step.key, from: 3, to: 8 });
    expect(differences(plan, after).map(differenceWords)).toEqual([`${step.name}: from session 4 to session 9`]);
    const gone = edited(input, plan, { kind: "remove", technique: step.key, session: 3 });
    expect(differences(plan, gone).map(differenceWords)[0]).toMatch(/, session 4: gone, .* min$/);
    expect(differences(gone, plan).map(differenceWords)[0]).toMatch(/: new, /);
  });

  it("offers instead of a step what reaches the same structures and may be there", () => {
    const step = worked(3)[0]!;
    const list = insteadOf(input, plan[3]!, 3, step, catalogue);
    const own = new Set(step.reach.map(({ structure }) => structure));
    for (const other of list) {
      expect(other.reach.some(({ structure }) => own.has(structure))).toBe(true);
      expect(plan[3]!.steps.some(({ technique }) => technique === other.key)).toBe(false);
    }
  });
});
