import type { Tx } from "./database";

/**
 * What a client's records, and all that their practice shares, stand at: another text after every write to any of them.
 * Asked before the records themselves, it may be older than they are, never newer.
 */
export async function stampOf(tx: Tx, clientId: string): Promise<string> {
  const rows = await tx("stamp").whereIn("of", [clientId, tx.practiceId]).orderBy("of").select<{ at: string }[]>("at");
  return rows.map(({ at }) => at).join("-");
}
