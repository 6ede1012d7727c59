import { AsyncLocalStorage } from "node:async_hooks";
import {
  shelveTemplates,
  startingTemplates,
  templateShelfOf,
  type TemplateShelf,
  type TemplateVersion,
} from "~core/series/template";
import { libraryOf, shelve, startingLibrary, type Library, type Version } from "~core/techniques/library";
import { PracticeCache } from "~app/server/practice-cache.server";
import type { Tx } from "~data/database";
import {
  addVersions,
  libraryStamp,
  libraryVersions,
  type Decided,
  type LibraryKind,
  type LibraryVersion,
  type Seen,
} from "~data/library";

type Shelves = { library: Library; templates: TemplateShelf };
const starting: Shelves = { library: startingLibrary, templates: startingTemplates };

/** The library of the practice that asks: one for each request, everything it loads and renders included. */
const asking = new AsyncLocalStorage<{ shelves: Shelves }>();
shelve(() => asking.getStore()?.shelves.library ?? startingLibrary);
shelveTemplates(() => asking.getStore()?.shelves.templates ?? startingTemplates);

export const withLibrary = <T>(work: () => T): T => asking.run({ shelves: starting }, work);

const kept = new PracticeCache<{ stamp: string; shelves: Shelves }>(500);

/** Who decided it and when is for its own page. */
const bare = (versions: readonly LibraryVersion[], wanted: LibraryKind) =>
  versions
    .filter(({ kind }) => kind === wanted)
    .map(({ stem, number, key, definition, retired }) => ({ stem, number, key, definition, retired }));

/** Puts the practice's library in use for the rest of the request; `stamp` says which state of it stands now. */
export async function bringLibrary(tx: Tx, stamp: string | null): Promise<void> {
  const store = asking.getStore();
  if (!store) return;
  if (stamp === null) {
    store.shelves = starting;
    return;
  }
  const { shelves } = await kept.of(
    tx,
    "library",
    async () => {
      const versions = await libraryVersions(tx);
      return {
        stamp,
        shelves: {
          library: libraryOf(bare(versions, "technique") as Version[]),
          templates: templateShelfOf(bare(versions, "template") as TemplateVersion[]),
        },
      };
    },
    (known) => known.stamp === stamp,
  );
  store.shelves = shelves;
}

/** Adds versions, and puts them in use for the rest of the request. */
export async function decide(
  tx: Tx,
  kind: LibraryKind,
  decided: readonly Decided[],
  seen: Seen,
  by: string,
): Promise<void> {
  await addVersions(tx, kind, decided, seen, by);
  await bringLibrary(tx, await libraryStamp(tx));
}
