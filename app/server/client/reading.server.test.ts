import { randomUUID } from "node:crypto";
import type { Choice } from "~core/reading/pattern-targets";
import type { TableEvent } from "~core/table/answers";
import { saveChoice } from "~data/choices";
import { createClient, getClient } from "~data/clients";
import type { Tx } from "~data/database";
import { Overtaken } from "~data/errors";
import { appendEvents } from "~data/session-events";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { listVisits, planVisits } from "~data/visits";
import { readingOf } from "./reading.server";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
const newClient = () =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, { ...draft, complaint: "My low back is tired.", complaintRegion: "low-back" });
    await planVisits(tx, id, ["2026-01-05"]);
    return { id, visits: await listVisits(tx, id) };
  });
const high = (check: string, value: number): TableEvent => ({
  id: randomUUID(),
  at: "2026-01-05T09:00:00.000Z",
  kind: "answer",
  body: { moment: "before", check, side: null, way: "hand", value },
});
const read = (id: string) => work(async (tx) => readingOf(tx, await getClient(tx, id), await listVisits(tx, id)));

describe("a client's reading", () => {
  it("follows what is found at once, asks for work, and does without what is ruled out", async () => {
    const { id, visits } = await newClient();
    expect((await read(id)).body.suggestions.filter(({ support }) => support > 0.5)).toEqual([]);
    const turned = [high("high-l-low", 3), high("high-l-upper", 2)];
    await work((tx) => appendEvents(tx, visits[0]!.id, turned, "table_event"));
    const first = await read(id);
    expect(first.body.suggestions[0]!.pattern.id).toBe("lumbar-turned.L");
    expect(first.working.has("lumbar-turned.L")).toBe(true);
    expect(first.targets.some(({ patterns }) => patterns?.includes("lumbar-turned.L"))).toBe(true);
    await work((tx) => saveChoice(tx, id, "lumbar-turned.L", { kind: "pattern", as: "out" }));
    const without = await read(id);
    expect(without.body.suggestions.some(({ pattern }) => pattern.id === "lumbar-turned.L")).toBe(false);
    expect(without.targets.some(({ patterns }) => patterns)).toBe(false);
    await work((tx) => saveChoice(tx, id, "lumbar-turned.L", null));
    const again = await read(id);
    expect({ ...again, next: again.next() }).toEqual({ ...first, next: first.next() });
  });

  it("keeps a decision where another stood that was seen, and tells when it was decided otherwise meanwhile", async () => {
    const { id } = await newClient();
    const weight = (value: number): Choice["body"] => ({ kind: "target", weight: value });
    await work((tx) =>
      saveChoice(tx, id, "own-x", { kind: "own", structure: "masseter", side: "L", weight: 1, minutes: 8 }, null),
    );
    await work((tx) => saveChoice(tx, id, "t", weight(1), null));
    // a double click is the same
    await work((tx) => saveChoice(tx, id, "t", weight(1), null));
    await expect(work((tx) => saveChoice(tx, id, "t", weight(2), weight(0)))).rejects.toThrow(Overtaken);
    await work((tx) => saveChoice(tx, id, "t", weight(2), weight(1)));
    const { targets } = await read(id);
    expect(targets).toMatchObject([{ id: "own-x", weight: 1, side: "L", because: "You added it." }]);
    // another practice neither sees nor finds them
    await expect(db.within(db.practices[1], (tx) => saveChoice(tx, id, "t", weight(3)))).rejects.toThrow();
  });
});
