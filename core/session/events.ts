import { techniqueOf } from "../techniques/library";
import { passesOf, type Position } from "../techniques/technique";
import type { PlannedSession } from "../series/plan";
import type { BodySide, Seconds } from "../units";

/** Where a client wants the work to go: the same words as for what binds. */
export const ways = ["head", "feet", "in", "out", "front", "back"] as const;
export type Towards = (typeof ways)[number];

/** One thing to do at the table: a technique on one side. */
export type RunStep = {
  technique: string;
  side: BodySide;
  position: Position | null;
  planned: Seconds;
  passes: number;
};

/**
 * What happens during a session, in the order it happened. Ids are made by the client, so that sending one twice
 * changes nothing; `at` is the table's clock (ISO).
 */
export type SessionEvent = { id: string; at: string } &
  /** `agreed`: what was different from the plan and agreed to before, as sentences (`startingNow`); left out where nothing was. */
  (
    | { kind: "started"; body: { steps: RunStep[]; agreed?: string[] } }
    /** The pass let go: on to the next pass, or the next step after the last one. */
    | { kind: "next"; body: { step: number } }
    | { kind: "back"; body: { step: number } }
    | { kind: "skip"; body: { step: number } }
    | { kind: "note"; body: { step: number; text: string } }
    /** The client's answer: pressure 0–10 as reported, or a direction they prefer. */
    | { kind: "pressure"; body: { step: number; value: number } }
    | { kind: "direction"; body: { step: number; towards: Towards } }
    | { kind: "paused"; body: Record<string, never> }
    | { kind: "resumed"; body: Record<string, never> }
    | { kind: "finished"; body: Record<string, never> }
    /** What hands know better than the clock: how long a step took in all. Also after the end. */
    | { kind: "corrected"; body: { step: number; seconds: Seconds } }
  );

export type EventKind = SessionEvent["kind"];
export const eventKinds: readonly EventKind[] = [
  "started",
  "next",
  "back",
  "skip",
  "note",
  "pressure",
  "direction",
  "paused",
  "resumed",
  "finished",
  "corrected",
];

/**
 * The table's list of a planned session: two-sided techniques once per side, right after each other. While the client
 * lies on one side everything on it is done before they turn to the other.
 */
export function runSteps(session: PlannedSession): RunStep[] {
  const list = session.steps.map(sidesOf);
  const run: RunStep[] = [];
  for (let i = 0; i < list.length;) {
    let end = i + 1;
    if (session.steps[i]!.position === "side")
      while (end < list.length && session.steps[end]!.position === "side") end++;
    const block = list.slice(i, end).flat();
    const other = end - i > 1 || block[0]?.position === "side" ? block.filter((step) => step.side === "R") : [];
    run.push(...block.filter((step) => !other.includes(step)), ...other);
    i = end;
  }
  return run;
}

/** One step, a side each. */
function sidesOf(step: PlannedSession["steps"][number]): RunStep[] {
  const passes = passesOf(techniqueOf(step.technique));
  const of = (side: BodySide, minutes: number): RunStep => ({
    technique: step.technique,
    side,
    position: step.position,
    planned: Math.round(minutes * 60),
    passes,
  });
  if ("mid" in step.minutes) return [of("mid", step.minutes.mid)];
  const { L, R } = step.minutes;
  // a side that a caution closes has no minutes
  return [...(L > 0 ? [of("L", L)] : []), ...(R > 0 ? [of("R", R)] : [])];
}
