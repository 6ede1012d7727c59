import type { SessionEvent } from "../core/session/events";
import type { Tx } from "./database";

/** The log of a visit's session, in the order it was written. */
export async function eventsOf(tx: Tx, visitId: string): Promise<SessionEvent[]> {
  const rows = await tx("session_event").where({ visit_id: visitId }).orderBy("seq").select("id", "at", "kind", "body");
  return rows.map(
    (row) => ({ id: row.id, at: (row.at as Date).toISOString(), kind: row.kind, body: row.body }) as SessionEvent,
  );
}

/**
 * Appends events; ids already there are left as they are, so sending twice changes nothing.
 *
 * Only one start counts per visit: a second one (another tab) is refused quietly by the fold, and both stay on record.
 */
export async function appendEvents(tx: Tx, visitId: string, events: readonly SessionEvent[]): Promise<void> {
  if (events.length === 0) return;
  // One writer at a time per visit, so that `seq` is the order in which events were confirmed.
  await tx.raw("select pg_advisory_xact_lock(hashtextextended(?, 1))", [visitId]);
  await tx("session_event")
    .insert(
      events.map((event) => ({
        id: event.id,
        visit_id: visitId,
        at: event.at,
        kind: event.kind,
        body: JSON.stringify(event.body),
      })),
    )
    .onConflict(["practice_id", "id"])
    .ignore();
}
