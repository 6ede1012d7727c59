import { randomUUID } from "node:crypto";
import { createClient } from "./clients";
import type { Tx } from "./database";
import { NotFound, Stale, Taken } from "./errors";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { amendmentsOf, amendVisit, closeVisit, listVisits, noteLoad, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);

describe("a closed visit that is put right", () => {
  it("keeps every wording with who says so and why; the first stays with the visit", async () => {
    const client = randomUUID();
    await work((tx) => createClient(tx, client, draft));
    await work((tx) => planVisits(tx, client, ["2026-01-05"]));
    const visit = async () => (await work((tx) => listVisits(tx, client)))[0]!;
    const { id: visitId, version } = await visit();
    const say = (note: string, after: string | null, id: string = randomUUID()) =>
      work((tx) => amendVisit(tx, visitId, { id, note, why: "the clock ran on", by: "Una", after })).then(() => id);
    // what is not closed is closed, not put right
    await expect(say("too early", null)).rejects.toThrow(Stale);
    await work((tx) => closeVisit(tx, visitId, version, "67 min at the table.", "2026-01-05"));
    const first = await say("20 min at the table.", null);
    await say("20 min at the table.", null, first);
    await expect(say("something else", null, first)).rejects.toThrow(Taken);
    // made from the first wording, which is not the last any more
    await expect(say("25 min", null)).rejects.toThrow(Stale);
    await say("25 min at the table.", first);
    expect((await work((tx) => amendmentsOf(tx, [visitId]))).map(({ note, by }) => [note, by])).toEqual([
      ["20 min at the table.", "Una"],
      ["25 min at the table.", "Una"],
    ]);
    expect((await visit()).closingNote).toBe("67 min at the table.");
    await expect(work((tx) => tx("visit_amendment").update({ note: "x" }))).rejects.toThrow(/permission denied/);
    const elsewhere = db.within(db.practices[1], (tx) =>
      amendVisit(tx, visitId, { id: randomUUID(), note: "x", why: "because", by: "Them", after: null }),
    );
    await expect(elsewhere).rejects.toThrow(NotFound);
  });

  it("takes of hands what was worked, and stays with who gave it", async () => {
    const client = randomUUID();
    const [giver, closer] = [randomUUID(), randomUUID()];
    await work(async (tx) => {
      for (const id of [giver, closer])
        await tx("practitioner").insert({ id, name: "P", email: `${id}@test.example`, password_hash: "-" });
      await createClient(tx, client, draft);
      await planVisits(
        tx,
        client,
        ["2026-01-05", "2026-01-12"],
        [
          { by: giver, load: { thumb: 90 } },
          { by: null, load: {} },
        ],
      );
    });
    const [one, two] = await work((tx) => listVisits(tx, client));
    for (const visit of [one!, two!]) await work((tx) => noteLoad(tx, visit.id, { thumb: 12 }, closer));
    const rows = await work((tx) => tx("visit").where({ client_id: client }).orderBy("ordinal"));
    expect(rows.map(({ planned_load, given_by }) => [planned_load, given_by])).toEqual([
      [{ thumb: 12 }, giver],
      [{ thumb: 12 }, closer],
    ]);
  });
});
