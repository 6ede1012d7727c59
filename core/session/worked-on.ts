import { partsOf } from "../anatomy/structures";
import type { PlannedSession } from "../series/plan";
import { techniqueOf } from "../techniques/library";
import type { Minutes, Side } from "../units";

type BySide = Record<Side, Minutes>;

/** Minutes of a session that reached each structure itself, by side: each step's time by the share the structure gets of it. */
export function minutesReached(session: PlannedSession): Map<string, BySide> {
  const reached = new Map<string, BySide>();
  for (const { technique, minutes } of session.steps)
    for (const { structure, share } of techniqueOf(technique).reach) {
      const sum = reached.get(structure) ?? { L: 0, R: 0 };
      reached.set(structure, sum);
      sum.L += share * ("mid" in minutes ? minutes.mid : minutes.L);
      sum.R += share * ("mid" in minutes ? minutes.mid : minutes.R);
    }
  return reached;
}

/** Less than this reached it in passing. */
const least: Minutes = 0.5;

type Spot = { structure: string; side: Side | "both" };

/**
 * Says of a spot which sessions (from 1 on) worked it for half a minute or more: on its side, on either for both; of a group,
 * any of its parts.
 */
export function sessionsOn(sessions: readonly PlannedSession[]): (spot: Spot) => number[] {
  const reached = sessions.map(minutesReached);
  return ({ structure, side }) =>
    reached.flatMap((minutes, i) =>
      partsOf(structure).some((part) => {
        const { L, R } = minutes.get(part) ?? { L: 0, R: 0 };
        return (side === "L" ? L : side === "R" ? R : Math.max(L, R)) >= least;
      })
        ? [i + 1]
        : [],
    );
}
