import type { Shelf } from "~core/shelf";
import { decide } from "~app/server/request/library.server";
import type { Tx } from "~data/database";
import { NotFound } from "~data/errors";
import { libraryVersions, type LibraryKind } from "~data/library";

type Keyed = { key: string; stem: string };

/** How something of the library stands in the practice now, or stood when it was retired; `number`: of its last version, 0 for none. */
export function standingIn<T extends Keyed, D>(
  { versions, find }: Shelf<T, D>,
  stem: string,
): { item: T; retired: boolean; number: number } {
  const last = versions.findLast((version) => version.stem === stem);
  const item = find(last?.key ?? stem);
  // a version's own key is no stem
  if (item?.stem !== stem) throw new NotFound("this in the library");
  return { item, retired: last?.retired ?? false, number: last?.number ?? 0 };
}

/** What was decided about it, the latest first: what kind of decision, by whom, when, and what it changed. */
export async function historyIn<T extends Keyed, D>(
  tx: Tx,
  kind: LibraryKind,
  shelf: Shelf<T, D>,
  stem: string,
  differences: (from: T, to: T) => string[],
) {
  const starting = shelf.find(stem);
  const kept = (await libraryVersions(tx)).filter((each) => each.kind === kind && each.stem === stem);
  return kept
    .map(({ number, key, retired, by, at }, i) => {
      const before = i > 0 ? shelf.find(kept[i - 1]!.key) : starting;
      const what = retired
        ? "retired"
        : kept[i - 1]?.retired
          ? "taken back"
          : key === stem
            ? "as it started"
            : before
              ? "changed"
              : "added";
      return { number, by, at, what, differences: before ? differences(before, shelf.find(key)!) : [] };
    })
    .reverse();
}

/** Takes something out of use or back into it, or as it was at the start; undefined for what is neither. What is so already stays. */
export async function decideUse<T extends Keyed, D extends object>(
  tx: Tx,
  kind: LibraryKind,
  shelf: Shelf<T, D>,
  stem: string,
  intent: unknown,
  definitionOf: (item: T) => D,
  seen: { number: number },
  by: string,
): Promise<{ ok: true } | undefined> {
  const { item, retired, number } = standingIn(shelf, stem);
  if (intent === "retire" || intent === "take-back") {
    const wanted = intent === "retire";
    const definition = item.key === stem ? null : definitionOf(item);
    if (retired !== wanted)
      await decide(tx, kind, [{ stem, key: item.key, definition, retired: wanted }], { number }, by);
    return { ok: true };
  }
  if (intent === "as-started" && shelf.find(stem)) {
    if (item.key !== stem) await decide(tx, kind, [{ stem, key: stem, definition: null, retired: false }], seen, by);
    return { ok: true };
  }
  return undefined;
}
