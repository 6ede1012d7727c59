import { isDeepStrictEqual } from "node:util";
import type { SessionEvent } from "../core/session/events";
import type { ArcEvent } from "../core/light-touch/arc";
import type { BoneEvent } from "../core/light-touch/bones";
import type { StillEvent } from "../core/light-touch/still-point";
import type { UnwindEvent } from "../core/light-touch/unwinding";
import type { EdgeEvent } from "../core/move/edge-of-table";
import type { RangeEvent } from "../core/move/ranges";
import type { TableEvent } from "../core/table/answers";
import type { Tx } from "./database";

/** What was pressed during a visit, only ever appended to: the run of its session, and what was
 * found at the table, moved, and done by light touch. */
export type PressedEvent = TableEvent | RangeEvent | EdgeEvent | BoneEvent | StillEvent | UnwindEvent | ArcEvent;
type Logs = { session_event: SessionEvent; table_event: PressedEvent };
type Log = keyof Logs;
/** Locks of the two, so that neither waits for the other. */
const lockOf: Record<Log, number> = { session_event: 1, table_event: 4 };

const toEvent = <L extends Log>(row: { id: string; at: Date; kind: string; body: unknown; by?: string | null }) =>
  ({ id: row.id, at: row.at.toISOString(), kind: row.kind, body: row.body, ...(row.by && { by: row.by }) }) as Logs[L];
/** Whose hands pressed is known at the table, where looks are compared. */
const columnsOf = (log: Log) => [
  "id",
  "at",
  "kind",
  "body",
  ...(log === "table_event" ? ["practitioner_id as by"] : []),
];

/** The log of a visit's session, in the order it was written. */
export const eventsOf = (tx: Tx, visitId: string): Promise<SessionEvent[]> => logOf(tx, "session_event", visitId);

/** A log of a visit, in the order it was written. */
export async function logOf<L extends Log>(tx: Tx, log: L, visitId: string): Promise<Logs[L][]> {
  const rows = await tx(log).where({ visit_id: visitId }).orderBy("seq").select(columnsOf(log));
  return rows.map((row) => toEvent<L>(row));
}

/** The logs of several visits in one question. */
export async function eventsOfVisits<L extends Log = "session_event">(
  tx: Tx,
  visitIds: readonly string[],
  log: L = "session_event" as L,
  /** Only these; all when left out. */
  kinds?: readonly Logs[L]["kind"][],
): Promise<Map<string, Logs[L][]>> {
  const rows = await tx(log)
    .whereIn("visit_id", visitIds)
    .modify((query) => kinds && void query.whereIn("kind", [...kinds]))
    .orderBy("seq")
    .select("visit_id", ...columnsOf(log));
  const logs = new Map<string, Logs[L][]>();
  for (const row of rows) logs.set(row.visit_id, [...(logs.get(row.visit_id) ?? []), toEvent<L>(row)]);
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
export async function appendEvents<L extends Log = "session_event">(
  tx: Tx,
  visitId: string,
  events: readonly Logs[L][],
  log: L = "session_event" as L,
  /** Whose hands pressed; kept at the table only. */
  by?: string,
): Promise<{ stored: string[]; elsewhere: string[] }> {
  if (events.length === 0) return { stored: [], elsewhere: [] };
  // One writer at a time per visit, so that `seq` is the order in which events were confirmed.
  await tx.raw("select pg_advisory_xact_lock(hashtextextended(?, ?))", [visitId, lockOf[log]]);
  await tx(log)
    .insert(
      events.map((event) => ({
        id: event.id,
        visit_id: visitId,
        at: event.at,
        kind: event.kind,
        body: JSON.stringify(event.body),
        ...(log === "table_event" && { practitioner_id: by ?? null }),
      })),
    )
    .onConflict(["practice_id", "id"])
    .ignore();
  const rows = await tx(log)
    .whereIn(
      "id",
      events.map((event) => event.id),
    )
    .select("visit_id", "id", "at", "kind", "body");
  const there = new Map(rows.map((row) => [row.id as string, row]));
  const same = (event: Logs[L]) => {
    const row = there.get(event.id.toLowerCase());
    return (
      row?.visit_id === visitId &&
      row.kind === event.kind &&
      (row.at as Date).getTime() === Date.parse(event.at) &&
      isDeepStrictEqual(row.body, JSON.parse(JSON.stringify(event.body)))
    );
  };
  return {
    stored: events.filter(same).map((event) => event.id),
    elsewhere: events.filter((event) => !same(event)).map((event) => event.id),
  };
}
