import { techniqueOf } from "../techniques/library";
import type { RegionKey } from "../anatomy/regions";
import type { IsoDay } from "../days";
import { targetsServed } from "./explain";
import { turnsIn } from "./order";
import { minutesOf, sessionMinutes, type PlanInput, type PlannedSession } from "./plan";
import { verdictIn } from "./rulebook";
import { violations } from "./rules";
import { scoreOf, strain, totalLoad } from "./score";
import { isQuiet, shareAt } from "./wishes";

/** What a plan comes to, to be laid beside another one's: of what is still to come, where nothing else is said. */
export type PlanFigures = {
  /** Of 100, by the findings of the input, wishes aside; what was worked counts, too. */
  points: number;
  /** Sessions to come, the hands' minutes in them, and the day of the last. */
  sessions: number;
  minutes: number;
  until: IsoDay | undefined;
  /** Share of what the targets want that the whole series gives, by weight; undefined without targets. */
  served: number | undefined;
  /** Pressure of 10: in the mean by minutes, and the hardest step. */
  pressure: { mean: number; most: number };
  turns: number;
  /** Minutes of closing and light touch in a session, in the mean; minutes on either side alone; share at the complaint. */
  quiet: number;
  sides: { L: number; R: number };
  local: number | undefined;
  /** Load × minutes: on the thumbs in the session that takes most of them, and on all of the hands, arms and back together. */
  thumbs: number;
  load: number;
  /** Rules it breaks, as sentences. */
  broken: string[];
};

/** What a plan is worth by targets and territories alone: what wishes cost is seen between two plans. */
export function pointsAside(input: PlanInput, sessions: readonly PlannedSession[]): number {
  const { wishes: _, order: __, ...plain } = input;
  return scoreOf(plain, sessions);
}

const minutesAt = (session: PlannedSession, region: RegionKey): number =>
  session.steps.reduce(
    (sum, { technique, minutes }) => sum + shareAt(techniqueOf(technique), region) * minutesOf(minutes),
    0,
  );

export function planFigures(input: PlanInput, sessions: readonly PlannedSession[]): PlanFigures {
  const ahead = sessions.slice(input.done.length);
  const minutes = ahead.reduce((sum, session) => sum + sessionMinutes(session), 0);
  const steps = ahead.flatMap((session, i) =>
    session.steps.map((step) => {
      const technique = techniqueOf(step.technique);
      const cap = verdictIn(technique, input.done.length + i, input).cap;
      return { technique, time: minutesOf(step.minutes), pressure: Math.min(technique.pressure, cap) };
    }),
  );
  const onSide = (side: "L" | "R") =>
    ahead
      .flatMap((session) => session.steps)
      .reduce((sum, { minutes: own }) => sum + ("mid" in own ? 0 : own[side]), 0);
  const weights = input.targets.reduce((sum, { weight }) => sum + weight, 0);
  return {
    points: pointsAside(input, sessions),
    sessions: ahead.length,
    minutes,
    until: ahead.length > 0 ? input.days[sessions.length - 1] : undefined,
    served:
      weights > 0
        ? targetsServed(input, sessions).reduce((sum, { target, share }) => sum + (target.weight / weights) * share, 0)
        : undefined,
    pressure: {
      mean: minutes > 0 ? steps.reduce((sum, { time, pressure }) => sum + time * pressure, 0) / minutes : 0,
      most: Math.max(0, ...steps.map(({ pressure }) => pressure)),
    },
    quiet:
      steps.reduce((sum, { technique, time }) => sum + (isQuiet(technique) ? time : 0), 0) / Math.max(1, ahead.length),
    sides: { L: onSide("L"), R: onSide("R") },
    local:
      input.complaintRegion && minutes > 0
        ? ahead.reduce((sum, session) => sum + minutesAt(session, input.complaintRegion!), 0) / minutes
        : undefined,
    turns: ahead.reduce((sum, session) => sum + turnsIn(session.steps), 0),
    thumbs: Math.max(0, ...ahead.map((session) => strain(session, "thumb"))),
    load: steps.reduce((sum, { technique, time }) => sum + totalLoad(technique) * time, 0),
    broken: violations(input, sessions).map(({ sentence }) => sentence),
  };
}

/**
 * Sessions to come that are missed least, the least first: by the points a plan loses without their steps, before their minutes
 * are given to anything else. Neither the next session nor the last is among them: a series opens and closes with its own.
 */
export function leastMissed(input: PlanInput, sessions: readonly PlannedSession[]): number[] {
  const whole = scoreOf(input, sessions);
  return sessions
    .map((_, s) => s)
    .slice(input.done.length + 1, -1)
    .map((s) => ({
      s,
      lost:
        whole -
        scoreOf(
          input,
          sessions.map((session, i) => (i === s ? { steps: [] } : session)),
        ),
    }))
    .sort((a, b) => a.lost - b.lost)
    .map(({ s }) => s);
}
