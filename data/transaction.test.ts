import { randomUUID } from "node:crypto";
import pg from "pg";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { createClient } from "./clients";
import { bind } from "./database";
import { begin, commit, inTransaction, NotStored, rollBack } from "./transaction";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
  // a constraint that is asked about at COMMIT, and refuses for want of room, as a full disk does
  await db.owner.raw(`
    create function no_room() returns trigger language plpgsql as $$
    begin raise exception 'no room' using errcode = '53100'; end $$;
    create constraint trigger refuse after insert on client deferrable initially deferred
      for each row when (new.occupation = 'refused at commit') execute function no_room();
  `);
});
afterAll(() => db.drop());

const practice = () => db.practices[0];
const add = async (occupation: string, inside: (id: string) => Promise<unknown> = () => Promise.resolve()) => {
  const id = randomUUID();
  const trx = await begin(db.app);
  const tx = await bind(trx, practice());
  await createClient(tx, id, { ...draft, occupation });
  await inside(id);
  return { trx, tx, id };
};
const isThere = async (id: string) =>
  Boolean(await db.within(practice(), (tx) => tx("client").where({ id }).first("id")));

describe("ending a transaction", () => {
  it("says stored only after COMMIT", async () => {
    const { trx, id } = await add("weaver");
    await commit(trx);
    expect(await isThere(id)).toBe(true);
  });

  it("throws what the server said where COMMIT is refused", async () => {
    const { trx, id } = await add("refused at commit");
    await expect(commit(trx)).rejects.toMatchObject({ code: "53100" });
    expect(await isThere(id)).toBe(false);
    const whole = inTransaction(db.app, async (inner) => {
      await createClient(await bind(inner, practice()), id, { ...draft, occupation: "refused at commit" });
      return "stored";
    });
    await expect(whole).rejects.toMatchObject({ code: "53100" });
    expect(await isThere(id)).toBe(false);
  });

  it("throws where a statement had failed and nobody said so: the server takes everything back without a fault", async () => {
    const { trx, tx, id } = await add("weaver");
    await expect(tx.raw("select 1 / 0")).rejects.toThrow();
    await expect(commit(trx)).rejects.toThrow(NotStored);
    expect(await isThere(id)).toBe(false);
  });

  it("throws where the transaction is over already, and where its connection is gone", async () => {
    const done = await add("weaver");
    await rollBack(done.trx);
    await expect(commit(done.trx)).rejects.toThrow(NotStored);
    const twice = await add("weaver");
    await commit(twice.trx);
    await expect(commit(twice.trx)).rejects.toThrow(NotStored);

    const cut = await add("weaver");
    const { rows } = (await cut.tx.raw("select pg_backend_pid() as pid")) as { rows: { pid: number }[] };
    const { super: url } = JSON.parse(process.env.EMBER_TEST_CLUSTER!) as { super: string };
    const admin = new pg.Client(url);
    await admin.connect();
    await admin.query("select pg_terminate_backend($1)", [rows[0]!.pid]).finally(() => admin.end());
    await expect(commit(cut.trx)).rejects.toThrow();
    for (const { id } of [done, cut]) expect(await isThere(id)).toBe(false);
  });

  it("gives every connection back, however it ended", async () => {
    const pool = (db.app.client as { pool: { numUsed: () => number } }).pool;
    expect(pool.numUsed()).toBe(0);
  });
});
