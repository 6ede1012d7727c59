import type { PlannedSession, Step } from "../series/plan";
import { techniqueOf } from "../techniques/library";
import { arcAfter, workedSteps } from "../light-touch/arc";
import { counted } from "../words";
import type { RunState, StepState } from "./fold";

/** Hands-on time below which a step that was cut short does not count as worked (s). */
const leastWorked = 30;

/**
 * Whether a step was worked: the one meaning of “done” in notes, sessions, plans and the practitioner's own load. It was
 * let go to its end, or was cut short after half a minute or more without being skipped.
 */
export const wasWorked = ({ outcome, spent }: Pick<StepState, "outcome" | "spent">): boolean =>
  outcome === "done" || (outcome === "waiting" && spent >= leastWorked);

/** Steps as the plan counts them: what is done on both sides is one, and done when both are. */
export function stepsCounted({ steps, states }: Pick<RunState, "steps" | "states">): {
  of: number;
  done: number;
  /** Worked on one side of two. */
  half: number;
  leftOut: number;
} {
  const worked = new Map<string, boolean[]>();
  for (const [i, { technique }] of steps.entries())
    worked.set(technique, [...(worked.get(technique) ?? []), wasWorked(states[i]!)]);
  const skipped = new Set(steps.filter((_, i) => states[i]!.outcome === "skipped").map(({ technique }) => technique));
  const all = [...worked];
  return {
    of: all.length,
    done: all.filter(([, sides]) => sides.every(Boolean)).length,
    half: all.filter(([, sides]) => sides.some(Boolean) && !sides.every(Boolean)).length,
    leftOut: all.filter(([key, sides]) => skipped.has(key) && !sides.some(Boolean)).length,
  };
}

/** "14 of 16 steps, 1 more on one side" */
export const stepsWords = ({ of, done, half }: ReturnType<typeof stepsCounted>): string =>
  `${done} of ${counted(of, "step")}${half > 0 ? `, ${half} more on one side` : ""}`;

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
