import { useEffect, useState } from "react";
import { edited, type Edit } from "~core/series/edit";
import type { PlanInput, PlannedSession } from "~core/series/plan";

type Sessions = readonly PlannedSession[];
type History = { past: readonly Sessions[]; now: Sessions | undefined; future: readonly Sessions[] };
const none: History = { past: [], now: undefined, future: [] };

/** Changes by hand to the plan in force, with undo and redo without limit. Another plan in force begins anew. */
export function usePlanEdit(input: PlanInput, force: Sessions | undefined) {
  const [history, setHistory] = useState<History>(none);
  const key = JSON.stringify(force);
  useEffect(() => setHistory(none), [key]);
  const push = (next: Sessions) =>
    setHistory(({ past, now }) => ({ past: now ? [...past, now] : [force!], now: next, future: [] }));
  return {
    /** The plan as it was changed; undefined while it is the one in force. */
    sessions: history.now,
    edit: (edit: Edit) => force && push(edited(input, history.now ?? force, edit)),
    /** What a repair found. */
    replace: push,
    undo:
      history.past.length > 0
        ? () =>
            setHistory(({ past, now, future }) => ({
              past: past.slice(0, -1),
              now: past.length === 1 ? undefined : past.at(-1),
              future: [now!, ...future],
            }))
        : undefined,
    redo:
      history.future.length > 0
        ? () =>
            setHistory(({ past, now, future }) => ({
              past: [...past, now ?? force!],
              now: future[0],
              future: future.slice(1),
            }))
        : undefined,
    drop: () => setHistory(none),
  };
}
