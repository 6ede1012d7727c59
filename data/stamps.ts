import { once, type Tx } from "./database";

type Stamp = { of: string; at: string };

/**
 * What a client's records, and all that their practice shares, stand at: another text after every write to any of them.
 * Asked before the records themselves, it may be older than they are, never newer.
 */
export const stampOf = (tx: Tx, clientId: string): Promise<string> =>
  once(tx, `stamp ${clientId}`, async () => {
    const rows = await tx("stamp").whereIn("of", [clientId, tx.practiceId]).select<Stamp[]>("of", "at");
    const at = (of: string) => rows.find((row) => row.of === of)?.at ?? "0";
    return `${at(clientId)}-${at(tx.practiceId)}`;
  });

/**
 * What a practice shares stands at: its people, its library, and how well its hands repeat. Asked along with the client's
 * whose records are asked for, it is no question more.
 */
export async function sharedStamp(tx: Tx, along?: string): Promise<string> {
  if (along) return (await stampOf(tx, along)).split("-")[1]!;
  return (
    (await once(tx, "stamp", () => tx("stamp").where({ of: tx.practiceId }).first<Stamp | undefined>("at")))?.at ?? "0"
  );
}
