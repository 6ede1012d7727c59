import type { Said } from "../core/said";
import type { GivenAnswer } from "../core/screening/facts";
import { strictestFirst } from "../core/screening/questions";
import type { Decision } from "../core/screening/outcome";
import type { Answer } from "../core/screening/questions";
import { addOnce } from "./add-once";
import type { Tx } from "./database";

export type RecordedAnswer = GivenAnswer & Said & { by: string };

/**
 * What stands of the answers to each question, and who gave it; of one visit alone when given.
 * Where several were given without knowing of each other, the strictest, with the others beside it.
 */
export async function answersOf(
  tx: Tx,
  clientId: string,
  { visitId }: { visitId?: string | undefined } = {},
): Promise<(RecordedAnswer & { against: RecordedAnswer[] })[]> {
  const said = tx("screening_answer")
    .where({ client_id: clientId, ...(visitId === undefined ? {} : { visit_id: visitId }) })
    // the rule of `standing`, where a long record is not brought here to be looked through
    .select("*", tx.raw("max(least(coalesce(seen, seq - 1), seq - 1)) over (partition by question) as answered"));
  const rows = await tx
    .from(said.as("said"))
    .whereRaw("seq > answered")
    .orderBy(["question", "seq"])
    .select<Record<string, unknown>[]>();
  const answers = rows.map((row): RecordedAnswer => ({
    question: row.question as string,
    answer: row.answer as Answer,
    visitId: row.visit_id as string | null,
    at: (row.created_at as Date).toISOString(),
    by: row.recorded_by as string,
    seq: Number(row.seq),
    seen: Number(row.seen ?? Number(row.seq) - 1),
  }));
  const byQuestion = new Map<string, RecordedAnswer[]>();
  for (const each of answers) byQuestion.set(each.question, [...(byQuestion.get(each.question) ?? []), each]);
  return [...byQuestion.values()].map((standing) => strictestFirst(standing));
}

/**
 * Adds an answer; earlier ones stay on record. The same id twice is one answer, and says `Taken` where it says something
 * else. `seen`: the last answer to the question that whoever answered had before their eyes; left out, all that is there.
 */
export async function recordAnswer(
  tx: Tx,
  clientId: string,
  answer: { id: string; visitId: string | null; question: string; answer: Answer; by: string; seen?: number },
): Promise<void> {
  await addOnce(
    tx,
    "this answer",
    "screening_answer",
    { id: answer.id },
    {
      client_id: clientId,
      visit_id: answer.visitId,
      question: answer.question,
      answer: answer.answer,
      recorded_by: answer.by,
      seen: answer.seen ?? null,
    },
  );
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
  await addOnce(
    tx,
    "this decision",
    "caution_decision",
    { id: decision.id },
    {
      client_id: clientId,
      outcome_key: decision.outcomeKey,
      kind: decision.kind,
      who: decision.who,
      on_day: decision.on,
      what: decision.what,
      recorded_by: decision.by,
    },
  );
}
