import type { Seconds } from "../units";
import { elapsed, holdOf, type RunState } from "./fold";

/** A hold that lasted longer than this many times what was planned for it, and this much longer, was hardly held. */
const [timesPlanned, longerBy] = [3, 600];

/**
 * Places of the steps whose clock was probably left running: a hold three times as long as planned for a pass and more than
 * ten minutes longer. The one at hand counts with what it has at `now` (ms since 1970). Common practice; only hands know.
 */
export function clockLeftOn(state: RunState, now: number): number[] {
  return state.steps.flatMap((step, i) => {
    const open = i === state.current && state.phase !== "finished" ? holdOf(state, now) : 0;
    const longest = Math.max(open, ...state.states[i]!.holds, state.states[i]!.lastHold);
    const planned = step.planned / step.passes;
    return longest > timesPlanned * planned && longest > planned + longerBy ? [i] : [];
  });
}

/** How long a run that was not finished took, as far as its log tells (s): to its last event, and what was planned for the step at hand. */
export function likelyLength(state: RunState, now: number): Seconds {
  const last = elapsed(state, state.lastAt ?? now);
  const step = state.steps[state.current];
  const rest = step ? Math.max(0, step.planned - state.states[state.current]!.spent) : 0;
  return Math.min(elapsed(state, now), last + (state.phase === "running" ? rest : 0));
}

/**
 * The moment (ms since 1970) at which a run that was not finished ended if it took `seconds`, pauses left out; never before
 * its last event, and a pause that goes on ends it where it began.
 */
export function endAfter(state: RunState, seconds: Seconds): number {
  const at = state.startedAt! + 1000 * (state.paused + seconds);
  return Math.max(state.lastAt!, Math.min(at, state.pausedSince ?? Infinity));
}
