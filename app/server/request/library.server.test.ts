import { definitionOf } from "~core/techniques/definition";
import { libraryInUse, startingLibrary, techniqueOf } from "~core/techniques/library";
import type { Tx } from "~data/database";
import { Stale } from "~data/errors";
import { addVersions, libraryStamp, libraryVersions } from "~data/library";
import { makeDatabase, type TestDatabase } from "~data/test/database";
import { bringLibrary, decide, withLibrary } from "./library.server";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());

const [mine, theirs] = [0, 1] as const;
const work = <T>(practice: 0 | 1, task: (tx: Tx) => Promise<T>) =>
  withLibrary(() =>
    db.within(db.practices[practice], async (tx) => {
      await bringLibrary(tx, await libraryStamp(tx));
      return task(tx);
    }),
  );
const own = (stem: string, pressure = 4) => ({
  stem,
  definition: { ...definitionOf(techniqueOf("ham-iron")), key: stem, name: stem, pressure },
});

describe("a practice's library on the server", () => {
  it("is its own: another practice, and whoever has not signed in, knows nothing of it", async () => {
    const key = await work(mine, async (tx) => {
      await decide(tx, "technique", [own("kiln-sweep"), own("long-glide")], { stamp: null }, "Una");
      expect(libraryInUse().offered.some(({ stem }) => stem === "kiln-sweep")).toBe(true);
      return libraryInUse().current("kiln-sweep")!.key;
    });
    await work(theirs, async (tx) => {
      expect(libraryInUse()).toBe(startingLibrary);
      expect(() => techniqueOf(key)).toThrow(/not in the catalogue/);
      expect(await libraryVersions(tx)).toEqual([]);
      expect(await libraryStamp(tx)).toBeNull();
    });
    expect(libraryInUse()).toBe(startingLibrary);
    await work(mine, () => Promise.resolve(expect(techniqueOf(key).name).toBe("kiln-sweep")));
  });

  it("serves both at once, each its own", async () => {
    await work(theirs, (tx) => decide(tx, "technique", [own("their-roll")], { stamp: null }, "Ulf"));
    const seen = await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        work((i % 2) as 0 | 1, async (tx) => {
          await tx.raw("select pg_sleep(0.01)");
          return libraryInUse()
            .offered.filter(({ key, stem }) => key !== stem)
            .map(({ stem }) => stem);
        }),
      ),
    );
    for (const [i, stems] of seen.entries())
      expect(stems).toEqual(i % 2 === 0 ? ["long-glide", "kiln-sweep"] : ["their-roll"]);
  });

  it("keeps every version with who made it, and the key of each for ever", async () => {
    const before = await work(mine, () => Promise.resolve(libraryInUse().current("kiln-sweep")!.key));
    await work(mine, async (tx) => {
      await decide(tx, "technique", [own("kiln-sweep", 2)], { number: 1 }, "Odile");
      const versions = (await libraryVersions(tx)).filter(({ stem }) => stem === "kiln-sweep");
      expect(versions.map(({ number, by, retired }) => [number, by, retired])).toEqual([
        [1, "Una", false],
        [2, "Odile", false],
      ]);
      expect(techniqueOf(before).pressure).toBe(4);
      expect(libraryInUse().current("kiln-sweep")).toMatchObject({ pressure: 2 });
    });
  });

  it("keeps nothing of what was decided by an older state: of the stem, or of the whole", async () => {
    const stamp = await work(mine, (tx) => libraryStamp(tx));
    await work(mine, (tx) => decide(tx, "technique", [own("kiln-roll")], { number: 0 }, "Una"));
    await expect(
      work(mine, (tx) => decide(tx, "technique", [own("kiln-roll", 1)], { number: 0 }, "Ulf")),
    ).rejects.toThrow(Stale);
    await expect(
      work(mine, (tx) => decide(tx, "technique", [own("kiln-a"), own("kiln-b")], { stamp }, "Ulf")),
    ).rejects.toThrow(Stale);
    await work(mine, (tx) => {
      expect(libraryInUse().current("kiln-a")).toBeUndefined();
      expect(libraryInUse().current("kiln-roll")!.pressure).toBe(4);
      return libraryVersions(tx);
    });
  });

  it("puts what two decide at once one after the other, and shows the second to everyone", async () => {
    await Promise.all(
      ["kiln-x", "kiln-y", "kiln-z"].map((stem) =>
        work(mine, (tx) => addVersions(tx, "technique", [own(stem)], { number: 0 }, "Una")),
      ),
    );
    await work(mine, () => {
      for (const stem of ["kiln-x", "kiln-y", "kiln-z"]) expect(libraryInUse().current(stem)).toBeDefined();
      return Promise.resolve();
    });
  });

  it("is never rewritten", async () => {
    await expect(work(mine, (tx) => tx("library_version").update({ recorded_by: "Nobody" }))).rejects.toThrow(
      /permission denied/,
    );
    await expect(work(mine, (tx) => tx("library_version").del())).rejects.toThrow(/permission denied/);
  });
});
