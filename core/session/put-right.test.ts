import fc from "fast-check";
import { closingNote } from "./closing-note";
import type { RunStep, SessionEvent } from "./events";
import { elapsed, foldRun } from "./fold";
import { clockLeftOn, endAfter, likelyLength } from "./put-right";
import { workedSession } from "./worked";

const steps: RunStep[] = [
  { technique: "settle-touch", side: "mid", position: "prone", planned: 120, passes: 1 },
  { technique: "glute-melt", side: "L", position: "prone", planned: 180, passes: 1 },
  { technique: "rise-slowly", side: "mid", position: "prone", planned: 120, passes: 1 },
];
const start = Date.parse("2026-11-24T10:00:00Z");
let made = 0;
type New = SessionEvent extends infer E ? (E extends SessionEvent ? Omit<E, "id" | "at"> : never) : never;
/** Events at seconds after the start. */
const at = (seconds: number, event: New): SessionEvent =>
  ({ ...event, id: `e${made++}`, at: new Date(start + seconds * 1000).toISOString() }) as SessionEvent;
const started = () => at(0, { kind: "started", body: { steps } });
const next = (seconds: number, step: number) => at(seconds, { kind: "next", body: { step } });
const corrected = (seconds: number, step: number, took: number) =>
  at(seconds, { kind: "corrected", body: { step, seconds: took } });
const minutes = (n: number) => start + n * 60_000;

describe("a run that was closed without being finished", () => {
  it("is ended after the minutes that hands say, and its note says so", () => {
    const open = [started(), next(110, 0)];
    const state = foldRun(open);
    const end = endAfter(state, 300);
    const ended = foldRun([...open, { id: "end", at: new Date(end).toISOString(), kind: "finished", body: {} }]);
    expect(elapsed(ended, minutes(900))).toBe(300);
    expect(ended.states[1]!.spent).toBe(190);
    expect(closingNote(ended).split("\n")[0]).toBe("5 min at the table, 2 of 3 steps.");
    // without an end the note goes by what was pressed last, never by nothing
    expect(closingNote(state).split("\n")[0]).toBe("2 min at the table, 1 of 3 steps.");
  });

  it("never ends before what was pressed in it, nor later than where it was paused", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40_000 }), fc.boolean(), (seconds, paused) => {
        const events = [started(), next(110, 0), ...(paused ? [at(400, { kind: "paused", body: {} })] : [])];
        const state = foldRun(events);
        const end = endAfter(state, seconds);
        const finished = foldRun([...events, { id: "f", at: new Date(end).toISOString(), kind: "finished", body: {} }]);
        const length = elapsed(finished, end);
        expect(end).toBeGreaterThanOrEqual(start + (paused ? 400 : 110) * 1000);
        expect(length).toBeCloseTo(paused ? 400 : Math.max(110, seconds), 3);
      }),
    );
  });

  it("is taken to have gone on for what was planned, and not for as long as nobody looked", () => {
    const state = foldRun([started(), next(110, 0)]);
    expect(likelyLength(state, minutes(3))).toBe(180);
    expect(likelyLength(state, minutes(67))).toBe(110 + 180);
    expect(likelyLength(foldRun([started(), at(60, { kind: "paused", body: {} })]), minutes(67))).toBe(60);
  });
});

describe("a clock that was left running", () => {
  const left = [started(), next(110, 0), next(110 + 67 * 60, 1), at(4200, { kind: "finished", body: {} })];

  it("is found by its step, and only that", () => {
    expect(clockLeftOn(foldRun(left), minutes(90))).toEqual([1]);
    expect(clockLeftOn(foldRun(left.slice(0, 2)), minutes(4))).toEqual([]);
    expect(clockLeftOn(foldRun(left.slice(0, 2)), minutes(67))).toEqual([1]);
    // a hold of ten minutes where six were planned is work
    expect(clockLeftOn(foldRun([started(), next(110, 0), next(110 + 600, 1)]), minutes(20))).toEqual([]);
  });

  it("is put right in note, load and series by one more event; the clock's own stay in the log", () => {
    const state = foldRun([...left, corrected(9000, 1, 200)]);
    expect(state.states[1]!.spent).toBe(200);
    expect(elapsed(state, minutes(500))).toBe(4200 - (67 * 60 - 200));
    expect(closingNote(state)).toMatch(/^6 min at the table, 3 of 3 steps\.\nWorked: .*Gluteal melt 3 min/);
    expect(closingNote(state)).not.toContain("Slow to let go");
    expect(workedSession(state).steps.find(({ technique }) => technique === "glute-melt")?.minutes).toEqual({
      L: 3.3,
      R: 0,
    });
    expect(clockLeftOn(state, minutes(500))).toEqual([]);
    // as often as it is put right, the last word counts, and the sum stays right
    const again = foldRun([...left, corrected(9000, 1, 200), corrected(9100, 1, 240)]);
    expect(elapsed(again, minutes(500))).toBe(elapsed(state, minutes(500)) + 40);
  });

  it("changes nothing where there is no such step", () =>
    expect(foldRun([...left, corrected(9000, 7, 10)])).toEqual(foldRun(left)));
});
