import type { Grade, Moment, Restriction } from "../core/findings/restriction";
import type { Listening, StationFelt, StationKey } from "../core/light-touch/stations";
import { isDeepStrictEqual } from "node:util";
import type { Tx } from "./database";
import { NotFound, Overtaken } from "./errors";
import { compareAndSet } from "./compare-and-set";

/** A client's restrictions, newest last, each with every grading; removed ones left out. */
export async function restrictionsOf(tx: Tx, clientId: string): Promise<Restriction[]> {
  const rows = await tx("restriction")
    .where({ client_id: clientId })
    .whereNull("removed_at")
    .whereNull("joined_to")
    .orderBy(["created_at", "id"]);
  // gathered by the database: a long history is one short row a spot, not thousands
  const grades = await tx("restriction_grade as g")
    .join("visit as v", "v.id", "g.visit_id")
    .whereIn(
      "g.restriction_id",
      rows.map((row: { id: string }) => row.id),
    )
    .groupBy("g.restriction_id")
    .select<{ restriction_id: string; felt: [number, Moment, Grade, number][] }[]>(
      "g.restriction_id",
      tx.raw(
        "json_agg(json_build_array(v.ordinal, g.moment, g.grade, g.tenderness) order by v.ordinal, g.moment desc) as felt",
      ),
    );
  const felt = new Map(grades.map((each) => [each.restriction_id, each.felt]));
  return rows.map((row): Restriction => ({
    id: row.id,
    region: row.region,
    structure: row.structure,
    side: row.side,
    layer: row.layer,
    quality: row.quality,
    bind: row.bind,
    ease: row.ease,
    grades: (felt.get(row.id) ?? []).map(([visit, moment, grade, tenderness]) => ({
      visit,
      moment,
      grade,
      tenderness,
    })),
  }));
}

export type RestrictionDraft = Omit<Restriction, "grades">;

/** Adds a restriction; sent twice it is one. An id that is somebody else's, or says something else, is refused. */
export async function addRestriction(tx: Tx, clientId: string, draft: RestrictionDraft): Promise<void> {
  const { id, region, structure, side, layer, quality, bind, ease } = draft;
  const values = { client_id: clientId, region, structure, side, layer, quality, bind, ease };
  await compareAndSet(tx, "restriction", "restriction", { id }, null, values);
}

async function ofClient(tx: Tx, clientId: string, id: string): Promise<void> {
  // a line that was joined to another is graded there
  if (!(await tx("restriction").where({ id, client_id: clientId }).whereNull("joined_to").first("id")))
    throw new NotFound("restriction");
}

export type Felt = { grade: number; tenderness: number };

/** Records how a client's restriction grades at a visit, where `was` stood so far; null takes the grading back. */
export async function gradeRestriction(
  tx: Tx,
  clientId: string,
  at: { restrictionId: string; visitId: string; moment: Moment },
  felt: Felt | null,
  was: Felt | null | undefined,
): Promise<void> {
  // what somebody took off the list is not graded unseen
  const line = tx("restriction").where({ id: at.restrictionId, client_id: clientId });
  if (felt && !(await line.whereNull("removed_at").first("id"))) throw new NotFound("restriction");
  await ofClient(tx, clientId, at.restrictionId);
  const key = { restriction_id: at.restrictionId, visit_id: at.visitId, moment: at.moment };
  await compareAndSet(tx, "grade", "restriction_grade", key, was, felt);
}

export async function setRestrictionRemoved(tx: Tx, clientId: string, id: string, removed: boolean): Promise<void> {
  const changed = await tx("restriction")
    .where({ id, client_id: clientId })
    .update({ removed_at: removed ? tx.fn.now() : null });
  if (!changed) throw new NotFound("restriction");
}

/** Before the work, a second time before it and blind, and after it. */
export type ListenMoment = Moment | "again";
export type StoredListening = {
  visitId: string;
  ordinal: number;
  moment: ListenMoment;
  stations: Listening;
  /** Whose hands; null where it is not known. */
  by: string | null;
};

/** What was heard at a visit, before and after. */
export async function listeningsOf(tx: Tx, clientId: string): Promise<StoredListening[]> {
  return tx("listening as l")
    .join("visit as v", "v.id", "l.visit_id")
    .where("v.client_id", clientId)
    .orderBy(["v.ordinal", "l.moment"])
    .select({
      visitId: "l.visit_id",
      ordinal: "v.ordinal",
      moment: "l.moment",
      stations: "l.stations",
      by: "l.practitioner_id",
    });
}

/**
 * Keeps what was felt at one station where `was` stood so far; other stations stay as they are, so that two tabs at
 * different stations lose nothing.
 */
export async function saveStation(
  tx: Tx,
  visitId: string,
  moment: ListenMoment,
  station: StationKey,
  felt: StationFelt,
  was: StationFelt | null | undefined,
  by?: string,
): Promise<void> {
  const key = { visit_id: visitId, moment };
  // there is a record to lock before anything is compared
  await tx("listening")
    .insert({ ...key, stations: "{}" })
    .onConflict(["practice_id", "visit_id", "moment"])
    .ignore();
  const { stations } = (await tx("listening").where(key).forUpdate().first<{ stations: Listening }>("stations"))!;
  const now = stations[station] ?? null;
  if (isDeepStrictEqual(now, felt)) return;
  if (was !== undefined && !isDeepStrictEqual(now, was)) throw new Overtaken("station", now);
  await tx("listening")
    .where(key)
    .update({ stations: JSON.stringify({ ...stations, [station]: felt }), ...(by && { practitioner_id: by }) });
}
