import type { OwnMeasure, OwnScore } from "../core/own-measures/own-measures";
import type { Tx } from "./database";
import { NotFound } from "./errors";

export async function ownMeasuresOf(
  tx: Tx,
  clientId: string,
): Promise<{ measures: OwnMeasure[]; scores: OwnScore[]; words: { visit: number; words: string }[] }> {
  const measures = await tx("own_measure").where({ client_id: clientId }).orderBy(["kind", "created_at", "id"]);
  const scores = await tx("own_score as s")
    .join("visit as v", "v.id", "s.visit_id")
    .where("v.client_id", clientId)
    .orderBy("v.ordinal")
    .select<OwnScore[]>({ measureId: "s.measure_id", visit: "v.ordinal", score: "s.score" });
  const words = await tx("own_words as w")
    .join("visit as v", "v.id", "w.visit_id")
    .where("v.client_id", clientId)
    .orderBy("v.ordinal")
    .select<{ visit: number; words: string }[]>({ visit: "v.ordinal", words: "w.words" });
  return {
    measures: measures.map(({ id, kind, name, retired_at }) => ({ id, kind, name, retired: retired_at !== null })),
    scores,
    words,
  };
}

export async function saveOwnMeasure(
  tx: Tx,
  clientId: string,
  measure: { id: string; kind: "activity" | "pain"; name: string },
): Promise<void> {
  await tx("own_measure")
    .insert({ id: measure.id, client_id: clientId, kind: measure.kind, name: measure.name })
    .onConflict(["practice_id", "id"])
    .merge({ name: measure.name })
    .where("own_measure.client_id", clientId);
}

export async function retireOwnMeasure(tx: Tx, clientId: string, id: string, retired: boolean): Promise<void> {
  const changed = await tx("own_measure")
    .where({ id, client_id: clientId })
    .update({ retired_at: retired ? tx.fn.now() : null });
  if (!changed) throw new NotFound("own scale");
}

/** A score at a visit; scoring again corrects it. */
export async function saveOwnScore(
  tx: Tx,
  clientId: string,
  measureId: string,
  visitId: string,
  score: number,
): Promise<void> {
  if (!(await tx("own_measure").where({ id: measureId, client_id: clientId }).first("id")))
    throw new NotFound("own scale");
  await tx("own_score")
    .insert({ measure_id: measureId, visit_id: visitId, score })
    .onConflict(["practice_id", "measure_id", "visit_id"])
    .merge({ score });
}

export async function saveOwnWords(tx: Tx, visitId: string, words: string): Promise<void> {
  await tx("own_words").insert({ visit_id: visitId, words }).onConflict(["practice_id", "visit_id"]).merge({ words });
}
