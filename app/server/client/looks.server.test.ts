import { randomUUID } from "node:crypto";
import type { Pressed, TableEvent } from "~core/table/answers";
import { layOrder } from "~core/repeatability/lay-figures";
import { createClient } from "~data/clients";
import type { Tx } from "~data/database";
import { deleteLayLooks, keepLayLook, layLooks } from "~data/looks";
import { appendEvents } from "~data/session-events";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { listVisits, planVisits } from "~data/visits";
import type { StationFelt } from "~core/light-touch/stations";
import { saveStation } from "~data/findings";
import { heardOf } from "./light.server";
import { lookedBy, ownHands, ownLooks } from "./looks.server";
import { Taken } from "~data/errors";
import { tableOf } from "./table.server";

let db: TestDatabase;
const [odile, tomas] = [randomUUID(), randomUUID()];
beforeAll(async () => {
  db = await makeDatabase();
  await work((tx) =>
    tx("practitioner").insert(
      [odile, tomas].map((id) => ({ id, name: id.slice(0, 4), email: `${id}@kiln.example`, password_hash: "x" })),
    ),
  );
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
const elsewhere = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[1], task);
const newVisits = () =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, draft);
    await planVisits(tx, id, ["2026-01-05", "2026-01-12"]);
    return listVisits(tx, id);
  });
const strip = ["neck", "t-upper", "t-mid", "t-low", "l-upper", "l-low"];
const look = (moment: Pressed["moment"], group: string, value: number): TableEvent => ({
  id: randomUUID(),
  at: "2026-01-05T09:00:00.000Z",
  kind: "answer",
  body: { moment, check: `high-${group}`, side: null, way: "hand", value },
});
const round = (moment: Pressed["moment"], value: number) => strip.map((group) => look(moment, group, value));

describe("second looks", () => {
  it("make the looker's error at the next visit, too, and nobody else's; a further look is counted at once", async () => {
    const [first, second] = await newVisits();
    expect(await work(ownLooks)).toEqual({});
    await work((tx) =>
      appendEvents(tx, first!.id, [...round("before", 2), ...round("again", 2)], "table_event", odile),
    );
    await work((tx) => appendEvents(tx, second!.id, [look("before", "sacrum", 1)], "table_event", odile));
    const errors = async () =>
      (await work((tx) => tableOf(tx, [second!])))[0]!.answers.map(({ own }) => own && Math.round(own.se * 100) / 100);
    const steady = (await errors())[0]!;
    expect(steady).toBeLessThan(0.5);
    expect(Object.keys(await work(ownLooks))).toEqual([odile]);
    await work((tx) => appendEvents(tx, first!.id, round("again", -1), "table_event", odile));
    expect((await errors())[0]!).toBeGreaterThan(1);
    // in other hands it is the usual one
    await work((tx) => appendEvents(tx, second!.id, [look("before", "sacrum", 1)], "table_event", tomas));
    expect(await errors()).toEqual([undefined]);
    expect(await elsewhere(lookedBy)).toEqual({});
  });

  it("at drawings are kept once each, by whoever looked, and can be taken back by nobody else", async () => {
    const study = randomUUID();
    const of = layOrder(study).length;
    for (let item = 0; item < of; item++)
      await work((tx) => keepLayLook(tx, tomas, study, item, item % 2 === 0 ? 3 : -3));
    await expect(work((tx) => keepLayLook(tx, tomas, study, 0, 0))).rejects.toThrow(Taken);
    const [kept] = await work((tx) => layLooks(tx, tomas));
    expect(kept!.grades.size).toBe(of);
    expect(kept!.grades.get(0)).toBe(3);
    expect((await work(ownLooks))[tomas]!["Hip height.hand"]!.drawings!.dof).toBe(10);
    expect(await elsewhere((tx) => layLooks(tx))).toEqual([]);
    await work((tx) => deleteLayLooks(tx, odile, study));
    expect(await work((tx) => layLooks(tx, tomas))).toHaveLength(1);
    await work((tx) => deleteLayLooks(tx, tomas, study));
    expect(await work((tx) => layLooks(tx, tomas))).toEqual([]);
    expect((await work(ownLooks))[tomas]).toBeUndefined();
  });
});

describe("second rounds of listening", () => {
  const felt = (quality: 0 | 1 | 2 | 3): StationFelt => ({ L: { quality, amplitude: quality } });
  it("tell of the hands that made both, are counted at once, and say nothing of the client", async () => {
    const [first] = await newVisits();
    const client = await work(async (tx) => (await tx("visit").where({ id: first!.id }).first("client_id")).client_id);
    await work((tx) => saveStation(tx, first!.id, "before", "heels", felt(3), null, odile));
    await work((tx) => saveStation(tx, first!.id, "again", "heels", felt(1), null, odile));
    const pairs = async () => (await work(lookedBy))[odile]?.hands.repeats[0]?.pairs;
    expect(await pairs()).toBe(2);
    expect((await work(ownHands))[odile]!.stations).toEqual({ ratio: 2 * Math.SQRT2, dof: 2 });
    await work((tx) => saveStation(tx, first!.id, "again", "ribs", felt(1), null, odile));
    await work((tx) => saveStation(tx, first!.id, "before", "ribs", felt(1), null, odile));
    expect(await pairs()).toBe(4);
    const heard = await work(async (tx) => heardOf(tx, client, await listVisits(tx, client)));
    expect(heard).toEqual([{ visit: 1, heard: { before: { heels: felt(3), ribs: felt(1) } }, by: { before: odile } }]);
    // a round of other hands is no second round of these
    await work((tx) => saveStation(tx, first!.id, "again", "heels", felt(2), felt(1), tomas));
    expect(await pairs()).toBeUndefined();
    expect(await elsewhere(lookedBy)).toEqual({});
  });
});
