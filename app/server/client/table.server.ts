import { edgesAfter, type EdgeTaken } from "~core/move/edge-of-table";
import { rangesAfter, type Taken } from "~core/move/ranges";
import { answersAfter, type VisitAnswers } from "~core/table/answers";
import { ownLooks } from "./looks.server";
import type { Tx } from "~data/database";
import { eventsOfVisits } from "~data/session-events";
import type { Visit } from "~data/visits";

/** What was moved at each of a client's visits. */
export async function movedOf(
  tx: Tx,
  visits: readonly Visit[],
): Promise<{ visit: number; on: string; ranges: Taken[]; edges: EdgeTaken[] }[]> {
  const logs = await eventsOfVisits(
    tx,
    visits.map(({ id }) => id),
    "table_event",
    ["range", "edge"],
  );
  return visits.flatMap(({ id, ordinal, onDate }) => {
    const events = logs.get(id) ?? [];
    const [ranges, edges] = [rangesAfter(events), edgesAfter(events)];
    return ranges.length + edges.length > 0 ? [{ visit: ordinal, on: onDate, ranges, edges }] : [];
  });
}

/** What the table said at each of a client's visits, with the error of whose hands looked; those at which nothing was asked left out. */
export async function tableOf(tx: Tx, visits: readonly Visit[]): Promise<VisitAnswers[]> {
  const logs = await eventsOfVisits(
    tx,
    visits.map(({ id }) => id),
    "table_event",
    ["answer"],
  );
  const looks = logs.size > 0 ? { by: await ownLooks(tx) } : undefined;
  return visits.flatMap(({ id, ordinal }) => {
    const answers = answersAfter(logs.get(id) ?? [], looks);
    return answers.length > 0 ? [{ visit: ordinal, answers }] : [];
  });
}
