import { isDeepStrictEqual } from "node:util";
import type { SessionEvent } from "../core/session/events";
import type { Tx } from "./database";

const toEvent = (row: { id: string; at: Date; kind: string; body: unknown }) =>
  ({ id: row.id, at: row.at.toISOString(), kind: row.kind, body: row.body }) as SessionEvent;

/** The log of a visit's session, in the order it was written. */
export async function eventsOf(tx: Tx, visitId: string): Promise<SessionEvent[]> {
  const rows = await tx("session_event").where({ visit_id: visitId }).orderBy("seq").select("id", "at", "kind", "body");
  return rows.map(toEvent);
}

/** The logs of several visits in one question. */
export async function eventsOfVisits(tx: Tx, visitIds: readonly string[]): Promise<Map<string, SessionEvent[]>> {
  const rows = await tx("session_event")
    .whereIn("visit_id", visitIds)
    .orderBy("seq")
    .select("visit_id", "id", "at", "kind", "body");
  const logs = new Map<string, SessionEvent[]>();
  for (const row of rows) logs.set(row.visit_id, [...(logs.get(row.visit_id) ?? []), toEvent(row)]);
  return logs;
}

/** Id of the event that started a visit's session, or undefined. */
export async function hasStarted(tx: Tx, visitId: string): Promise<string | undefined> {
  const row = await tx("session_event").where({ visit_id: visitId, kind: "started" }).orderBy("seq").first("id");
  return row?.id as string | undefined;
}

/**
 * Appends events; the same ones sent twice are stored once. Returns which are stored now, and which ids stand for
 * something else already (another visit's event, or other content): those are not stored.
 *
 * Only one start counts per visit: a second one (another tab) is refused quietly by the fold, and both stay on record.
 */
export async function appendEvents(
  tx: Tx,
  visitId: string,
  events: readonly SessionEvent[],
): Promise<{ stored: string[]; elsewhere: string[] }> {
  if (events.length === 0) return { stored: [], elsewhere: [] };
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
  const rows = await tx("session_event")
    .whereIn(
      "id",
      events.map((event) => event.id),
    )
    .select("visit_id", "id", "at", "kind", "body");
  const there = new Map(rows.map((row) => [row.id as string, row]));
  const same = (event: SessionEvent) => {
    const row = there.get(event.id.toLowerCase());
    return (
      row?.visit_id === visitId &&
      row.kind === event.kind &&
      isDeepStrictEqual(row.body, JSON.parse(JSON.stringify(event.body)))
    );
  };
  return {
    stored: events.filter(same).map((event) => event.id),
    elsewhere: events.filter((event) => !same(event)).map((event) => event.id),
  };
}
