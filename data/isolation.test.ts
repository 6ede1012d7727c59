import { randomUUID } from "node:crypto";
import { createClient, getClient, listClients } from "./clients";
import { usualPreferences } from "../core/screening/facts";
import { entryOf } from "../core/test/facts";
import { consentsOf, recordConsent } from "./consents";
import { restrictionsOf } from "./findings";
import { historyVersions, recordHistory } from "./history";
import { measurementsOf, saveMeasurement } from "./measurements";
import { ownMeasuresOf, addOwnMeasure, saveOwnScore, saveOwnWords } from "./own-measures";
import { preferencesOf, savePreferences } from "./preferences";
import { answersOf, decisionsOf, recordAnswer, recordDecision } from "./screening";
import { photoFile, photosOfClient } from "./photos";
import { seriesOf } from "./series";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { getVisit, listVisits, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());

describe("practices are walls", () => {
  const mine = randomUUID();
  beforeAll(() =>
    db.within(db.practices[0], async (tx) => {
      await createClient(tx, mine, draft);
      await planVisits(tx, mine, ["2026-01-05", "2026-01-12"]);
      const [visit] = await listVisits(tx, mine);
      const by = "Una Test";
      const [entryId, visitId] = [randomUUID(), visit!.id];
      const entry = entryOf("osteoporosis");
      await recordHistory(tx, mine, { entryId, after: null, act: "told", body: entry, why: "", by });
      await recordAnswer(tx, mine, { id: randomUUID(), visitId, question: "hot-calf", answer: "yes", by });
      const given = { id: randomUUID(), outcomeKey: "answer hot-calf", kind: "clearance" as const, who: "Dr A" };
      await recordDecision(tx, mine, { ...given, on: "2026-01-05", what: "scan clear", by });
      const said = { id: randomUUID(), subject: "general" as const, visitId, given: true, textVersion: "1", text: "x" };
      await recordConsent(tx, mine, { ...said, signedBy: "Wilma", signature: null, by });
      await savePreferences(tx, mine, 0, { ...usualPreferences, pauseWord: "harbour" });
      const measureId = randomUUID();
      await addOwnMeasure(tx, mine, { id: measureId, kind: "pain", name: "neck" });
      await saveOwnScore(tx, mine, measureId, visitId, 6);
      await saveOwnWords(tx, visitId, "better since Monday");
      const hand = {
        moment: "before" as const,
        readingId: "head-tilt.front",
        method: "inclinometer" as const,
        value: 3,
      };
      await saveMeasurement(tx, visitId, hand);
    }),
  );

  it("shows another practice nothing, even when a query forgets its filter", async () => {
    await db.within(db.practices[1], async (tx) => {
      expect(await tx("client").select("*")).toEqual([]);
      expect(await tx("visit").select("*")).toEqual([]);
      expect((await tx("practice").select("practice_id")).map((row) => row.practice_id)).toEqual([db.practices[1]]);
      expect((await listClients(tx)).clients).toEqual([]);
      expect(await listVisits(tx, mine)).toEqual([]);
      expect(await photosOfClient(tx, mine)).toEqual([]);
      expect(await restrictionsOf(tx, mine)).toEqual([]);
      expect(await seriesOf(tx, mine)).toBeUndefined();
      expect(await historyVersions(tx, mine)).toEqual([]);
      expect(await answersOf(tx, mine)).toEqual([]);
      expect(await decisionsOf(tx, mine)).toEqual([]);
      expect(await consentsOf(tx, mine)).toEqual([]);
      expect(await preferencesOf(tx, mine)).toEqual({ ...usualPreferences, version: 0 });
      expect(await ownMeasuresOf(tx, mine)).toEqual({ measures: [], scores: [], words: [] });
      expect(await measurementsOf(tx, mine)).toEqual([]);
    });
  });

  it("answers “not found” for another practice's rows, as for rows that never were", async () => {
    const visit = await db.within(db.practices[0], async (tx) => (await listVisits(tx, mine))[0]!.id);
    await db.within(db.practices[1], async (tx) => {
      await expect(getClient(tx, mine)).rejects.toThrow("client not found");
      await expect(getClient(tx, randomUUID())).rejects.toThrow("client not found");
      await expect(getVisit(tx, visit)).rejects.toThrow("visit not found");
      await expect(photoFile(tx, mine, randomUUID())).rejects.toThrow("photo not found");
    });
  });

  it("returns nothing at all while no practice is set", async () => {
    for (const table of await practiceTables())
      expect({ table, rows: await db.app(table).select("*") }).toEqual({ table, rows: [] });
  });

  it("changes and writes nothing across the wall", async () => {
    await db.within(db.practices[1], async (tx) => {
      expect(await tx("client").update({ name: "taken over" })).toBe(0);
      expect(await tx("visit").del()).toBe(0);
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
