import { tables } from "../kinds/register";
import { randomUUID } from "node:crypto";
import type { Knex } from "knex";
import type { HandBudget } from "../core/techniques/hand-parts";
import { addOnce } from "./add-once";
import { once, type Tx } from "./database";
import { NotFound, Stale } from "./errors";

export type VisitStatus = "planned" | "open" | "closed";
export type Visit = {
  id: string;
  clientId: string;
  ordinal: number;
  /** ISO day. */
  onDate: string;
  status: VisitStatus;
  closingNote: string;
  version: number;
};

const columns = {
  id: "id",
  clientId: "client_id",
  ordinal: "ordinal",
  onDate: "on_date",
  status: "status",
  closingNote: "closing_note",
  version: "version",
} as const;

export const listVisits = (tx: Tx, clientId: string): Promise<Visit[]> =>
  once(tx, `visits ${clientId}`, async () =>
    tx("visit").select<Visit[]>(columns).where({ client_id: clientId }).orderBy("ordinal"),
  );

export async function getVisit(tx: Tx, id: string): Promise<Visit> {
  const visit = await tx("visit").where({ id }).first<Visit | undefined>(columns);
  if (!visit) throw new NotFound("visit");
  return visit;
}

/**
 * The client of each visit, unless archived, asked for one by one: joined as a whole, the table of clients is read from end
 * to end, however few visits there are.
 */
const itsClient = `join lateral (
  select name from client where practice_id = v.practice_id and id = v.client_id and archived_at is null limit 1) c on true`;

/** Visits of all clients between two days, with the client's name, for agenda and calendar. */
export const visitsBetween = (
  tx: Tx,
  from: string,
  to: string,
): Knex.QueryBuilder<object, (Visit & { clientName: string })[]> =>
  tx("visit as v")
    .joinRaw(itsClient)
    .whereBetween("v.on_date", [from, to])
    .orderBy(["v.on_date", "c.name"])
    .select({
      ...Object.fromEntries(Object.entries(columns).map(([key, column]) => [key, `v.${column}`])),
      clientName: "c.name",
    });

/** Visits that somebody gives, and those of which it is not said who does. */
const givenBy =
  (by: string) =>
  (query: Knex.QueryBuilder): void =>
    void query.where((either) => either.where("v.given_by", by).orWhereNull("v.given_by"));

/**
 * The visits still to be closed of the first day from `from` to `to` that has any for `by`, with the client's name. Those that
 * another practitioner gives are not among them.
 */
export const visitsOfNextDay = (
  tx: Tx,
  from: string,
  to: string,
  by: string,
): Promise<(Visit & { clientName: string })[]> =>
  visitsBetween(tx, from, to).modify((query) =>
    query
      .whereNot("v.status", "closed")
      .modify(givenBy(by))
      .where(
        "v.on_date",
        tx("visit as v")
          .joinRaw(itsClient)
          .whereNot("v.status", "closed")
          .modify(givenBy(by))
          .whereBetween("v.on_date", [from, to])
          .orderBy("v.on_date")
          .limit(1)
          .select("v.on_date"),
      ),
  );

/** Who else gives visits on a day that are still to be closed, and to whom. */
export const visitsOfOthers = (
  tx: Tx,
  day: string,
  by: string,
): Promise<{ practitioner: string; clientName: string }[]> =>
  tx("visit as v")
    .joinRaw(itsClient)
    .join("practitioner as p", "p.id", "v.given_by")
    .where("v.on_date", day)
    .whereNot("v.status", "closed")
    .whereNot("v.given_by", by)
    .orderBy(["p.name", "c.name"])
    .select({ practitioner: "p.name", clientName: "c.name" });

/** Visits whose run sheet was started and never finished, but for those that another practitioner gives. */
export const unfinishedVisits = (tx: Tx, by: string): Promise<(Visit & { clientName: string })[]> =>
  tx("visit as v")
    .joinRaw(itsClient)
    .where("v.status", "open")
    .modify(givenBy(by))
    .orderBy("v.on_date")
    .select({
      ...Object.fromEntries(Object.entries(columns).map(([key, column]) => [key, `v.${column}`])),
      clientName: "c.name",
    });

/** Who gives a planned visit, and what it takes of them. */
export type Given = { by: string | null; load: HandBudget };

/**
 * Makes sure visits 1…dates.length exist; planned ones move to their new date, others stay. `given`: of each visit, where that
 * is known; left out, it stays as it was.
 */
export async function planVisits(
  tx: Tx,
  clientId: string,
  dates: readonly string[],
  given?: readonly Given[],
): Promise<void> {
  const there = await listVisits(tx, clientId);
  for (const [i, date] of dates.entries()) {
    const visit = there.find((each) => each.ordinal === i + 1);
    if (!visit)
      await tx("visit")
        .insert({
          id: randomUUID(),
          client_id: clientId,
          ordinal: i + 1,
          on_date: date,
          status: "planned",
          ...columnsOf(given?.[i]),
        })
        .onConflict(["practice_id", "client_id", "ordinal"])
        .ignore();
    else if (visit.status === "planned" && (visit.onDate !== date || given?.[i]))
      await tx("visit")
        .where({ id: visit.id, status: "planned" })
        .update({ on_date: date, ...columnsOf(given?.[i]) });
  }
  // Visits beyond the series' length go, unless something was recorded in them.
  const beyond = there.filter((visit) => visit.ordinal > dates.length && visit.status === "planned");
  for (const visit of beyond) if (!(await hasRecords(tx, visit.id))) await tx("visit").where({ id: visit.id }).del();
}

