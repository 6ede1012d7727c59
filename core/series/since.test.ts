import { catalogue } from "../techniques/catalogue";
import { exampleInput } from "../test/plan-inputs";
import { differences } from "./edit";
import { usualStability } from "./draft";
import type { PlanInput, PlannedSession } from "./plan";
import { violations } from "./rules";
import { differenceWithReason, sinceInShort, sinceSolved, sinceWords, whyDifferent } from "./since";
import { solve } from "./solve";

const input: PlanInput = { ...exampleInput, template: "five-step" };
const plan = solve(input, { seed: 1, moves: 6000 })!;
const solved = { sessions: plan.sessions, targets: input.targets };
/** The first session as it went: all but two of its steps. */
const middle = plan.sessions[0]!.steps.slice(2, 4).map(({ technique }) => technique);
const worked: PlannedSession = {
  steps: plan.sessions[0]!.steps.filter(({ technique }) => !middle.includes(technique)),
};
const [first, second, ...rest] = input.targets;
const fresh = {
  ...first!,
  id: "new",
  name: "Left piriformis",
  structures: ["piriformis"],
  side: "L" as const,
  weight: 3,
  because: "Left piriformis, graded 3 of 3 at visit 1.",
};
const later: PlanInput = {
  ...input,
  done: [worked],
  targets: [{ ...first!, weight: first!.weight / 2 }, ...rest, fresh],
};

describe("what came since a plan was solved", () => {
  it("is nothing where nothing did, also where a weight was read a little differently", () => {
    expect(sinceWords(sinceSolved(solved, input))).toEqual([]);
    const near = input.targets.map((target) => ({ ...target, weight: 1.1 * target.weight }));
    expect(sinceWords(sinceSolved(solved, { ...input, targets: near }))).toEqual([]);
    expect(sinceWords(sinceSolved(solved, { ...input, done: [plan.sessions[0]!] }))).toEqual([]);
  });

  it("is nothing where two findings ask for one place with different weights, in whatever order they come", () => {
    const twice = { ...first!, id: "again", weight: first!.weight / 3 };
    for (const targets of [
      [twice, ...input.targets],
      [...input.targets, twice],
    ]) {
      expect(sinceWords(sinceSolved({ ...solved, targets }, { ...input, targets: [...targets].reverse() }))).toEqual(
        [],
      );
      // and what an earlier version solved once is not new for being found twice
      expect(sinceSolved(solved, { ...input, targets }).fresh).toEqual([]);
    }
  });

  it("names what was changed or retired in the library, in sessions still to come", () => {
    const before = new Set(plan.sessions[0]!.steps.map(({ technique }) => technique));
    const gone = plan.sessions[1]!.steps.map(({ technique }) => technique).find((key) => !before.has(key))!;
    const techniques = catalogue.map(({ key }) => key).filter((key) => key !== gone);
    const since = sinceSolved(solved, { ...input, techniques });
    expect(since.outdated[0]).toEqual({ session: 1, techniques: [gone] });
    expect(sinceInShort(since)).toMatch(/techniques? (was|were) changed or retired$/);
    expect(sinceWords(since).join(" ")).toContain("Session 2: changed or retired in the library since: ");
  });

  it("is what is new, met, lighter, and what was left out at the table", () => {
    const since = sinceSolved(solved, later);
    expect(since.fresh.map(({ id }) => id)).toEqual(["new"]);
    expect(since.met.map(({ id }) => id)).toEqual([second!.id]);
    expect(since.lighter.map(({ id }) => id)).toEqual([first!.id]);
    expect(since.heavier).toEqual([]);
    expect(since.skipped).toEqual([{ session: 0, techniques: middle }]);
    expect(sinceInShort(since)).toBe(
      "1 target is new, 1 asks for nothing any more, 1 weighs less, 2 steps were not worked",
    );
    expect(sinceInShort(sinceSolved(solved, input))).toBe("");
    expect(sinceWords(since)).toEqual([
      "1 target is new: left piriformis.",
      `1 target asks for nothing any more: ${second!.name.toLowerCase()}.`,
      `1 target weighs less: ${first!.name.toLowerCase()}.`,
      expect.stringMatching(/^Session 1: 2 steps not worked \(/),
    ]);
  });

  it("takes an arc for worked as its log has it: no listening, no rising, however short a hold was", () => {
    const arc: PlanInput = { ...exampleInput, template: "arc-3" };
    const { sessions } = solve(arc, { seed: 1, moves: 100 })!;
    const held = (techniques: string[]): PlannedSession => ({
      steps: techniques.map((technique) => ({ technique, position: null, minutes: { mid: 1.2 } })),
    });
    const since = (worked: PlannedSession) =>
      sinceSolved({ sessions, targets: arc.targets }, { ...arc, done: [worked] }).skipped;
    expect(since(held(["lt-sheets", "lt-skull-base", "lt-occiput-still"]))).toEqual([]);
    expect(since(held(["lt-sheets", "lt-occiput-still"]))).toEqual([{ session: 0, techniques: ["lt-skull-base"] }]);
  });

  it("adapts what is to come: checkPlan, better for what is found now, most of it as it was, each difference with its reason", () => {
    const adapted = solve(later, { seed: 1, moves: 6000 }, undefined, { kept: plan.sessions, ...usualStability })!;
    expect(violations(later, adapted.sessions)).toEqual([]);
    expect(adapted.sessions[0]).toEqual(worked);
    const changed = differences(plan.sessions, adapted.sessions, 1);
    expect(changed.length).toBeGreaterThan(0);
    const kept = plan.sessions.slice(1).flatMap(({ steps }) => steps).length;
    expect(changed.filter(({ kind }) => kind === "gone").length).toBeLessThan(kept / 2);
    const lines = changed.map((each) => differenceWithReason(later, solved, adapted.sessions, each));
    for (const { what, why } of lines) {
      expect(what).not.toBe("");
      expect(why).toMatch(/[.:]/);
    }
    expect(lines.some(({ why }) => why.includes("Left piriformis"))).toBe(true);
  });

  it("says what asks for less of a step that goes, and that minutes do more elsewhere where nothing does", () => {
    const gone = (technique: string) =>
      whyDifferent(later, solved, later.done, { kind: "gone", technique, session: 1, minutes: 3 });
    const reasons = plan.sessions[1]!.steps.map(({ technique }) => gone(technique));
    expect(reasons.some((why) => why.startsWith("Less is asked of"))).toBe(true);
    expect(gone("rise-slowly")).toBe("Its minutes do more elsewhere now.");
  });
});
