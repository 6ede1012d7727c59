import { isDeepStrictEqual } from "node:util";
import type { Tx } from "./database";
import { Overtaken } from "./errors";

type Row = Record<string, unknown>;

/**
 * Keeps `next` where `was` stood (null: nothing): compare and set, by value. If something else stands there meanwhile,
 * nothing is written and Overtaken says what it is (the value itself where there is one column); if `next` stands there already (a double click, a second try), it is
 * done. `was` undefined replaces whatever is there: for one's own record of which there is no other view.
 */
export async function compareAndSet<T extends Row>(
  tx: Tx,
  what: string,
  table: string,
  key: Row,
  was: T | null | undefined,
  next: T | null,
): Promise<void> {
  const columns = Object.keys(next ?? was ?? {});
  const read = async (): Promise<T | null> => {
    const row = await tx(table)
      .where(key)
      .forUpdate()
      .first<T | undefined>(columns.length > 0 ? columns : Object.keys(key));
    return row ?? null;
  };
  const overtaken = (row: T | null) => new Overtaken(what, columns.length === 1 ? (row?.[columns[0]!] ?? null) : row);
  const now = await read();
  if (isDeepStrictEqual(now, next)) return;
  if (was !== undefined && !isDeepStrictEqual(now, was)) throw overtaken(now);
  if (next === null) await tx(table).where(key).del();
  else if (now) await tx(table).where(key).update(next);
  else {
    const added = await tx(table)
      .insert({ ...key, ...next })
      .onConflict()
      .ignore()
      .returning(Object.keys(key)[0]!);
    if (added.length > 0) return;
    // somebody was quicker by a moment
    const first = await read();
    if (!isDeepStrictEqual(first, next)) throw overtaken(first);
  }
}
