import { turnsIn } from "../series/order";
import { turnMinutes } from "../series/rulebook";
import { wasWorked } from "./worked";
import fc from "fast-check";
import { closingNote } from "./closing-note";
import { runSteps, type RunStep, type SessionEvent } from "./events";
import { behind, elapsed, foldRun, holdOf, plannedLeft } from "./fold";
import { workedSession } from "./worked";

const steps: RunStep[] = [
  { technique: "settle-touch", side: "mid", position: "prone", planned: 120, passes: 1 },
  { technique: "glute-melt", side: "L", position: "prone", planned: 180, passes: 1 },
  { technique: "rotator-sink", side: "L", position: "prone", planned: 300, passes: 3 },
  { technique: "rotator-sink", side: "R", position: "prone", planned: 300, passes: 3 },
  { technique: "rise-slowly", side: "mid", position: "prone", planned: 120, passes: 1 },
];
const start = Date.parse("2026-11-24T10:00:00Z");
let made = 0;
/** Events at seconds after the start. */
const at = (seconds: number, event: Omit<SessionEvent, "id" | "at">): SessionEvent =>
  ({ ...event, id: `e${made++}`, at: new Date(start + seconds * 1000).toISOString() }) as SessionEvent;
const started = () => at(0, { kind: "started", body: { steps } });
const next = (seconds: number, step: number) => at(seconds, { kind: "next", body: { step } });

describe("the run of a session", () => {
  it("goes through passes before it goes to the next step, and keeps the length of every hold", () => {
    const state = foldRun([started(), next(110, 0), next(300, 1), next(390, 2), next(450, 2), next(520, 2)]);
    expect(state.current).toBe(3);
    expect(state.states[2]).toMatchObject({ outcome: "done", holds: [90, 60, 70], spent: 220 });
    expect(state.pass).toBe(1);
  });

  it("counts a hold across a reload: only the events and the clock matter", () => {
    const events = [started(), next(100, 0)];
    const before = foldRun(events);
    const after = foldRun(JSON.parse(JSON.stringify(events)) as SessionEvent[]);
    expect(holdOf(after, start + 152_000)).toBe(52);
    expect(after).toEqual(before);
  });

  it("stops the clock while held", () => {
    const state = foldRun([started(), at(30, { kind: "paused", body: {} })]);
    expect(holdOf(state, start + 500_000)).toBe(30);
    const resumed = foldRun([started(), at(30, { kind: "paused", body: {} }), at(90, { kind: "resumed", body: {} })]);
    expect(holdOf(resumed, start + 100_000)).toBe(40);
    expect(elapsed(resumed, start + 100_000)).toBe(40);
  });

  it("does not run ahead on a double press", () => {
    expect(foldRun([started(), next(100, 0), next(100.2, 0)]).current).toBe(1);
  });

  it("goes back to a step and adds to it", () => {
    const state = foldRun([started(), next(100, 0), at(130, { kind: "back", body: { step: 1 } }), next(160, 0)]);
    expect(state.states[0]).toMatchObject({ outcome: "done", spent: 130, holds: [100, 30] });
    expect(state.states[1]!.spent).toBe(30);
  });

  it("tells how late it is", () => {
    const state = foldRun([started(), next(180, 0)]);
    expect(plannedLeft(state, start + 180_000)).toBe(900);
    expect(behind(state, start + 180_000)).toBe(60);
  });

  it("ignores a second start and whatever comes before the first", () => {
    const other = at(50, { kind: "started", body: { steps: steps.slice(0, 1) } });
    expect(foldRun([next(1, 0), started(), other]).steps).toHaveLength(5);
    expect(foldRun([next(1, 0)]).phase).toBe("not started");
  });

  const anyEvent = fc.oneof(
    fc.record({
      kind: fc.constantFrom("next" as const, "back" as const, "skip" as const),
      body: fc.record({ step: fc.integer({ min: 0, max: 5 }) }),
    }),
    fc.record({
      kind: fc.constantFrom("paused" as const, "resumed" as const, "finished" as const),
      body: fc.constant({}),
    }),
  );
  const anyLog = fc.array(fc.tuple(fc.integer({ min: 0, max: 90 }), anyEvent), { maxLength: 60 }).map((entries) => {
    let clock = 0;
    return [started(), ...entries.map(([wait, event]) => at((clock += wait), event as never))];
  });

  it("gives the same state however often events are sent (any log)", () => {
    fc.assert(fc.property(anyLog, (log) => expect(foldRun([...log, ...log])).toEqual(foldRun(log))));
  });

  it("loses and invents no time: steps' time is the time from start, pauses left out (any log)", () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const state = foldRun(log);
        const now = Date.parse(log.at(-1)!.at);
        const spent =
          state.states.reduce((sum, step) => sum + step.spent, 0) +
          (state.current < steps.length ? holdOf(state, now) : 0);
        expect(spent).toBeLessThanOrEqual(elapsed(state, now) + 1e-6);
        // once the last step is through, the clock runs without a step until the end
        if (state.current < steps.length && state.phase === "running" && !wentPast(log))
          expect(spent).toBeCloseTo(elapsed(state, now), 6);
      }),
    );
  });

  it("never leaves the list of steps (any log)", () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const { current, pass } = foldRun(log);
        expect(current >= 0 && current <= steps.length && pass >= 1 && pass <= 3).toBe(true);
      }),
    );
  });
});

/** Whether a log ever stood behind the last step. */
const wentPast = (log: SessionEvent[]) => log.some((_, i) => foldRun(log.slice(0, i + 1)).current >= steps.length);

