import { randomUUID } from "node:crypto";
import { createClient } from "./clients";
import { goesWithParent, grants } from "./migrations/grants";
import { appendEvents } from "./session-events";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { listVisits, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());

const only = "select, insert";

describe("what the application's role may do", () => {
  it("is what is written down for each table, read from the catalogue, and nothing with any other", async () => {
    const { rows } = await db.owner.raw(
      `select c.relname as name, coalesce(string_agg(distinct lower(a.privilege_type), ', '), '') as may
       from pg_class c
       left join lateral aclexplode(c.relacl) a on a.grantee in (0, 'ember_app'::regrole)
       where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p', 'v', 'm')
       group by c.relname`,
    );
    const sorted = (list: string) => list.split(", ").filter(Boolean).sort();
    for (const { name, may } of rows as { name: string; may: string }[])
      expect({ name, may: sorted(may) }).toEqual({ name, may: sorted(grants[name] ?? "") });
    expect(rows.length).toBeGreaterThan(Object.keys(grants).length);
    await expect(db.app("knex_migrations").select()).rejects.toThrow(/permission denied/);
    await expect(db.app("knex_migrations_lock").update({ is_locked: 1 })).rejects.toThrow(/permission denied/);
  });

  it("cannot be stepped around by a cascade: no reference takes rows along or empties them, but where it is meant to", async () => {
    const { rows } = await db.owner.raw(
      `select conrelid::regclass::text as tab, confrelid::regclass::text as parent, confdeltype as way, confupdtype as upd
       from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace`,
    );
    for (const { tab, parent, way, upd } of rows as Record<string, string>[]) {
      expect({ tab, upd }).toEqual({ tab, upd: "a" });
      // practices are not deleted by the application at all
      if (parent !== "practice" && !goesWithParent.includes(tab!))
        expect({ tab, parent, way }).toMatchObject({ way: "a" });
    }
    expect(grants.practice).toBe(only);
  });

  it("leaves facts where they are, whatever is tried", async () => {
    const id = randomUUID();
    const event = { id: randomUUID(), at: "2026-11-24T10:00:00.000Z", kind: "paused" as const, body: {} };
    const visit = await db.within(db.practices[0], async (tx) => {
      await createClient(tx, id, draft);
      await planVisits(tx, id, ["2026-01-05"]);
      const [first] = await listVisits(tx, id);
      await appendEvents(tx, first!.id, [event]);
      return first!.id;
    });
    const tries: [string, RegExp][] = [
      [`delete from client where id = '${id}'`, /permission denied/],
      [`delete from visit where id = '${visit}'`, /foreign key/],
      [`delete from session_event`, /permission denied/],
      [`update session_event set body = '{}'`, /permission denied/],
      [`truncate session_event cascade`, /permission denied/],
      [`truncate visit cascade`, /permission denied/],
      [`delete from practice`, /permission denied/],
      [`delete from practitioner`, /permission denied/],
      [`alter table session_event disable trigger all`, /owner/],
      [`drop table session_event`, /owner/],
      [`create table mine (id int)`, /permission denied/],
      [
        `insert into session_event (id, visit_id, at, kind, body) values ('${event.id}', '${visit}', now(), 'next', '{}')
        on conflict (practice_id, id) do update set body = '{}'`,
        /permission denied/,
      ],
      [`update visit set practice_id = '${db.practices[1]}'`, /row-level security/],
    ];
    for (const [sql, refusal] of tries)
      await expect(db.within(db.practices[0], (tx) => tx.raw(sql))).rejects.toThrow(refusal);
    expect(await db.within(db.practices[0], (tx) => tx("session_event").where({ visit_id: visit }))).toHaveLength(1);
  });
});
