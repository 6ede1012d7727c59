import type { Grade, Moment, Restriction } from "../core/findings/restriction";
import type { Listening } from "../core/light-touch/stations";
import type { Tx } from "./database";
import { NotFound } from "./errors";

/** A client's restrictions, newest last, each with every grading; removed ones left out. */
export async function restrictionsOf(tx: Tx, clientId: string): Promise<Restriction[]> {
  const rows = await tx("restriction")
    .where({ client_id: clientId })
    .whereNull("removed_at")
    .orderBy(["created_at", "id"]);
  const grades = await tx("restriction_grade as g")
    .join("visit as v", "v.id", "g.visit_id")
    .whereIn(
      "g.restriction_id",
      rows.map((row: { id: string }) => row.id),
    )
    .orderBy("v.ordinal")
    .select("g.restriction_id", "v.ordinal", "g.moment", "g.grade", "g.tenderness");
  return rows.map((row): Restriction => ({
    id: row.id,
    region: row.region,
    structure: row.structure,
    side: row.side,
    layer: row.layer,
    quality: row.quality,
    bind: row.bind,
    ease: row.ease,
    grades: grades
      .filter((grade) => grade.restriction_id === row.id)
      .map((grade) => ({
        visit: grade.ordinal,
        moment: grade.moment as Moment,
        grade: grade.grade as Grade,
        tenderness: grade.tenderness,
      })),
  }));
}

export type RestrictionDraft = Omit<Restriction, "grades">;

/** Adds a restriction, or corrects the one with the same id. */
export async function saveRestriction(tx: Tx, clientId: string, draft: RestrictionDraft): Promise<void> {
  const { id, region, structure, side, layer, quality, bind, ease } = draft;
  const values = { region, structure, side, layer, quality, bind, ease };
  await tx("restriction")
    .insert({ id, client_id: clientId, ...values })
    .onConflict(["practice_id", "id"])
    .merge(values);
}

/** Records how a restriction grades at a visit; grading the same moment again corrects it. */
export async function gradeRestriction(
  tx: Tx,
  grading: { restrictionId: string; visitId: string; moment: Moment; grade: number; tenderness: number },
): Promise<void> {
  const { restrictionId, visitId, moment, grade, tenderness } = grading;
  await tx("restriction_grade")
    .insert({ restriction_id: restrictionId, visit_id: visitId, moment, grade, tenderness })
    .onConflict(["practice_id", "restriction_id", "visit_id", "moment"])
    .merge({ grade, tenderness });
}

export async function setRestrictionRemoved(tx: Tx, id: string, removed: boolean): Promise<void> {
  const changed = await tx("restriction")
    .where({ id })
    .update({ removed_at: removed ? tx.fn.now() : null });
  if (!changed) throw new NotFound("restriction");
}

/** What was heard at a visit, before and after. */
export async function listeningsOf(
  tx: Tx,
  clientId: string,
): Promise<{ visitId: string; ordinal: number; moment: Moment; stations: Listening }[]> {
  return tx("listening as l")
    .join("visit as v", "v.id", "l.visit_id")
    .where("v.client_id", clientId)
    .orderBy(["v.ordinal", "l.moment"])
    .select({ visitId: "l.visit_id", ordinal: "v.ordinal", moment: "l.moment", stations: "l.stations" });
}

/** Merges what was felt at some stations into a visit's record: two tabs at different stations lose nothing. */
export async function saveListening(tx: Tx, visitId: string, moment: Moment, felt: Listening): Promise<void> {
  await tx("listening")
    .insert({ visit_id: visitId, moment, stations: JSON.stringify(felt) })
    .onConflict(["practice_id", "visit_id", "moment"])
    .merge({ stations: tx.raw("listening.stations || excluded.stations") });
}
