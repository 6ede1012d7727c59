import { usualPreferences } from "../core/screening/facts";
import { randomUUID } from "node:crypto";
import { createClient } from "./clients";
import type { Tx } from "./database";
import { saveMeasurement } from "./measurements";
import { stamped, unstamped } from "./migrations/022-stamps";
import { alsoStamped } from "./migrations/024-jobs";
import { amendmentsStamped } from "./migrations/026-amendments";
import { dropStamped } from "./migrations/027-navicular-drop";
import { savePreferences } from "./preferences";
import { saveSettings } from "./practitioners";
import { appendEvents } from "./session-events";
import { sharedStamp, stampOf } from "./stamps";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { listVisits, planVisits } from "./visits";

let db: TestDatabase;
const me = randomUUID();
beforeAll(async () => {
  db = await makeDatabase();
  await work((tx) => tx("practitioner").insert({ id: me, name: "M", email: "m@test.example", password_hash: "x" }));
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
async function newClient() {
  const id = randomUUID();
  await work(async (tx) => {
    await createClient(tx, id, draft);
    await planVisits(tx, id, ["2026-01-05", "2026-01-12"]);
  });
  const [first] = await work((tx) => listVisits(tx, id));
  return { id, visit: first!.id };
}
/** Whether a write changes the stamp of a client, and what the practice shares. */
async function changes(client: string, write: (tx: Tx) => Promise<unknown>) {
  const stand = () => work(async (tx) => [await stampOf(tx, client), await sharedStamp(tx)] as const);
  const before = await stand();
  await work(write);
  const after = await stand();
  return { own: before[0] !== after[0], shared: before[1] !== after[1] };
}

describe("the stamp of a client's records", () => {
  it("is moved by every table there is, but those that no page is computed from", async () => {
    const { rows } = await db.owner.raw(
      `select c.relname as name, array_agg(distinct t.tgtype::int) filter (where t.tgname like '%_stamp_%') as events
       from pg_class c left join pg_trigger t on t.tgrelid = c.oid
       where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' and c.relname not like 'knex%' group by 1`,
    );
    // after each statement: insert, delete, update (PostgreSQL, pg_trigger.tgtype)
    for (const { name, events } of rows as { name: string; events: number[] | null }[])
      expect({ name, events: events?.sort((a, b) => a - b) ?? null }).toEqual({
        name,
        events: unstamped.includes(name) ? null : [4, 8, 16],
      });
    expect(
      Object.keys({ ...stamped, ...alsoStamped, ...amendmentsStamped, ...dropStamped }).length + unstamped.length,
    ).toBe(rows.length);
  });

  it("changes with what is written about the client, directly or of a visit, and with nothing about others", async () => {
    const [one, other] = [await newClient(), await newClient()];
    const wishes = { ...usualPreferences, pauseWord: "amber" };
    const event = () => ({ id: randomUUID(), at: "2026-11-24T10:00:00.000Z", kind: "paused" as const, body: {} });
    expect(await changes(one.id, (tx) => savePreferences(tx, one.id, 0, wishes))).toEqual({ own: true, shared: false });
    expect(await changes(one.id, (tx) => appendEvents(tx, one.visit, [event()]))).toEqual({ own: true, shared: false });
    expect(await changes(one.id, (tx) => appendEvents(tx, other.visit, [event()]))).toEqual({
      own: false,
      shared: false,
    });
    expect(await changes(one.id, (tx) => tx("visit").where({ id: one.visit }).update({ closing_note: "x" }))).toEqual({
      own: true,
      shared: false,
    });
    expect(await changes(one.id, (tx) => planVisits(tx, one.id, ["2026-01-05"]))).toEqual({ own: true, shared: false });
    expect(await changes(one.id, (tx) => tx("visit").where({ id: one.visit }).select())).toEqual({
      own: false,
      shared: false,
    });
  });

  it("changes for everybody with what the practice shares: people, and values taken twice", async () => {
    const [one, other] = [await newClient(), await newClient()];
    expect(await changes(one.id, (tx) => saveSettings(tx, me, { dim: true }))).toEqual({ own: true, shared: true });
    const take = (standing: number, value: number | null) => (tx: Tx) =>
      saveMeasurement(
        tx,
        other.visit,
        { moment: "before", readingId: "head-tilt.front", method: "inclinometer", standing, value },
        undefined,
        me,
      );
    expect(await changes(one.id, take(1, 3))).toEqual({ own: false, shared: false });
    expect((await changes(one.id, take(2, 5))).shared).toBe(true);
    // the first of two, too
    expect((await changes(one.id, take(1, 4))).shared).toBe(true);
    expect((await changes(one.id, take(2, null))).shared).toBe(true);
  });

  it("never comes again, not even where what was written was taken back", async () => {
    const { id, visit } = await newClient();
    const before = await work((tx) => stampOf(tx, id));
    const seen: string[] = [];
    const within = async (tx: Tx) => {
      await tx("visit").where({ id: visit }).update({ closing_note: "not this" });
      seen.push(await stampOf(tx, id));
      throw new Error("taken back");
    };
    await expect(work(within)).rejects.toThrow("taken back");
    expect(await work((tx) => stampOf(tx, id))).toBe(before);
    await work((tx) => tx("visit").where({ id: visit }).update({ closing_note: "this" }));
    seen.push(await work((tx) => stampOf(tx, id)), before);
    expect(new Set(seen).size).toBe(3);
  });
});
