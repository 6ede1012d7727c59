import { randomUUID } from "node:crypto";
import { entryOf } from "../core/test/facts";
import { stands } from "../core/consent/consent";
import { seenOf } from "../core/said";
import { createClient, getClient } from "./clients";
import { consentsOf, recordConsent } from "./consents";
import type { Tx } from "./database";
import { Taken } from "./errors";
import { recordHistory } from "./history";
import { keepLayLook } from "./looks";
import { keepNamed } from "./named-plans";
import { answersOf, recordAnswer, recordDecision } from "./screening";
import { appendEvents } from "./session-events";
import { beginStudy, getStudy, keepMarking } from "./studies";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { keepRound } from "./trainer";
import { listVisits, planVisits } from "./visits";

let db: TestDatabase;
let client: string;
let visit: string;
const una = randomUUID();
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
beforeAll(async () => {
  db = await makeDatabase();
  client = randomUUID();
  await work(async (tx) => {
    await tx("practitioner").insert({ id: una, name: "Una", email: "una@test.example", password_hash: "-" });
    await createClient(tx, client, draft);
    await planVisits(tx, client, ["2026-01-05"]);
    visit = (await listVisits(tx, client))[0]!.id;
  });
});
afterAll(() => db.drop());

const said = { visitId: null as string | null, textVersion: "1", text: "I agree.", signedBy: "W", by: "Una" };
const agreed = (id: string, given: boolean, seen?: number) => (tx: Tx) =>
  recordConsent(tx, client, {
    ...said,
    id,
    subject: "general",
    given,
    signature: null,
    ...(seen !== undefined && { seen }),
  });
const answer =
  (id: string, given: "yes" | "no" | "unsure", seen?: number, by = "Una") =>
  (tx: Tx) =>
    recordAnswer(tx, client, {
      id,
      visitId: null,
      question: "hot-calf",
      answer: given,
      by,
      ...(seen !== undefined && { seen }),
    });

describe("what is sent under an id of the sender's", () => {
  const plan = { settings: { locks: [] } as never, plan: { sessions: [] } as never, template: "ten" };
  const items = [{ source: { kind: "set" as const, key: "set-01" }, view: "front" as const, setup: {} as never }];
  const [first, second] = [randomUUID(), randomUUID()];
  const { id: _i, at: _a, ...body } = entryOf("fracture", {});
  const told = (id: string, words: string) => (tx: Tx) =>
    recordHistory(tx, client, {
      entryId: first,
      versionId: id,
      after: null,
      act: "told",
      body: { ...body, words },
      why: "",
      by: "Una",
    });
  const decision = (id: string, what: string) => (tx: Tx) =>
    recordDecision(tx, client, {
      id,
      outcomeKey: "k",
      kind: "clearance",
      who: "Dr A",
      on: "2026-01-02",
      what,
      by: "Una",
    });
  const kinds: [string, (id: string) => (tx: Tx) => Promise<unknown>, (id: string) => (tx: Tx) => Promise<unknown>][] =
    [
      ["a consent", (id) => agreed(id, true, 0), (id) => agreed(id, false, 0)],
      ["an answer", (id) => answer(id, "no", 0), (id) => answer(id, "yes", 0)],
      ["a decision", (id) => decision(id, "scan"), (id) => decision(id, "another scan")],
      ["a wording of the history", (id) => told(id, "left wrist"), (id) => told(id, "right wrist")],
      [
        "a client",
        (id) => (tx) => createClient(tx, id, draft),
        (id) => (tx) => createClient(tx, id, { ...draft, complaint: "another" }),
      ],
      [
        "a plan",
        (id) => (tx) => keepNamed(tx, client, { id, name: "One", ...plan }),
        (id) => (tx) => keepNamed(tx, client, { id, name: "Two", ...plan }),
      ],
      [
        "a study",
        (id) => (tx) => beginStudy(tx, id, una, items),
        (id) => (tx) => beginStudy(tx, id, una, [...items, ...items]),
      ],
      [
        "a practised round",
        (id) => (tx) => keepRound(tx, una, { id, kind: "force", score: 1.5, body: { held: 3 } }),
        (id) => (tx) => keepRound(tx, una, { id, kind: "force", score: 1.5, body: { held: 4 } }),
      ],
      [
        "a drawing's grade",
        (id) => (tx) => keepLayLook(tx, una, id, 0, 2),
        (id) => (tx) => keepLayLook(tx, una, id, 0, 3),
      ],
    ];

  it.each(kinds)("%s is stored once, and another content under its id is refused", async (_what, once, other) => {
    const id = randomUUID();
    await work(once(id));
    await work(once(id));
    await expect(work(other(id))).rejects.toThrow(Taken);
  });

  it("a marking is not marked anew", async () => {
    await work((tx) => beginStudy(tx, second, una, [...items, ...items]));
    const mark = (x: number) =>
      work(async (tx) => keepMarking(tx, await getStudy(tx, una, second), 0, { points: { x } } as never));
    await mark(1);
    await mark(1);
    await expect(mark(2)).rejects.toThrow(Taken);
  });

  it("an event with another time or content is named as refused, and the others go on", async () => {
    const [a, b] = [randomUUID(), randomUUID()];
    const event = (id: string, at: string) => ({ id, at, kind: "paused" as const, body: {} });
    const send = (...events: ReturnType<typeof event>[]) => work((tx) => appendEvents(tx, visit, events));
    await send(event(a, "2026-01-05T10:00:00.000Z"));
    expect(await send(event(a, "2026-01-05T11:00:00.000Z"), event(b, "2026-01-05T10:01:00.000Z"))).toEqual({
      stored: [b],
      elsewhere: [a],
    });
  });

  it("keeps the first as it was", async () => {
    const id = randomUUID();
    await work((tx) => createClient(tx, id, draft));
    await work((tx) => createClient(tx, id, { ...draft, name: "Somebody" })).catch(() => undefined);
    expect((await work((tx) => getClient(tx, id))).name).toBe(draft.name);
  });
});

