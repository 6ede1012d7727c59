import type { Tx } from "./database";
import { NotFound, Stale } from "./errors";

type Row = Record<string, unknown>;

/**
 * Changes a row that still stands as it was seen (`version`). Where somebody changed it meanwhile nothing is written and Stale
 * is thrown, unless it is as wanted already (`done`): a double click, or two who did the same.
 */
export async function changeSeen(
  tx: Tx,
  what: string,
  table: string,
  key: Row,
  version: number,
  done: (now: Row) => boolean,
  next: Row,
): Promise<void> {
  const now = await tx(table).where(key).forUpdate().first<(Row & { version: number }) | undefined>();
  if (!now) throw new NotFound(what);
  if (done(now)) return;
  if (now.version !== version) throw new Stale(what);
  await tx(table).where(key).update(next);
}
