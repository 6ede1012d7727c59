import type { GivenAnswer } from "../core/screening/facts";
import type { Decision } from "../core/screening/outcome";
import type { Answer } from "../core/screening/questions";
import type { Tx } from "./database";

export type RecordedAnswer = GivenAnswer & { by: string };

/** The latest answer to each question, and who gave it; of one visit alone, or until a moment (ISO), when given. */
export async function answersOf(
  tx: Tx,
  clientId: string,
  { visitId, until }: { visitId?: string | undefined; until?: string | undefined } = {},
): Promise<RecordedAnswer[]> {
  const query = tx("screening_answer");
  if (until !== undefined) query.where("created_at", "<=", until);
  const rows = await query
    .distinctOn("question")
    .where({ client_id: clientId, ...(visitId === undefined ? {} : { visit_id: visitId }) })
    .orderBy([{ column: "question" }, { column: "seq", order: "desc" }]);
  return rows.map((row) => ({
    question: row.question,
    answer: row.answer as Answer,
    visitId: row.visit_id,
    at: (row.created_at as Date).toISOString(),
    by: row.recorded_by,
  }));
}

/** Adds an answer; earlier ones stay on record. The same id twice is one answer. */
export async function recordAnswer(
  tx: Tx,
  clientId: string,
  answer: { id: string; visitId: string | null; question: string; answer: Answer; by: string },
): Promise<void> {
  await tx("screening_answer")
    .insert({
      id: answer.id,
      client_id: clientId,
      visit_id: answer.visitId,
      question: answer.question,
      answer: answer.answer,
      recorded_by: answer.by,
    })
    .onConflict(["practice_id", "id"])
    .ignore();
}

/** Every clearance, override and withdrawal, oldest first. */
export async function decisionsOf(tx: Tx, clientId: string): Promise<(Decision & { id: string })[]> {
  const rows = await tx("caution_decision").where({ client_id: clientId }).orderBy("seq");
  return rows.map((row) => ({
    id: row.id,
    outcomeKey: row.outcome_key,
    kind: row.kind,
    who: row.who,
    on: row.on_day,
    what: row.what,
    by: row.recorded_by,
    at: (row.created_at as Date).toISOString(),
  }));
}

export async function recordDecision(
  tx: Tx,
  clientId: string,
  decision: Omit<Decision, "at"> & { id: string },
): Promise<void> {
  await tx("caution_decision")
    .insert({
      id: decision.id,
      client_id: clientId,
      outcome_key: decision.outcomeKey,
      kind: decision.kind,
      who: decision.who,
      on_day: decision.on,
      what: decision.what,
      recorded_by: decision.by,
    })
    .onConflict(["practice_id", "id"])
    .ignore();
}