describe("what a run leaves behind", () => {
  const log = [
    started(),
    next(118, 0),
    next(400, 1),
    at(420, { kind: "pressure", body: { step: 2, value: 5 } }),
    at(425, { kind: "direction", body: { step: 2, towards: "feet" } }),
    at(430, { kind: "note", body: { step: 2, text: "slower than last time" } }),
    next(640, 2),
    next(700, 2),
    next(760, 2),
    at(770, { kind: "skip", body: { step: 3 } }),
    next(880, 4),
    at(885, { kind: "finished", body: {} }),
  ];

  it("drafts a note that names what was worked, left out, asked for and noted, and invents nothing", () => {
    const note = closingNote(foldRun(log));
    expect(note).toMatch(/15 min at the table, 3 of 4 steps, 1 more on one side\./);
    expect(note).toMatch(/Gluteal melt 5 min/);
    expect(note).toMatch(/Left out: Hip rotators, right\./);
    expect(note).toMatch(/Hip rotators left 5 of 10, towards feet/);
    expect(note).toMatch(/Hip rotators, left: slower than last time/);
    expect(note).toMatch(/Slow to let go: .*Hip rotators, left 240 s/);
    expect(closingNote(foldRun([]))).toBe("");
  });

  it("gives the plan what was really worked, a side left out as nothing", () => {
    const session = workedSession(foldRun(log));
    expect(session.steps.map((step) => step.technique)).toEqual([
      "settle-touch",
      "glute-melt",
      "rotator-sink",
      "rise-slowly",
    ]);
    expect(session.steps[2]!.minutes).toEqual({ L: 6, R: 0 });
  });

  it("lists both sides of a two-sided technique one after the other", () => {
    const list = runSteps({
      steps: [
        { technique: "rotator-sink", position: "prone", minutes: { L: 5, R: 4 } },
        { technique: "rise-slowly", position: "prone", minutes: { mid: 2 } },
      ],
    });
    expect(list.map(({ side, planned, passes }) => [side, planned, passes])).toEqual([
      ["L", 300, 3],
      ["R", 240, 3],
      ["mid", 120, 1],
    ]);
  });

  it("does everything on one side before the client turns to the other, and counts that turn", () => {
    const both = (technique: string, position: "side" | "supine") => ({ technique, position, minutes: { L: 3, R: 3 } });
    const steps = [
      both("calf-skin", "supine"),
      both("side-leg-wring", "side"),
      both("side-thigh-part", "side"),
      { technique: "seated-neck-fold", position: "side" as const, minutes: { mid: 2 } },
      both("side-hip-melt", "side"),
      both("calf-skin", "supine"),
    ];
    expect(runSteps({ steps }).map(({ technique, side }) => `${technique} ${side}`)).toEqual([
      "calf-skin L",
      "calf-skin R",
      "side-leg-wring L",
      "side-thigh-part L",
      "seated-neck-fold mid",
      "side-hip-melt L",
      "side-leg-wring R",
      "side-thigh-part R",
      "side-hip-melt R",
      "calf-skin L",
      "calf-skin R",
    ]);
    // onto the side, over to the other, and back
    expect(turnsIn(steps)).toBe(3);
    const oneSide = steps.map((step) => ("mid" in step.minutes ? step : { ...step, minutes: { L: 3, R: 0 } }));
    expect(turnsIn(oneSide)).toBe(2);
    expect(turnMinutes(["side"])).toBe(1);
    expect(turnMinutes(["supine", "side"])).toBe(2);
    expect(turnMinutes([])).toBe(0);
  });

  it("lies on each side once, however the sides are planned, and loses no step", () => {
    const lying = fc.constantFrom("side" as const, "supine" as const, "prone" as const);
    const minutes = fc.oneof(
      fc.record({ L: fc.integer({ min: 0, max: 5 }), R: fc.integer({ min: 0, max: 5 }) }),
      fc.record({ mid: fc.integer({ min: 1, max: 5 }) }),
    );
    const planned = fc.array(fc.record({ technique: fc.constant("calf-skin"), position: lying, minutes }), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(planned, (steps) => {
        const run = runSteps({ steps });
        const wanted = steps.reduce((n, { minutes: m }) => n + ("mid" in m ? 1 : Number(m.L > 0) + Number(m.R > 0)), 0);
        expect(run).toHaveLength(wanted);
        // within one stay on the side, the other side never comes before the first is done
        let other = false;
        for (const step of run) {
          if (step.position !== "side") other = false;
          else if (step.side === "R") other = true;
          else if (step.side === "L" && other) expect(run.indexOf(step)).toBeGreaterThan(0);
        }
        const stays = steps.filter((step, i) => step.position === "side" && steps[i - 1]?.position !== "side").length;
        const changes = run.filter(
          (step, i) =>
            step.position === "side" &&
            step.side === "L" &&
            run[i - 1]?.position === "side" &&
            run[i - 1]?.side === "R",
        ).length;
        expect(changes).toBeLessThanOrEqual(Math.max(0, stays - 1));
      }),
    );
  });
});

describe("a step that was done", () => {
  it("means the same wherever it is counted", () => {
    expect(wasWorked({ outcome: "done", spent: 4 })).toBe(true);
    expect(wasWorked({ outcome: "waiting", spent: 30 })).toBe(true);
    expect(wasWorked({ outcome: "waiting", spent: 29 })).toBe(false);
    expect(wasWorked({ outcome: "skipped", spent: 300 })).toBe(false);
  });
});
