import type { Seconds } from "../units";
import type { RunStep, SessionEvent, Towards } from "./events";

export type StepState = {
  /** Hands-on time so far, over all visits to this step (s). */
  spent: Seconds;
  /** Length of every hold that let go (s). */
  holds: Seconds[];
  /** Length of the last hold, let go or not (s). */
  lastHold: Seconds;
  outcome: "waiting" | "done" | "skipped";
  pressure: number | undefined;
  direction: Towards | undefined;
  notes: string[];
};

export type RunState = {
  phase: "not started" | "running" | "paused" | "finished";
  steps: readonly RunStep[];
  states: StepState[];
  /** Step at hand; `steps.length` once all are through. */
  current: number;
  /** Pass at hand, from 1. */
  pass: number;
  /** When the current hold began counting (ms since 1970), and what it had before a pause (s). */
  holdSince: number | undefined;
  holdBefore: Seconds;
  startedAt: number | undefined;
  /** What was different from the plan and agreed to before it began, as sentences. */
  agreed: readonly string[];
  finishedAt: number | undefined;
  /** Time the run was paused, in all (s). */
  paused: Seconds;
  pausedSince: number | undefined;
  /** When its last event was pressed (ms since 1970). */
  lastAt: number | undefined;
  /** By how much the steps' times were put right, in all (s). */
  corrected: Seconds;
};

const empty: RunState = {
  phase: "not started",
  steps: [],
  states: [],
  current: 0,
  pass: 1,
  holdSince: undefined,
  holdBefore: 0,
  startedAt: undefined,
  agreed: [],
  finishedAt: undefined,
  paused: 0,
  pausedSince: undefined,
  lastAt: undefined,
  corrected: 0,
};

/** Seconds the current hold has lasted at `now` (ms since 1970). */
export const holdOf = (state: RunState, now: number): Seconds =>
  state.holdBefore + (state.holdSince === undefined ? 0 : Math.max(0, (now - state.holdSince) / 1000));

/** One event's effect. Events that make no sense in a state (a second start, a next after the end) change nothing. */
export function advance(state: RunState, event: SessionEvent): RunState {
  const next = effectOf(state, event);
  // what is written down afterwards is no work
  const pressed = next !== state && event.kind !== "corrected" && state.phase !== "finished";
  return pressed ? { ...next, lastAt: Math.max(state.lastAt ?? 0, Date.parse(event.at)) } : next;
}

