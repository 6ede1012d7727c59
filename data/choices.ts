import type { Choice } from "../core/reading/pattern-targets";
import type { Tx } from "./database";
import { compareAndSet } from "./compare-and-set";

/** What was decided of a client's reading, in the order it was decided first. */
export async function choicesOf(tx: Tx, clientId: string): Promise<Choice[]> {
  const rows = await tx("reading_choice").where({ client_id: clientId }).orderBy(["created_at", "key"]);
  return rows.map(({ key, body }) => ({ key, body }) as Choice);
}

/** Keeps a decision where `was` stood so far; null takes it back. `was` undefined: whatever stood there. */
export async function saveChoice(
  tx: Tx,
  clientId: string,
  key: string,
  body: Choice["body"] | null,
  was?: Choice["body"] | null,
): Promise<void> {
  await compareAndSet(
    tx,
    "decision",
    "reading_choice",
    { client_id: clientId, key },
    was === undefined || was === null ? was : { body: was },
    body && { body },
  );
}
