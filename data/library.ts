import { randomBytes } from "node:crypto";
import type { Tx } from "./database";
import { Stale } from "./errors";

export type LibraryKind = "technique" | "template";

/** A version as it is kept: what was decided, when and by whom. `definition` null: that of the starting library. */
export type LibraryVersion<Definition = unknown> = {
  kind: LibraryKind;
  stem: string;
  number: number;
  key: string;
  definition: Definition | null;
  retired: boolean;
  by: string;
  at: string;
};

/** Grows with every version that is added; null while there is none. */
export async function libraryStamp(tx: Tx): Promise<string | null> {
  const [row] = await tx("library_version").max<{ max: string | null }[]>("seq");
  return row?.max ?? null;
}

/** Everything a practice decided, oldest first. */
export async function libraryVersions(tx: Tx): Promise<LibraryVersion[]> {
  const rows = await tx("library_version").orderBy("seq");
  return rows.map(({ kind, stem, number, key, definition, retired, recorded_by: by, created_at: at }) => ({
    kind,
    stem,
    number,
    key,
    definition,
    retired,
    by,
    at: (at as Date).toISOString(),
  }));
}

/** What is decided about one stem: a new definition, or its key and whether it is out of use. */
export type Decided = { stem: string } & (
  { definition: object } | { key: string; retired: boolean; definition: null | object }
);

/** Names a version for ever; nobody else's can be the same. */
const newKey = (stem: string) => `${stem}~${randomBytes(6).toString("hex")}`;

/** By what something was decided: the whole library as its stamp says, or the last version of the stem (0: none). */
export type Seen = { stamp: string | null } | { number: number };

/**
 * Adds versions, all of them or none. If anything was added meanwhile to what they were decided by, nothing is kept and
 * Stale is thrown. One at a time within a practice, so that stamps are seen in the order in which they were given.
 */
export async function addVersions(
  tx: Tx,
  kind: LibraryKind,
  decided: readonly Decided[],
  seen: Seen,
  by: string,
): Promise<void> {
  await tx.raw("select pg_advisory_xact_lock(hashtextextended(?, 0))", [`library ${tx.practiceId}`]);
  const rows = await tx("library_version")
    .where({ kind })
    .groupBy("stem")
    .select<{ stem: string; last: number }[]>("stem", tx.raw("max(number)::int as last"));
  const last = new Map(rows.map((row) => [row.stem, row.last]));
  const fresh =
    "stamp" in seen
      ? (await libraryStamp(tx)) === seen.stamp
      : decided.every(({ stem }) => (last.get(stem) ?? 0) === seen.number);
  if (!fresh) throw new Stale("the library");
  const values = decided.map((each) => {
    const number = (last.get(each.stem) ?? 0) + 1;
    last.set(each.stem, number);
    return {
      kind,
      stem: each.stem,
      number,
      key: "key" in each ? each.key : newKey(each.stem),
      definition: each.definition && JSON.stringify(each.definition),
      retired: "key" in each && each.retired,
      recorded_by: by,
    };
  });
  if (values.length > 0) await tx.batchInsert("library_version", values, 500);
}
