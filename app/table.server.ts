import { answersAfter, type VisitAnswers } from "~core/table/answers";
import type { Tx } from "~data/database";
import { eventsOfVisits } from "~data/session-events";
import type { Visit } from "~data/visits";

/** What the table said at each of a client's visits, those at which nothing was asked left out. */
export async function tableOf(tx: Tx, visits: readonly Visit[]): Promise<VisitAnswers[]> {
  const logs = await eventsOfVisits(
    tx,
    visits.map(({ id }) => id),
    "table_event",
  );
  return visits.flatMap(({ id, ordinal }) => {
    const events = logs.get(id);
    return events ? [{ visit: ordinal, answers: answersAfter(events) }] : [];
  });
}
