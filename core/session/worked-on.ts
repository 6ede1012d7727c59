import { meets } from "../anatomy/structures";
import type { PlannedSession } from "../series/plan";
import { techniqueOf } from "../techniques/catalogue";
import type { Minutes, Side } from "../units";

/** Minutes of a session that reached a structure itself, on its side: each step's time by the share the structure gets of it. */
export function minutesOn(session: PlannedSession, structure: string, side: Side | "both"): Minutes {
  return session.steps.reduce((sum, { technique, minutes }) => {
    const shares = techniqueOf(technique).reach.filter((reach) => meets(reach.structure, structure));
    const share = Math.max(0, ...shares.map((reach) => reach.share));
    const time = "mid" in minutes ? minutes.mid : side === "both" ? minutes.L + minutes.R : minutes[side];
    return sum + share * time;
  }, 0);
}

/** Less than this reached it in passing. */
const least: Minutes = 0.5;

/** The sessions (from 1 on) that worked a structure on its side for half a minute or more. */
export const sessionsOn = (
  sessions: readonly PlannedSession[],
  { structure, side }: { structure: string; side: Side | "both" },
): number[] => sessions.flatMap((session, i) => (minutesOn(session, structure, side) >= least ? [i + 1] : []));
