import { randomUUID } from "node:crypto";
import { createClient, getClient, listClients } from "./clients";
import { restrictionsOf } from "./findings";
import { photoFile, photosOfClient } from "./photos";
import { seriesOf } from "./series";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { getVisit, listVisits, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
}, 60_000);
afterAll(() => db.drop());

describe("practices are walls", () => {
  const mine = randomUUID();
  beforeAll(() =>
    db.within(db.practices[0], async (tx) => {
      await createClient(tx, mine, draft);
      await planVisits(tx, mine, ["2026-01-05", "2026-01-12"]);
    }),
  );

  it("shows another practice nothing, even when a query forgets its filter", async () => {
    await db.within(db.practices[1], async (tx) => {
      expect(await tx("client").select("*")).toEqual([]);
      expect(await tx("visit").select("*")).toEqual([]);
      expect((await tx("practice").select("practice_id")).map((row) => row.practice_id)).toEqual([db.practices[1]]);
      expect(await listClients(tx, "", false)).toEqual([]);
      expect(await listVisits(tx, mine)).toEqual([]);
      expect(await photosOfClient(tx, mine)).toEqual([]);
      expect(await restrictionsOf(tx, mine)).toEqual([]);
      expect(await seriesOf(tx, mine)).toBeUndefined();
    });
  });

  it("answers “not found” for another practice's rows, as for rows that never were", async () => {
    const visit = await db.within(db.practices[0], async (tx) => (await listVisits(tx, mine))[0]!.id);
    await db.within(db.practices[1], async (tx) => {
      await expect(getClient(tx, mine)).rejects.toThrow("client not found");
      await expect(getClient(tx, randomUUID())).rejects.toThrow("client not found");
      await expect(getVisit(tx, visit)).rejects.toThrow("visit not found");
      await expect(photoFile(tx, randomUUID())).rejects.toThrow("photo not found");
    });
  });

  it("returns nothing at all while no practice is set", async () => {
    for (const table of await practiceTables())
      expect({ table, rows: await db.app(table).select("*") }).toEqual({ table, rows: [] });
  });

  it("changes and writes nothing across the wall", async () => {
    await db.within(db.practices[1], async (tx) => {
      expect(await tx("client").update({ name: "taken over" })).toBe(0);
      expect(await tx("client").del()).toBe(0);
    });
    await expect(
      db.within(db.practices[1], (tx) =>
        tx("client").insert({
          id: randomUUID(),
          practice_id: db.practices[0],
          name: "smuggled",
          pressure_ceiling: 5,
        }),
      ),
    ).rejects.toThrow(/row-level security/);
    // a visit of this practice cannot hang on the other practice's client
    await expect(
      db.within(db.practices[1], (tx) =>
        tx("visit").insert({
          id: randomUUID(),
          client_id: mine,
          ordinal: 1,
          on_date: "2026-01-01",
          status: "planned",
        }),
      ),
    ).rejects.toThrow(/foreign key/);
    expect(await db.within(db.practices[0], async (tx) => (await getClient(tx, mine)).name)).toBe("Wilma Test");
  });

  it("forces row-level security on every table, for the owner too, and gives each a practice", async () => {
    const { rows } = await db.owner.raw(
      "select relname, relrowsecurity, relforcerowsecurity from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and relname not like 'knex%'",
    );
    for (const row of rows) expect(row).toMatchObject({ relrowsecurity: true, relforcerowsecurity: true });
    const withPractice = await practiceTables();
    // attempts to sign in belong to nobody yet: they show themselves to their own key only
    expect(
      rows.map((row: { relname: string }) => row.relname).filter((name: string) => !withPractice.includes(name)),
    ).toEqual(["sign_in_attempt"]);
  });

  it("connects as a role that cannot step over the wall", async () => {
    const { rows } = await db.app.raw(
      "select rolsuper, rolbypassrls, rolcreaterole from pg_roles where rolname = current_user",
    );
    expect(rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreaterole: false }]);
    await expect(db.app.raw("alter table client no force row level security")).rejects.toThrow(/owner/);
  });

  async function practiceTables(): Promise<string[]> {
    const { rows } = await db.owner.raw(
      "select table_name from information_schema.columns where table_schema = 'public' and column_name = 'practice_id'",
    );
    return rows.map((row: { table_name: string }) => row.table_name);
  }
});
