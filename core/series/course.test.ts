import fc from "fast-check";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { courseOf, isCourse, sessionsOf } from "./course";
import { changedCourse, goingOn, whyNotChange, type Numbered } from "./lengthen";
import type { PlanInput } from "./plan";
import { violations } from "./rules";
import { solve } from "./solve";
import { usualStability } from "./draft";
import { differences } from "./edit";

const names = (series: { template: string; course?: readonly number[] | undefined }) =>
  sessionsOf(series).map(({ name }) => name);

describe("the course of a series through its template", () => {
  it("names what is done once more, and refuses what the template has not", () => {
    expect(names({ template: "three-step" })).toEqual(["Sleeve", "Core", "Join"]);
    expect(names({ template: "three-step", course: [0, 1, 1, 1, 2] })).toEqual([
      "Sleeve",
      "Core",
      "Core 2",
      "Core 3",
      "Join",
    ]);
    expect(() => names({ template: "three-step", course: [0, 3] })).toThrow(/no session 4/);
    const valid = (course: number[]) => isCourse({ template: "three-step", course });
    expect([valid([2]), valid([0, 1, 0]), valid([]), valid([3]), valid([-1]), valid([0.5])]).toEqual([
      true,
      true,
      false,
      false,
      false,
      false,
    ]);
    expect(valid(Array<number>(41).fill(0))).toBe(false);
    expect(isCourse({ template: "three-step" })).toBe(true);
    // what was worked before comes before all else, and something comes after it
    expect([valid([-1, -1, 0]), valid([0, -1]), valid([-1]), valid([-2, 0])]).toEqual([true, false, false, false]);
    expect(names({ template: "three-step", course: [-1, 2] })).toEqual(["Earlier", "Join"]);
  });

  it("is solved by every rule: the deep session twice, and a start in the middle of three", () => {
    for (const course of [
      [0, 1, 1, 2],
      [0, 0, 1],
      [2, 0],
    ]) {
      const input: PlanInput = { ...smallInput, course };
      const plan = solve(input, { seed: 3, moves: 2500 })!;
      expect(plan.sessions).toHaveLength(course.length);
      expect(violations(input, plan.sessions)).toEqual([]);
      // without its course the plan has a wrong number of sessions
      if (course.length !== 3) expect(violations(smallInput, plan.sessions)[0]!.rule).toBe("length of series");
    }
  });
});

describe("a session once more, or left out", () => {
  const lock = (session: number, technique = "calf-melt") => ({ session, technique, kind: "keep" as const });
  const plan = (n: number) => Array.from({ length: n }, (_, s) => ({ steps: [{ technique: `of ${s}` }] as never }));
  const series: Numbered = { template: "three-step", locks: [lock(0), lock(1), lock(2)], sessions: plan(3) };

  it("moves what comes after, with its locks, and copies the steps but not the locks", () => {
    const again = changedCourse(series, { kind: "again", session: 1 });
    expect(again.course).toEqual([0, 1, 1, 2]);
    expect(again.locks.map(({ session }) => session)).toEqual([0, 1, 3]);
    expect(again.sessions.map(({ steps }) => steps)).toEqual([0, 1, 1, 2].map((s) => series.sessions[s]!.steps));
    const less = changedCourse(series, { kind: "skip", session: 1 });
    expect(less.course).toEqual([0, 2]);
    expect(less.locks.map(({ session }) => session)).toEqual([0, 1]);
  });

  it("comes back to what it was when the added session is left out again", () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 2 }), { minLength: 1, maxLength: 12 }), fc.nat(11), (course, at) => {
        const own: Numbered = {
          template: "three-step",
          course,
          sessions: plan(course.length),
          locks: course.map((_, s) => lock(s)),
        };
        const session = at % course.length;
        const more = changedCourse(own, { kind: "again", session });
        expect(courseOf(more)).toHaveLength(course.length + 1);
        expect(more.locks.every((each) => each.session < course.length + 1)).toBe(true);
        const back = changedCourse(more, { kind: "skip", session: session + 1 });
        expect(courseOf(back)).toEqual(courseOf(own));
        expect(back.sessions).toEqual(own.sessions);
        expect(back.locks).toEqual(own.locks);
      }),
    );
  });

  it("starts in the middle, joins again one step earlier, and takes up another template", () => {
    const ten: Numbered = { template: "ten-step", locks: [lock(3), lock(6)], sessions: plan(10) };
    expect(goingOn(ten, 0, 4).course).toEqual([4, 5, 6, 7, 8, 9]);
    const joined = goingOn(ten, 4, 3);
    expect(joined.course).toEqual([0, 1, 2, 3, 3, 4, 5, 6, 7, 8, 9]);
    // what is to come keeps steps and locks under its new number; the session joined again begins empty
    expect(joined.locks.map(({ session }) => session)).toEqual([3, 7]);
    expect(joined.sessions[4]).toEqual({ steps: [] });
    expect(joined.sessions[7]).toEqual(ten.sessions[6]);
    // as it would go anyhow: no course of its own
    expect(goingOn(ten, 4, 4)).toEqual({ ...ten, course: undefined });
    const other = goingOn(ten, 2, 1, "three-step");
    expect(other).toEqual({
      template: "three-step",
      course: [-1, -1, 1, 2],
      locks: [],
      sessions: [...plan(2), { steps: [] }, { steps: [] }],
    });
    expect(isCourse(other)).toBe(true);
  });

  it("leaves worked sessions alone, and says why", () => {
    expect(whyNotChange(series, { kind: "skip", session: 0 }, 1)).toBe("It was worked already.");
    expect(whyNotChange(series, { kind: "again", session: 0 }, 2)).toBe("Sessions after it were worked already.");
    expect(whyNotChange(series, { kind: "again", session: 1 }, 2)).toBeUndefined();
    expect(whyNotChange(series, { kind: "skip", session: 7 }, 0)).toBe("There is no session 8.");
    expect(whyNotChange({ ...series, course: [1] }, { kind: "skip", session: 0 }, 0)).toBe("It is the only one.");
    const full = { ...series, course: Array<number>(40).fill(0) };
    expect(whyNotChange(full, { kind: "again", session: 3 }, 0)).toMatch(/40 sessions at most/);
  });

  it("keeps most of the plan when a session is put in", () => {
    const before = solve(exampleInput, { seed: 1, moves: 12_000 })!;
    const more = changedCourse({ ...exampleInput, sessions: before.sessions }, { kind: "again", session: 4 });
    const input: PlanInput = { ...exampleInput, course: more.course! };
    const after = solve(input, { seed: 1, moves: 12_000 }, undefined, { kept: more.sessions, ...usualStability })!;
    expect(violations(input, after.sessions)).toEqual([]);
    const steps = after.sessions.reduce((sum, session) => sum + session.steps.length, 0);
    const changed = differences(more.sessions, after.sessions).filter(({ kind }) => kind === "new" || kind === "gone");
    expect(changed.length).toBeLessThan(0.35 * steps);
  });
});