describe("two who do not know of each other", () => {
  const now = async () => {
    const [last] = (await work((tx) => answersOf(tx, client))).filter(({ question }) => question === "hot-calf");
    return last!;
  };
  const seen = async () => {
    const last = await now();
    return seenOf([last, ...last.against]);
  };

  it("a colleague's no does not hide a yes given meanwhile, until somebody who saw both settles it", async () => {
    await work(answer(randomUUID(), "no"));
    const before = await seen();
    await work(answer(randomUUID(), "yes", before, "Ida"));
    await work(answer(randomUUID(), "no", before, "Una"));
    expect(await now()).toMatchObject({ answer: "yes", by: "Ida", against: [{ answer: "no", by: "Una" }] });
    await work(answer(randomUUID(), "no", before, "Una again, from the same old page"));
    expect(await now()).toMatchObject({ answer: "yes" });
    await work(answer(randomUUID(), "no", await seen()));
    expect(await now()).toMatchObject({ answer: "no", against: [] });
  });

  it("not knowing holds against a no", async () => {
    const before = await seen();
    await work(answer(randomUUID(), "unsure", before));
    await work(answer(randomUUID(), "no", before));
    expect((await now()).answer).toBe("unsure");
  });

  it("whoever claims to have seen what is still to come hides nothing", async () => {
    await work(answer(randomUUID(), "no", Number.MAX_SAFE_INTEGER));
    await work(answer(randomUUID(), "yes", 0));
    await work(answer(randomUUID(), "no", 0));
    expect((await now()).answer).toBe("yes");
  });

  it("consent that was declined meanwhile is not given back by a page that did not know", async () => {
    const general = () => work(async (tx) => stands(await consentsOf(tx, client), "general", visit));
    const all = async () => seenOf(await work((tx) => consentsOf(tx, client)));
    await work(agreed(randomUUID(), true, await all()));
    expect(await general()).toBe(true);
    const before = await all();
    await work(agreed(randomUUID(), false, before));
    await work(agreed(randomUUID(), true, before));
    expect(await general()).toBe(false);
    await work(agreed(randomUUID(), true, await all()));
    expect(await general()).toBe(true);
  });

  it("an answer that was lost on its way holds back nothing that is said after it", async () => {
    const before = seenOf(await work((tx) => consentsOf(tx, client)));
    // “agreed” was stored, and its answer lost; then “I do not agree”, from the same dialog
    await work(agreed(randomUUID(), true, before));
    await work(agreed(randomUUID(), false, before));
    expect(await work(async (tx) => stands(await consentsOf(tx, client), "general", visit))).toBe(false);
  });
});