function effectOf(state: RunState, event: SessionEvent): RunState {
  const at = Date.parse(event.at);
  if (event.kind === "started") {
    if (state.phase !== "not started") return state;
    return {
      ...empty,
      phase: "running",
      steps: event.body.steps,
      agreed: event.body.agreed ?? [],
      states: event.body.steps.map(() => ({
        spent: 0,
        holds: [],
        lastHold: 0,
        outcome: "waiting",
        pressure: undefined,
        direction: undefined,
        notes: [],
      })),
      startedAt: at,
      lastAt: at,
      holdSince: at,
    };
  }
  if (state.phase === "not started") return state;
  const withStep = (index: number, change: (step: StepState) => StepState): StepState[] =>
    state.states.map((step, i) => (i === index ? change(step) : step));
  // Notes and answers belong to their step whatever happens meanwhile, even after the end.
  if (event.kind === "note")
    return {
      ...state,
      states: withStep(event.body.step, (step) => ({ ...step, notes: [...step.notes, event.body.text] })),
    };
  if (event.kind === "pressure")
    return {
      ...state,
      states: withStep(event.body.step, (step) => ({ ...step, pressure: event.body.value })),
    };
  if (event.kind === "direction")
    return {
      ...state,
      states: withStep(event.body.step, (step) => ({ ...step, direction: event.body.towards })),
    };
  if (event.kind === "corrected") {
    const step = state.states[event.body.step];
    if (!step) return state;
    const { seconds } = event.body;
    return {
      ...state,
      states: withStep(event.body.step, (each) => ({ ...each, spent: seconds, lastHold: 0, holds: [] })),
      corrected: state.corrected + seconds - step.spent,
    };
  }
  if (state.phase === "finished") return state;
  if (event.kind === "paused") {
    if (state.phase === "paused") return state;
    return {
      ...state,
      phase: "paused",
      pausedSince: at,
      holdBefore: holdOf(state, at),
      holdSince: undefined,
    };
  }

  // Whatever is done next, a pause is over.
  const running: RunState =
    state.phase === "paused"
      ? {
          ...state,
          phase: "running",
          paused: state.paused + Math.max(0, (at - (state.pausedSince ?? at)) / 1000),
          pausedSince: undefined,
          holdSince: at,
        }
      : state;
  const held = holdOf(running, at);
  const spend = (index: number, change: Partial<StepState> = {}): StepState[] =>
    running.states.map((step, i) =>
      i === index ? { ...step, spent: step.spent + held, lastHold: held, ...change } : step,
    );
  const goTo = (current: number, states: StepState[]): RunState => ({
    ...running,
    states,
    current,
    pass: 1,
    holdSince: current < running.steps.length ? at : undefined,
    holdBefore: 0,
  });

  switch (event.kind) {
    case "resumed":
      return running;
    case "finished":
      return { ...goTo(running.steps.length, spend(running.current)), phase: "finished", finishedAt: at };
    case "next": {
      const step = running.steps[running.current];
      // A double press, or one sent twice under two ids, must not run ahead of what was seen.
      if (!step || event.body.step !== running.current) return running;
      const holds = [...running.states[running.current]!.holds, Math.round(held)];
      if (running.pass < step.passes)
        return {
          ...running,
          states: spend(running.current, { holds }),
          pass: running.pass + 1,
          holdSince: at,
          holdBefore: 0,
        };
      return goTo(running.current + 1, spend(running.current, { holds, outcome: "done" }));
    }
    case "skip":
      if (event.body.step !== running.current || !running.steps[running.current]) return running;
      return goTo(
        running.current + 1,
        // what had at least one hold that let go was worked, only cut short
        spend(running.current, {
          outcome: running.states[running.current]!.holds.length > 0 ? "done" : "skipped",
        }),
      );
    case "back":
      if (event.body.step !== running.current || running.current === 0) return running;
      return goTo(
        running.current - 1,
        spend(running.current).map((step, i) => (i === running.current - 1 ? { ...step, outcome: "waiting" } : step)),
      );
  }
}

/** The state of a run from its whole log. The same event twice counts once. */
export function foldRun(events: readonly SessionEvent[]): RunState {
  const seen = new Set<string>();
  let state = empty;
  for (const event of events) {
    if (seen.has(event.id)) continue;
    seen.add(event.id);
    state = advance(state, event);
  }
  return state;
}

/** Seconds of planned work left, the current step's remainder included. */
export function plannedLeft(state: RunState, now: number): Seconds {
  return state.steps.reduce((sum, step, i) => {
    if (i < state.current) return sum;
    if (i > state.current) return sum + step.planned;
    return sum + Math.max(0, step.planned - state.states[i]!.spent - holdOf(state, now));
  }, 0);
}

/** Seconds since the start, pauses left out. */
export function elapsed(state: RunState, now: number): Seconds {
  if (state.startedAt === undefined) return 0;
  const end = state.finishedAt ?? state.pausedSince ?? now;
  return Math.max(0, (end - state.startedAt) / 1000 - state.paused + state.corrected);
}

/** Seconds the run will end later than planned if the rest takes as long as planned; negative when ahead. */
export function behind(state: RunState, now: number): Seconds {
  const planned = state.steps.reduce((sum, step) => sum + step.planned, 0);
  return elapsed(state, now) + plannedLeft(state, now) - planned;
}
