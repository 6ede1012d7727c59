import { passesOf } from "../techniques/technique";
import { techniqueOf } from "../techniques/library";
import { closingNote } from "./closing-note";
import type { RunStep, SessionEvent } from "./events";
import { foldRun } from "./fold";
import { workedSession } from "./worked";

const step = (technique: string, side: RunStep["side"], planned = 120): RunStep => ({
  technique,
  side,
  position: techniqueOf(technique).positions[0] ?? "supine",
  planned,
  passes: passesOf(techniqueOf(technique)),
});
const steps = [
  step("settle-touch", "mid"),
  step("side-leg-wring", "L"),
  step("side-leg-wring", "R"),
  step("rise-slowly", "mid", 60),
];
const start = Date.parse("2026-11-25T10:00:00Z");
let seconds = 0;
let count = 0;
type Press = SessionEvent extends infer E ? (E extends SessionEvent ? Omit<E, "id" | "at"> : never) : never;
/** The log of presses, each so many seconds after the one before. */
function run(...presses: [number, Press][]): ReturnType<typeof foldRun> {
  seconds = 0;
  return foldRun(
    presses.map(([after, press]) => {
      seconds += after;
      return { ...press, id: String(++count), at: new Date(start + seconds * 1000).toISOString() } as SessionEvent;
    }),
  );
}
const next = (step: number): Press => ({ kind: "next", body: { step } });
const began: [number, Press] = [0, { kind: "started", body: { steps } }];

describe("the drafted note", () => {
  it("is empty for a session that was not run", () => expect(closingNote(foldRun([]))).toBe(""));

  it("says how long, what was worked and what was left out", () => {
    const state = run(
      began,
      [120, next(0)],
      [180, next(1)],
      [1, { kind: "skip", body: { step: 2 } }],
      [60, next(3)],
      [1, { kind: "finished", body: {} }],
    );
    const note = closingNote(state);
    expect(note.split("\n")[0]).toBe("6 min at the table, 2 of 3 steps, 1 more on one side.");
    expect(note).toContain("Worked: Settling touch 2 min, Calf wring on the side 3 min, Rise slowly 60 s.");
    expect(note).toContain("Left out: Calf wring on the side, right.");
  });

  it("says what was agreed to before it began", () => {
    const agreed = ["Visit 5 comes before it and is not worked.", "Planned for 10 Dec; today is 1 Dec."];
    const state = run([0, { kind: "started", body: { steps, agreed } }], [60, { kind: "finished", body: {} }]);
    expect(closingNote(state)).toContain(`Agreed before it began: ${agreed.join(" ")}`);
    expect(closingNote(run(began, [60, { kind: "finished", body: {} }]))).not.toContain("Agreed");
  });

  it("remembers what was slow to let go, and only that", () => {
    const slow = closingNote(run(began, [300, next(0)], [110, next(1)]));
    expect(slow).toContain("Slow to let go: Settling touch 300 s.");
    expect(closingNote(run(began, [125, next(0)]))).not.toContain("Slow");
    // half again as long as very little is still little
    const brief = [{ ...step("settle-touch", "mid", 10) }];
    expect(closingNote(run([0, { kind: "started", body: { steps: brief } }], [25, next(0)]))).not.toContain("Slow");
  });

  it("keeps answers and remarks with their step and side", () => {
    const state = run(
      began,
      [20, { kind: "pressure", body: { step: 0, value: 2 } }],
      [100, next(0)],
      [10, { kind: "pressure", body: { step: 1, value: 3 } }],
      [5, { kind: "pressure", body: { step: 1, value: 4 } }],
      [5, { kind: "direction", body: { step: 1, towards: "feet" } }],
      [5, { kind: "note", body: { step: 1, text: "warm at once" } }],
      [5, { kind: "note", body: { step: 1, text: "breath deepened" } }],
      [60, next(1)],
    );
    const lines = closingNote(state).split("\n");
    expect(lines).toContain(
      "The client asked for: Settling touch 2 of 10; Calf wring on the side left 4 of 10, towards feet.",
    );
    expect(lines).toContain("Calf wring on the side, left: warm at once");
    expect(lines).toContain("Calf wring on the side, left: breath deepened");
  });
});

describe("the session as it was worked", () => {
  it("has the minutes that were spent, by side, and nothing that was skipped", () => {
    const state = run(began, [120, next(0)], [180, next(1)], [90, next(2)], [1, { kind: "skip", body: { step: 3 } }]);
    expect(workedSession(state).steps.map((each) => [each.technique, each.minutes])).toEqual([
      ["settle-touch", { mid: 2 }],
      ["side-leg-wring", { L: 3, R: 1.5 }],
    ]);
  });

  it("counts time after going back to a step, and none while the clock was held", () => {
    const state = run(
      began,
      [60, next(0)],
      [5, { kind: "back", body: { step: 1 } }],
      [30, { kind: "paused", body: {} }],
      [600, { kind: "resumed", body: {} }],
      [30, next(0)],
    );
    const [first] = workedSession(state).steps;
    expect(first).toMatchObject({ technique: "settle-touch", minutes: { mid: 2 } });
  });
});
