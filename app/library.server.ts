import { AsyncLocalStorage } from "node:async_hooks";
import { libraryOf, shelve, startingLibrary, type Library, type Version } from "~core/techniques/library";
import { PracticeCache } from "~app/practice-cache.server";
import type { Tx } from "~data/database";
import { addVersions, libraryStamp, libraryVersions, type Decided, type Seen } from "~data/library";

/** The library of the practice that asks: one for each request, everything it loads and renders included. */
const asking = new AsyncLocalStorage<{ library: Library }>();
shelve(() => asking.getStore()?.library ?? startingLibrary);

export const withLibrary = <T>(work: () => T): T => asking.run({ library: startingLibrary }, work);

const kept = new PracticeCache<{ stamp: string; library: Library }>(500);

/** Puts the practice's library in use for the rest of the request; `stamp` says which state of it stands now. */
export async function bringLibrary(tx: Tx, stamp: string | null): Promise<void> {
  const store = asking.getStore();
  if (!store) return;
  if (stamp === null) {
    store.library = startingLibrary;
    return;
  }
  const { library } = await kept.of(
    tx,
    "library",
    async () => {
      const versions = await libraryVersions(tx);
      const techniques = versions
        .filter(({ kind }) => kind === "technique")
        .map(({ stem, number, key, definition, retired }) => ({ stem, number, key, definition, retired }) as Version);
      return { stamp, library: libraryOf(techniques) };
    },
    (known) => known.stamp === stamp,
  );
  store.library = library;
}

/** Adds versions of techniques, and puts them in use for the rest of the request. */
export async function decide(tx: Tx, decided: readonly Decided[], seen: Seen, by: string): Promise<void> {
  await addVersions(tx, "technique", decided, seen, by);
  await bringLibrary(tx, await libraryStamp(tx));
}
