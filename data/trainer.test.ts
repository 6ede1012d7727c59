import { randomUUID } from "node:crypto";
import type { Tx } from "./database";
import { makeDatabase, type TestDatabase } from "./test/database";
import { deleteRound, keepRound, roundsOf } from "./trainer";

let db: TestDatabase;
const [me, other] = [randomUUID(), randomUUID()];
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
beforeAll(async () => {
  db = await makeDatabase();
  await work((tx) =>
    tx("practitioner").insert(
      [me, other].map((id) => ({ id, name: id.slice(0, 4), email: `${id}@kiln.example`, password_hash: "x" })),
    ),
  );
});
afterAll(() => db.drop());

describe("rounds of the trainer", () => {
  it("are kept once, by kind, for whoever practised, and taken back by nobody else", async () => {
    const round = { id: randomUUID(), kind: "force" as const, score: 0.8, body: { target: 5, blind: true } };
    for (let i = 0; i < 2; i++) await work((tx) => keepRound(tx, me, round));
    await work((tx) => keepRound(tx, me, { ...round, id: randomUUID(), kind: "order", score: 3 }));
    expect(await work((tx) => roundsOf(tx, me, "force"))).toEqual([{ ...round, at: expect.any(String) as string }]);
    expect(await work((tx) => roundsOf(tx, other, "force"))).toEqual([]);
    expect(await db.within(db.practices[1], (tx) => roundsOf(tx, me, "force"))).toEqual([]);
    await expect(work((tx) => deleteRound(tx, other, round.id))).rejects.toThrow();
    await work((tx) => deleteRound(tx, me, round.id));
    expect(await work((tx) => roundsOf(tx, me, "force"))).toEqual([]);
  });
});