const columnsOf = (given: Given | undefined) =>
  given ? { given_by: given.by, planned_load: JSON.stringify(given.load) } : {};

/** What the visits of all clients but one take of a practitioner, day by day, as they were planned. */
export const loadsBetween = (
  tx: Tx,
  by: string,
  from: string,
  to: string,
  butClient: string,
): Promise<{ day: string; load: HandBudget }[]> =>
  tx("visit as v")
    .join("client as c", "c.id", "v.client_id")
    .whereNull("c.archived_at")
    .where("v.given_by", by)
    .whereNot("v.client_id", butClient)
    .whereBetween("v.on_date", [from, to])
    .whereNotNull("v.planned_load")
    .select<{ day: string; load: HandBudget }[]>({ day: "v.on_date", load: "v.planned_load" });

/** What other clients' planned visits of the last week and to come stand at. */
export async function loadsStamp(tx: Tx, butClient: string, from: string): Promise<string> {
  const [row] = await tx("visit as v")
    .join("client as c", "c.id", "v.client_id")
    .whereNull("c.archived_at")
    .whereNot("v.client_id", butClient)
    .where("v.on_date", ">=", from)
    .whereNotNull("v.planned_load")
    .select<{ stamp: string | null }[]>(tx.raw("sum(hashtextextended(v.id::text, v.version)::numeric) as stamp"));
  return row?.stamp ?? "";
}

async function hasRecords(tx: Tx, visitId: string): Promise<boolean> {
  const recorded = Object.entries(tables).flatMap(([table, { of }]) => (of === "visit" ? [table] : []));
  for (const table of [...recorded, "job", "handover", "visit_amendment"])
    if (await tx(table).where({ visit_id: visitId }).first("visit_id")) return true;
  return false;
}

/** The visit the workspace shows when none is chosen: the first that is not closed, else a new one. */
export async function currentVisit(tx: Tx, clientId: string, today: string): Promise<Visit> {
  const visits = await listVisits(tx, clientId);
  const next = visits.find((visit) => visit.status !== "closed");
  if (next) return next;
  await tx("visit")
    .insert({
      id: randomUUID(),
      client_id: clientId,
      ordinal: visits.length + 1,
      on_date: today,
      status: "planned",
    })
    .onConflict(["practice_id", "client_id", "ordinal"])
    .ignore();
  return (await listVisits(tx, clientId)).at(-1)!;
}

/** A planned visit is being worked: it stands on the day on which that happens, and with whoever gives it. */
export async function openVisit(tx: Tx, id: string, day: string, by: string | null): Promise<void> {
  await tx("visit")
    .where({ id, status: "planned" })
    .update({ status: "open", on_date: day, given_by: tx.raw("coalesce(?::uuid, given_by)", [by]) });
}

/** What was put right of a closed visit. */
export type Amendment = { id: string; note: string; why: string; by: string; at: string };

/** Everything that was put right of a visit, oldest first; the visit itself keeps what was written first. */
export async function amendmentsOf(tx: Tx, visitIds: readonly string[]): Promise<(Amendment & { visitId: string })[]> {
  const rows = await tx("visit_amendment").whereIn("visit_id", visitIds).orderBy("seq");
  return rows.map((row) => ({
    id: row.id,
    visitId: row.visit_id,
    note: row.note,
    why: row.why,
    by: row.recorded_by,
    at: (row.created_at as Date).toISOString(),
  }));
}

/** Puts a closed visit right: one more note, made from `after` (the last one's id; null: from the first). Sent twice it is one. */
export async function amendVisit(
  tx: Tx,
  visitId: string,
  amendment: Omit<Amendment, "at"> & { after: string | null },
): Promise<boolean> {
  const visit = await tx("visit").where({ id: visitId }).forUpdate().first<{ status: string } | undefined>("status");
  if (!visit) throw new NotFound("visit");
  const { id, note, why, by, after } = amendment;
  const there = await amendmentsOf(tx, [visitId]);
  const again = there.some((each) => each.id === id);
  if (!again && (visit.status !== "closed" || (there.at(-1)?.id ?? null) !== after)) throw new Stale("visit");
  return addOnce(tx, "this amendment", "visit_amendment", { id }, { visit_id: visitId, note, why, recorded_by: by });
}

/** What a visit took of whoever gave it, as it was worked. */
export const noteLoad = (tx: Tx, visitId: string, load: HandBudget, by: string): Promise<number> =>
  tx("visit")
    .where({ id: visitId })
    .update({ planned_load: JSON.stringify(load), given_by: tx.raw("coalesce(given_by, ?::uuid)", [by]) });

/** Closes a visit with its note. One that was planned for a day still to come was held today. */
export async function closeVisit(tx: Tx, id: string, version: number, note: string, today: string): Promise<void> {
  const changed = await tx("visit")
    .where({ id, version })
    .update({ status: "closed", closing_note: note, on_date: tx.raw("least(on_date, ?::date)", [today]) });
  if (changed) return;
  await getVisit(tx, id);
  throw new Stale("visit");
}
