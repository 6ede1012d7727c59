import type { OwnMeasure, OwnScore } from "../core/own-measures/own-measures";
import { changeSeen } from "./change-seen";
import type { Tx } from "./database";
import { NotFound } from "./errors";
import { compareAndSet } from "./compare-and-set";

export async function ownMeasuresOf(
  tx: Tx,
  clientId: string,
): Promise<{
  measures: (OwnMeasure & { version: number })[];
  scores: OwnScore[];
  words: { visit: number; words: string }[];
}> {
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
    measures: measures.map(({ id, kind, name, retired_at, version }) => ({
      id,
      kind,
      name,
      retired: retired_at !== null,
      version,
    })),
    scores,
    words,
  };
}

/** Adds a scale; sent twice it is one. */
export async function addOwnMeasure(
  tx: Tx,
  clientId: string,
  measure: { id: string; kind: "activity" | "pain"; name: string },
): Promise<void> {
  const { id, kind, name } = measure;
  await compareAndSet(tx, "own scale", "own_measure", { id }, null, { client_id: clientId, kind, name });
}

/** Whether a scale is still asked for, where it stood at `version` so far. */
export const retireOwnMeasure = (
  tx: Tx,
  clientId: string,
  id: string,
  retired: boolean,
  version: number,
): Promise<void> =>
  changeSeen(
    tx,
    "own scale",
    "own_measure",
    { id, client_id: clientId },
    version,
    (now) => (now.retired_at !== null) === retired,
    { retired_at: retired ? tx.fn.now() : null },
  );

/** A score at a visit, where `was` stood so far. */
export async function saveOwnScore(
  tx: Tx,
  clientId: string,
  measureId: string,
  visitId: string,
  score: number,
  was?: number | null,
): Promise<void> {
  if (!(await tx("own_measure").where({ id: measureId, client_id: clientId }).first("id")))
    throw new NotFound("own scale");
  const before = was === undefined || was === null ? was : { score: was };
  await compareAndSet(tx, "score", "own_score", { measure_id: measureId, visit_id: visitId }, before, { score });
}

/** The client's own words at a visit, where `was` stood so far ("": nothing). */
export async function saveOwnWords(tx: Tx, visitId: string, words: string, was?: string): Promise<void> {
  const before = was === undefined ? undefined : was === "" ? null : { words: was };
  const stored = await tx("own_words").where({ visit_id: visitId }).first<{ words: string } | undefined>("words");
  // words that were emptied are no words
  const empty = stored?.words === "" && before === null;
  await compareAndSet(tx, "own words", "own_words", { visit_id: visitId }, empty ? { words: "" } : before, { words });
}
