import { randomUUID } from "node:crypto";
import type { HistoryEntry } from "../core/screening/facts";
import { addOnce } from "./add-once";
import type { Tx } from "./database";
import { NotFound, Stale } from "./errors";

export type HistoryAct = "told" | "changed" | "ended" | "reopened" | "struck";
export type EntryBody = Omit<HistoryEntry, "id" | "at">;
export type HistoryVersion = EntryBody & {
  /** Of this wording. */
  versionId: string;
  entryId: string;
  act: HistoryAct;
  why: string;
  by: string;
  at: string;
};

/** Every wording of every entry, oldest first. */
export async function historyVersions(tx: Tx, clientId: string): Promise<HistoryVersion[]> {
  const rows = await tx("history_version").where({ client_id: clientId }).orderBy("seq");
  return rows.map((row) => ({
    ...(row.body as EntryBody),
    versionId: row.id,
    entryId: row.entry_id,
    act: row.act,
    why: row.why,
    by: row.recorded_by,
    at: (row.created_at as Date).toISOString(),
  }));
}

/** Entries as they stand: each one's latest wording, those struck out left out. `changes` counts the wordings. */
export function currentEntries(
  versions: readonly HistoryVersion[],
): (HistoryEntry & { versionId: string; changes: number })[] {
  const entries = new Map<string, HistoryVersion[]>();
  for (const version of versions) entries.set(version.entryId, [...(entries.get(version.entryId) ?? []), version]);
  return [...entries.values()].flatMap((list) => {
    const { entryId, act, why, by, ...rest } = list.at(-1)!;
    return act === "struck" ? [] : [{ ...rest, id: entryId, changes: list.length - 1 }];
  });
}

/**
 * Records a new wording of an entry. `after` is the wording it was made from (null for a new entry): if another one
 * came meanwhile, nothing is recorded. The same `versionId` twice is recorded once, and says `Taken` where it says something else.
 */
export async function recordHistory(
  tx: Tx,
  clientId: string,
  change: {
    entryId: string;
    versionId?: string;
    after: string | null;
    act: HistoryAct;
    body: EntryBody;
    why: string;
    by: string;
  },
): Promise<void> {
  await tx.raw("select pg_advisory_xact_lock(hashtextextended(?, 2))", [clientId]);
  const versionId = change.versionId ?? randomUUID();
  const row = {
    entry_id: change.entryId,
    client_id: clientId,
    act: change.act,
    body: JSON.stringify(change.body),
    why: change.why,
    recorded_by: change.by,
  };
  const record = () => addOnce(tx, "this entry", "history_version", { id: versionId }, row);
  if (await tx("history_version").where({ id: versionId }).first("id")) return void (await record());
  const latest = await tx("history_version")
    .where({ client_id: clientId, entry_id: change.entryId })
    .orderBy("seq", "desc")
    .first<{ id: string } | undefined>("id");
  if (change.after !== null && !latest) throw new NotFound("history entry");
  if ((latest?.id ?? null) !== change.after) throw new Stale("history entry");
  await record();
}
