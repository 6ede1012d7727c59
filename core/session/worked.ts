import type { PlannedSession, Step } from "../series/plan";
import { techniqueOf } from "../techniques/library";
import { arcAfter, workedSteps } from "../light-touch/arc";
import type { RunState, StepState } from "./fold";

/** Hands-on time below which a step that was cut short does not count as worked (s). */
const leastWorked = 30;

/**
 * Whether a step was worked: the one meaning of “done” in notes, sessions, plans and the practitioner's own load. It was
 * let go to its end, or was cut short after half a minute or more without being skipped.
 */
export const wasWorked = ({ outcome, spent }: Pick<StepState, "outcome" | "spent">): boolean =>
  outcome === "done" || (outcome === "waiting" && spent >= leastWorked);

/** What a run really gave, as a session of the plan: minutes as spent, skipped steps left out. */
export function workedSession(state: RunState): PlannedSession {
  const steps = new Map<string, Step>();
  state.steps.forEach((step, i) => {
    const minutes = Math.round((state.states[i]!.spent / 60) * 10) / 10;
    if (minutes === 0 || !wasWorked(state.states[i]!)) return;
    const known = steps.get(step.technique)?.minutes;
    const sided = techniqueOf(step.technique).sided;
    steps.set(step.technique, {
      technique: step.technique,
      position: step.position,
      minutes:
        sided && step.side !== "mid"
          ? { ...{ L: 0, R: 0 }, ...(known && "L" in known ? known : {}), [step.side]: minutes }
          : { mid: minutes },
    });
  });
  return { steps: [...steps.values()] };
}

/**
 * What a visit really gave: what its run's log holds, and what was held of the light-touch arc (`light`: the table's log).
 * Undefined where neither holds anything.
 */
export function workedAt(state: RunState, light: readonly { kind: string }[]): PlannedSession | undefined {
  const held = workedSteps(arcAfter(light).runs).map(({ technique, minutes }): Step => ({
    technique,
    position: null,
    minutes: { mid: minutes },
  }));
  if (state.phase === "not started" && held.length === 0) return undefined;
  return { steps: [...workedSession(state).steps, ...held] };
}
