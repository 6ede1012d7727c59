import loadHighs from "highs";
import { smallInput } from "../test/plan-inputs";
import { techniqueOf } from "../techniques/library";
import { usualStability } from "./draft";
import { edited } from "./edit";
import { wholeSession, type Lock, type PlanInput } from "./plan";
import { prove } from "./prove";
import { timeRange } from "./rulebook";
import { violations } from "./rules";
import { solve } from "./solve";

const effort = { seed: 1, moves: 2500 };
const before = solve(smallInput, effort)!.sessions;
const lockedAs = (session: number): Lock[] => [
  { session, technique: wholeSession, kind: "closed" },
  ...before[session]!.steps.map(({ technique, minutes }): Lock => ({ session, technique, kind: "keep", minutes })),
];
/** A two-sided step of the middle that may still be shorter and longer. */
const movable = before[1]!.steps.find(({ technique: key, minutes }) => {
  const technique = techniqueOf(key);
  const { least, most } = timeRange(technique, 1, smallInput);
  return "L" in minutes && technique.phase === "work" && minutes.L >= least && least + 1 <= most && minutes.L > 0;
})!;

describe("locked minutes", () => {
  const { least, most } = timeRange(techniqueOf(movable.technique), 1, smallInput);
  const input: PlanInput = {
    ...smallInput,
    locks: [{ session: 1, technique: movable.technique, kind: "keep", minutes: { L: least, R: most } }],
  };

  it("stay as they are on each side, in search and model alike", async () => {
    const plan = solve(input, effort)!;
    expect(violations(input, plan.sessions)).toEqual([]);
    const step = plan.sessions[1]!.steps.find(({ technique }) => technique === movable.technique)!;
    expect(step.minutes).toEqual({ L: least, R: most });
    const proof = prove(await loadHighs(), input, { seconds: 2, seed: 1 });
    if (proof.kind !== "bound") throw new Error(proof.kind);
    expect(proof.bound).toBeGreaterThan(plan.score - 1e-6);
  });

  it("are not changed by hand, and the checker says where they are others", () => {
    const plan = solve(input, effort)!.sessions;
    const longer = edited(input, plan, { kind: "time", technique: movable.technique, session: 1, by: 1 });
    expect(longer[1]!.steps.find(({ technique }) => technique === movable.technique)!.minutes).toEqual({
      L: least,
      R: most,
    });
    const other: PlanInput = {
      ...input,
      locks: [{ ...input.locks[0]!, minutes: { L: least + 0.5, R: most } }],
    };
    expect(violations(other, plan).map(({ rule, sentence }) => `${rule}: ${sentence}`)).toEqual([
      `locks: Session 2: ${techniqueOf(movable.technique).name} gets ${least} min, locked at ${least + 0.5}.`,
    ]);
  });
});

describe("a session that is locked as a whole", () => {
  const input: PlanInput = {
    ...smallInput,
    // other targets than it was solved for: everything else may change
    targets: [...smallInput.targets].reverse().slice(0, 2),
    locks: lockedAs(1),
  };

  it("keeps every step and minute whatever else changes, and takes nothing in", () => {
    const plan = solve(input, effort, undefined, { kept: before, ...usualStability })!;
    expect(violations(input, plan.sessions)).toEqual([]);
    const told = (session: { steps: readonly { technique: string; minutes: object }[] }) =>
      session.steps.map(({ technique, minutes }) => `${technique} ${JSON.stringify(minutes)}`).sort();
    expect(told(plan.sessions[1]!)).toEqual(told(before[1]!));
  });

  it("is said to be broken by what comes in and by what goes", () => {
    const stranger = before[0]!.steps.find(
      ({ technique }) =>
        techniqueOf(technique).phase === "work" && !before[1]!.steps.some((step) => step.technique === technique),
    )!;
    const more = before.map((session, s) => (s === 1 ? { steps: [...session.steps, stranger] } : session));
    const rules = violations(input, more).map(({ sentence }) => sentence);
    expect(rules).toContain(
      `Session 2: ${techniqueOf(stranger.technique).name} is not among the steps of a session you locked.`,
    );
    const less = before.map((session, s) => (s === 1 ? { steps: session.steps.slice(1) } : session));
    expect(violations(input, less).map(({ sentence }) => sentence)).toContainEqual(
      expect.stringMatching(/is locked in and missing/),
    );
  });
});
