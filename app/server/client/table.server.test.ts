import { randomUUID } from "node:crypto";
import type { EdgeEvent } from "~core/move/edge-of-table";
import type { RangeEvent, Taken } from "~core/move/ranges";
import { acting } from "~core/screening/outcome";
import type { Pressed, TableEvent } from "~core/table/answers";
import { createClient, getClient } from "~data/clients";
import type { Tx } from "~data/database";
import { appendEvents, eventsOf, logOf } from "~data/session-events";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { listVisits, planVisits } from "~data/visits";
import { readingOf } from "./reading.server";
import { judgedOf } from "./screening.server";
import { movedOf, tableOf } from "./table.server";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
const newClient = () =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, draft);
    await planVisits(tx, id, ["2026-01-05", "2026-01-12", "2026-01-19"]);
    return { id, visits: await listVisits(tx, id) };
  });

const answer = (body: Partial<Pressed> & Pick<Pressed, "value">, id: string = randomUUID()): TableEvent => ({
  id,
  at: "2026-01-05T09:00:00.000Z",
  kind: "answer",
  body: { moment: "before", check: "hip-height", side: null, way: "hand", ...body },
});
const range = (body: Partial<Taken> = {}, at = "2026-01-05T09:00:00.000Z"): RangeEvent => ({
  id: randomUUID(),
  at,
  kind: "range",
  body: {
    moment: "before",
    movement: "hip-inward",
    side: "R",
    drive: "passive",
    values: [22, 24],
    endFeel: null,
    pain: null,
    ...body,
  },
});

describe("what is pressed at the table", () => {
  it("is appended once however often it is sent, and stands as it was pressed last", async () => {
    const { visits } = await newClient();
    const [visit] = visits;
    const [first, second] = [answer({ value: 1 }), answer({ value: -2 })];
    for (let i = 0; i < 2; i++) {
      const sent = await work((tx) => appendEvents(tx, visit!.id, [first, second], "table_event"));
      expect(sent).toEqual({ stored: [first.id, second.id], elsewhere: [] });
    }
    expect(await work((tx) => logOf(tx, "table_event", visit!.id))).toEqual([first, second]);
    expect(await work((tx) => tableOf(tx, visits))).toEqual([
      { visit: 1, answers: [{ moment: "before", check: "hip-height", side: null, way: "hand", value: -2 }] },
    ]);
    // the session's log is another one
    expect(await work((tx) => eventsOf(tx, visit!.id))).toEqual([]);
  });

  it("is not written over: another content, or another visit, of the same id is told apart", async () => {
    const [mine, other] = [await newClient(), await newClient()];
    const first = answer({ value: 1 });
    await work((tx) => appendEvents(tx, mine.visits[0]!.id, [first], "table_event"));
    const changed = { ...first, body: { ...first.body, value: 3 } };
    expect(await work((tx) => appendEvents(tx, mine.visits[0]!.id, [changed], "table_event"))).toEqual({
      stored: [],
      elsewhere: [first.id],
    });
    expect(await work((tx) => appendEvents(tx, other.visits[0]!.id, [first], "table_event"))).toEqual({
      stored: [],
      elsewhere: [first.id],
    });
    const rewritten = work((tx) => tx("table_event").where({ id: first.id }).update({ kind: "song" }));
    await expect(rewritten).rejects.toThrow(/permission denied/);
    await expect(work((tx) => tx("table_event").where({ id: first.id }).del())).rejects.toThrow(/permission denied/);
  });

  it("is nobody’s but the practice’s, under the same id either", async () => {
    const { visits } = await newClient();
    const first = answer({ value: 1 });
    await work((tx) => appendEvents(tx, visits[0]!.id, [first], "table_event"));
    const elsewhere = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[1], task);
    expect(await elsewhere((tx) => logOf(tx, "table_event", visits[0]!.id))).toEqual([]);
    await expect(
      elsewhere((tx) => appendEvents(tx, visits[0]!.id, [answer({ value: 2 })], "table_event")),
    ).rejects.toThrow(/foreign key/);
  });

  it("is one log of three kinds, each read by its own", async () => {
    const { visits } = await newClient();
    const edge: EdgeEvent = {
      id: randomUUID(),
      at: "2026-01-05T09:00:00.000Z",
      kind: "edge",
      body: { moment: "before", side: "L", angles: { thigh: 12, knee: 85, drift: 0 } },
    };
    const events = [answer({ value: 1 }), range(), edge];
    await work((tx) => appendEvents(tx, visits[1]!.id, events, "table_event"));
    expect(await work((tx) => tableOf(tx, visits))).toMatchObject([{ visit: 2, answers: [{ value: 1 }] }]);
    expect(await work((tx) => movedOf(tx, visits))).toMatchObject([
      { visit: 2, on: visits[1]!.onDate, ranges: [{ values: [22, 24] }], edges: [{ side: "L" }] },
    ]);
    // what was only moved is no answer of the table
    await work((tx) => appendEvents(tx, visits[2]!.id, [range()], "table_event"));
    expect((await work((tx) => tableOf(tx, visits))).map(({ visit }) => visit)).toEqual([2]);
    expect((await work((tx) => movedOf(tx, visits))).map(({ visit }) => visit)).toEqual([2, 3]);
  });

  it("becomes a target while it is off, and none once it is even", async () => {
    const { id, visits } = await newClient();
    await work((tx) => appendEvents(tx, visits[0]!.id, [answer({ value: -2 })], "table_event"));
    const names = async () =>
      (await work(async (tx) => readingOf(tx, await getClient(tx, id), visits))).targets.map(({ name }) => name);
    expect(await names()).toEqual(["Hip height: quadratus lumborum, right", "Hip height: lumbar erectors, left"]);
    await work((tx) => appendEvents(tx, visits[0]!.id, [answer({ value: 0, moment: "after" })], "table_event"));
    expect(await names()).toEqual([]);
  });

  it("keeps levers out where a range ended hard and hurt", async () => {
    const { id, visits } = await newClient();
    const hard = range({ endFeel: "hard", pain: 3 }, "2026-01-05T10:00:00.000Z");
    await work((tx) => appendEvents(tx, visits[0]!.id, [hard], "table_event"));
    const titles = (day: string) =>
      work(async (tx) =>
        acting(await judgedOf(tx, await getClient(tx, id), { settings: {} }), day)
          .map(({ title }) => title)
          .filter((title) => title.startsWith("Ends")),
      );
    expect(await titles("2026-01-06")).toContain("Ends hard: hip, turned inward, right");
    expect(await titles("2026-03-30")).toEqual([]);
    const soft = range({ endFeel: "firm", pain: 0 });
    await work((tx) => appendEvents(tx, visits[1]!.id, [soft], "table_event"));
    expect(await titles("2026-01-13")).toEqual([]);
  });
});
