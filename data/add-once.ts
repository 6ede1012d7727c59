import { isDeepStrictEqual } from "node:util";
import type { Tx } from "./database";
import { Taken } from "./errors";

type Row = Record<string, unknown>;

/** A value as it was sent and as it came back from the database, made alike: JSON as a value, moments in ms. */
function alike(stored: unknown, sent: unknown): boolean {
  if (stored instanceof Date) return stored.getTime() === new Date(String(sent)).getTime();
  if (typeof stored === "object" && stored !== null && typeof sent === "string")
    return isDeepStrictEqual(stored, JSON.parse(sent));
  if (typeof sent === "number" && typeof stored === "string") return Number(stored) === sent;
  return isDeepStrictEqual(stored ?? null, sent ?? null);
}

/**
 * Adds a row under a key that its sender made: the same sent twice is stored once; another content under a key that is there
 * already is refused with `Taken`, and nothing is stored. Values that are JSON columns are given as text. Whether it was new.
 */
export async function addOnce(tx: Tx, what: string, table: string, key: Row, values: Row): Promise<boolean> {
  const names = Object.keys(key);
  const added = await tx(table)
    .insert({ ...key, ...values })
    .onConflict(["practice_id", ...names])
    .ignore()
    .returning(names[0]!);
  if (added.length > 0) return true;
  const stored = await tx(table).where(key).first<Row | undefined>(Object.keys(values));
  for (const [column, value] of Object.entries(values))
    if (!stored || !alike(stored[column], value)) throw new Taken(what);
  return false;
}
