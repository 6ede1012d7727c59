import { randomUUID } from "node:crypto";
import { usualPreferences } from "../core/screening/facts";
import { entryOf } from "../core/test/facts";
import { createClient } from "./clients";
import { consentsOf, recordConsent } from "./consents";
import type { Tx } from "./database";
import { NotFound, Stale } from "./errors";
import { handOver, handoverOfSession, takeBack } from "./handovers";
import { currentEntries, historyVersions, recordHistory, type HistoryAct } from "./history";
import { measuredAgain, measurementsOf, saveMeasurement } from "./measurements";
import { ownMeasuresOf, retireOwnMeasure, addOwnMeasure, saveOwnScore, saveOwnWords } from "./own-measures";
import { hashPassword, passwordIs, enterSession, saveSettings, signIn } from "./practitioners";
import { preferencesOf, savePreferences } from "./preferences";
import { answersOf, decisionsOf, recordAnswer, recordDecision } from "./screening";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { inTransaction } from "./transaction";
import { listVisits, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
const who = (token: string) => inTransaction(db.app, async (trx) => (await enterSession(trx, token))?.practitioner);
const by = "Una Test";
const newClient = () =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, draft);
    await planVisits(tx, id, ["2026-01-05", "2026-01-12", "2026-01-19"]);
    return { id, visits: (await listVisits(tx, id)).map((visit) => visit.id) };
  });

describe("the history", () => {
  const { id: _id, at: _at, ...body } = entryOf("fracture", { on: "2026-01-01", region: "leg", side: "L" });
  const record = (
    clientId: string,
    entryId: string,
    after: string | null,
    act: HistoryAct,
    change: Partial<typeof body> = {},
    versionId: string = randomUUID(),
  ) =>
    work((tx) =>
      recordHistory(tx, clientId, { entryId, versionId, after, act, body: { ...body, ...change }, why: "because", by }),
    ).then(() => versionId);
  const entries = (clientId: string) => work(async (tx) => currentEntries(await historyVersions(tx, clientId)));

  it("keeps every wording, and shows the latest", async () => {
    const { id } = await newClient();
    const entry = randomUUID();
    const first = await record(id, entry, null, "told");
    const second = await record(id, entry, first, "changed", { words: "hairline crack" });
    await record(id, entry, second, "ended", { words: "hairline crack", status: "ended", endedOn: "2026-04-01" });
    expect(await entries(id)).toMatchObject([
      {
        id: entry,
        words: "hairline crack",
        status: "ended",
        endedOn: "2026-04-01",
        changes: 2,
        region: "leg",
        side: "L",
      },
    ]);
    const versions = await work((tx) => historyVersions(tx, id));
    expect(versions.map((version) => [version.act, version.words, version.by])).toEqual([
      ["told", body.words, by],
      ["changed", "hairline crack", by],
      ["ended", "hairline crack", by],
    ]);
  });

  it("records one entry of a form sent twice", async () => {
    const { id } = await newClient();
    const [entry, version] = [randomUUID(), randomUUID()];
    await record(id, entry, null, "told", {}, version);
    await record(id, entry, null, "told", {}, version);
    expect(await entries(id)).toMatchObject([{ changes: 0 }]);
  });

  it("refuses a change made from an older wording, and of what was never told", async () => {
    const { id } = await newClient();
    const entry = randomUUID();
    const first = await record(id, entry, null, "told");
    await record(id, entry, first, "changed", { words: "in the first tab" });
    await expect(record(id, entry, first, "changed", { words: "in the second tab" })).rejects.toThrow(Stale);
    await expect(record(id, randomUUID(), first, "changed")).rejects.toThrow(NotFound);
    await expect(record(id, entry, null, "told")).rejects.toThrow(Stale);
    expect(await entries(id)).toMatchObject([{ words: "in the first tab" }]);
  });

  it("lets one of two changes sent at once win", async () => {
    const { id } = await newClient();
    const entry = randomUUID();
    const first = await record(id, entry, null, "told");
    const tries = await Promise.allSettled(
      ["one", "two", "three"].map((words) => record(id, entry, first, "changed", { words })),
    );
    expect(tries.filter((each) => each.status === "fulfilled")).toHaveLength(1);
  });

  it("strikes out with a trace", async () => {
    const { id } = await newClient();
    const entry = randomUUID();
    const first = await record(id, entry, null, "told");
    await record(id, entry, first, "struck");
    expect(await entries(id)).toEqual([]);
    expect(await work((tx) => historyVersions(tx, id))).toHaveLength(2);
  });
});

describe("what was said, decided and signed", () => {
  it("gives the latest answer to each question, and keeps the earlier ones", async () => {
    const { id, visits } = await newClient();
    const answer = (question: string, given: "yes" | "no" | "unsure", answerId: string = randomUUID()) =>
      work((tx) => recordAnswer(tx, id, { id: answerId, visitId: visits[0]!, question, answer: given, by }));
    const twice = randomUUID();
    await answer("hot-calf", "no", twice);
    await answer("hot-calf", "yes");
    await answer("weakness", "unsure");
    await answer("hot-calf", "no", twice);
    const given = await work((tx) => answersOf(tx, id));
    expect(given.map((each) => [each.question, each.answer, each.by])).toEqual([
      ["hot-calf", "yes", by],
      ["weakness", "unsure", by],
    ]);
    expect(await work((tx) => tx("screening_answer").where({ client_id: id }))).toHaveLength(3);
    // what was said at a later visit leaves the earlier one as it was
    const later = { id: randomUUID(), visitId: visits[1]!, question: "hot-calf", answer: "no" as const, by };
    await work((tx) => recordAnswer(tx, id, later));
    const at = (visit: number) =>
      work(async (tx) =>
        (await answersOf(tx, id, { visitId: visits[visit]! })).map((each) => [each.question, each.answer]),
      );
    expect(await at(0)).toEqual([
      ["hot-calf", "yes"],
      ["weakness", "unsure"],
    ]);
    expect(await at(1)).toEqual([["hot-calf", "no"]]);
    expect(await at(2)).toEqual([]);
  });

  it("lists decisions and consents in the order they were made, once each", async () => {
    const { id, visits } = await newClient();
    const clearance = { id: randomUUID(), outcomeKey: "k", kind: "clearance" as const, who: "Dr A", what: "scan" };
    await work((tx) => recordDecision(tx, id, { ...clearance, on: "2024-02-29", by }));
    await work((tx) => recordDecision(tx, id, { ...clearance, on: "2024-02-29", by }));
    await work((tx) =>
      recordDecision(tx, id, { ...clearance, id: randomUUID(), kind: "withdrawn", on: "2026-01-06", by }),
    );
    expect((await work((tx) => decisionsOf(tx, id))).map((each) => [each.kind, each.on])).toEqual([
      ["clearance", "2024-02-29"],
      ["withdrawn", "2026-01-06"],
    ]);
    const signature = [
      [
        [1, 2],
        [30, 40],
      ],
    ] as [number, number][][];
    const consent = { subject: "general" as const, visitId: visits[0]!, textVersion: "2026-11", text: "I agree.", by };
    const signed = { ...consent, id: randomUUID(), given: true, signedBy: "Wilma Test", signature };
    await work((tx) => recordConsent(tx, id, signed));
    await work((tx) => recordConsent(tx, id, { ...signed, id: randomUUID(), given: false, signature: null }));
    expect(await work((tx) => consentsOf(tx, id))).toMatchObject([
      { given: true, signature, textVersion: "2026-11", text: "I agree.", signedBy: "Wilma Test" },
      { given: false, signature: null },
    ]);
  });

  it("cannot be rewritten or erased by the application", async () => {
    for (const table of ["history_version", "screening_answer", "caution_decision", "consent", "session_event"]) {
      await expect(work((tx) => tx(table).del())).rejects.toThrow(/permission denied/);
      await expect(work((tx) => tx(table).update({ created_at: tx.fn.now() }))).rejects.toThrow(/permission denied/);
    }
  });

  it("takes no answer and no act it does not know", async () => {
    const { id } = await newClient();
    await expect(
      work((tx) =>
        recordAnswer(tx, id, { id: randomUUID(), visitId: null, question: "q", answer: "perhaps" as never, by }),
      ),
    ).rejects.toThrow(/check constraint/);
  });
});

describe("wishes", () => {
  it("are the usual ones until something is said", async () => {
    const { id } = await newClient();
    expect(await work((tx) => preferencesOf(tx, id))).toEqual({ ...usualPreferences, version: 0 });
  });

  it("refuse the second of two tabs", async () => {
    const { id } = await newClient();
    const wish = (version: number, pauseWord: string) =>
      work((tx) => savePreferences(tx, id, version, { ...usualPreferences, pauseWord }));
    await wish(0, "harbour");
    await expect(wish(0, "lantern")).rejects.toThrow(Stale);
    await wish(1, "lantern");
    await expect(wish(1, "harbour")).rejects.toThrow(Stale);
    expect(await work((tx) => preferencesOf(tx, id))).toMatchObject({ pauseWord: "lantern", version: 2 });
  });
});

describe("own scales and hand measurements", () => {
  it("keeps scores by visit; scoring again corrects", async () => {
    const { id, visits } = await newClient();
    const measure = randomUUID();
    await work((tx) => addOwnMeasure(tx, id, { id: measure, kind: "activity", name: "Climb the stairs" }));
    await work((tx) => addOwnMeasure(tx, id, { id: measure, kind: "activity", name: "Climb the stairs" }));
    await work((tx) => saveOwnScore(tx, id, measure, visits[1]!, 5));
    await work((tx) => saveOwnScore(tx, id, measure, visits[0]!, 3));
    await work((tx) => saveOwnScore(tx, id, measure, visits[1]!, 6));
    await work((tx) => saveOwnWords(tx, visits[0]!, "stiff"));
    await work((tx) => saveOwnWords(tx, visits[0]!, "less stiff"));
    await work((tx) => retireOwnMeasure(tx, id, measure, true, 1));
    expect(await work((tx) => ownMeasuresOf(tx, id))).toEqual({
      measures: [{ id: measure, kind: "activity", name: "Climb the stairs", retired: true, version: 2 }],
      scores: [
        { measureId: measure, visit: 1, score: 3 },
        { measureId: measure, visit: 2, score: 6 },
      ],
      words: [{ visit: 1, words: "less stiff" }],
    });
  });

  it("takes no score over 10, and none for another client's scale", async () => {
    const [one, other] = [await newClient(), await newClient()];
    const measure = randomUUID();
    await work((tx) => addOwnMeasure(tx, one.id, { id: measure, kind: "pain", name: "neck" }));
    await expect(work((tx) => saveOwnScore(tx, one.id, measure, one.visits[0]!, 11))).rejects.toThrow(/check/);
    await expect(work((tx) => saveOwnScore(tx, other.id, measure, other.visits[0]!, 5))).rejects.toThrow(NotFound);
    await expect(work((tx) => retireOwnMeasure(tx, other.id, measure, true, 1))).rejects.toThrow(NotFound);
    // nor can another client's form rename it
    const rename = work((tx) => addOwnMeasure(tx, other.id, { id: measure, kind: "pain", name: "renamed" }));
    await expect(rename).rejects.toThrow(Stale);
    expect((await work((tx) => ownMeasuresOf(tx, one.id))).measures).toMatchObject([{ name: "neck" }]);
  });

  it("keeps one value per metric, moment and method, side by side, until it is taken back", async () => {
    const { id, visits } = await newClient();
    const take = (value: number | null, method: "inclinometer" | "goniometer", moment: "before" | "after" = "before") =>
      work((tx) => saveMeasurement(tx, visits[0]!, { moment, readingId: "head-tilt.front", method, value }));
    await take(3, "inclinometer");
    await take(2, "goniometer");
    await take(4, "inclinometer");
    await take(1, "inclinometer", "after");
    const all = { ordinal: 1, readingId: "head-tilt.front", standing: 1, measuredBy: null };
    expect(await work((tx) => measurementsOf(tx, id))).toEqual([
      { ...all, moment: "before", method: "inclinometer", value: 4 },
      { ...all, moment: "before", method: "goniometer", value: 2 },
      { ...all, moment: "after", method: "inclinometer", value: 1 },
    ]);
    await take(null, "inclinometer");
    expect((await work((tx) => measurementsOf(tx, id))).map(({ moment, method }) => [moment, method])).toEqual([
      ["before", "goniometer"],
      ["after", "inclinometer"],
    ]);
  });

  it("tells standings of one moment apart, and what a study rests on by its values, not by how often it was written", async () => {
    const { id, visits } = await newClient();
    const me = randomUUID();
    await work((tx) =>
      tx("practitioner").insert({ id: me, name: "Me", email: `${me}@kiln.example`, password_hash: "x" }),
    );
    const take = (standing: number, value: number | null, by: string | null = me) =>
      work((tx) =>
        saveMeasurement(
          tx,
          visits[0]!,
          { moment: "before", readingId: "head-tilt.front", method: "inclinometer", standing, value },
          undefined,
          by,
        ),
      );
    await take(1, 3);
    await take(2, 5, null);
    // nobody knows who took the second
    expect(await work(measuredAgain)).toEqual([]);
    await take(2, 6);
    expect((await work(measuredAgain)).map(({ visitId, standing, value }) => [visitId, standing, value])).toEqual([
      [visits[0], 1, 3],
      [visits[0], 2, 6],
    ]);
    expect((await work((tx) => measurementsOf(tx, id))).length).toBe(2);
    await expect(take(4, 1)).rejects.toThrow(/check/);
  });

  it("keeps visits that hold any of it when a series gets shorter", async () => {
    const { id, visits } = await newClient();
    await work((tx) => saveOwnWords(tx, visits[2]!, "later"));
    await work((tx) => planVisits(tx, id, ["2026-01-05"]));
    expect((await work((tx) => listVisits(tx, id))).map((visit) => visit.ordinal)).toEqual([1, 3]);
  });
});

describe("handing over the tablet", () => {
  const email = `${randomUUID().slice(0, 8)}@test.example`;
  let token: string;
  let sessionId: string;
  beforeAll(async () => {
    const password_hash = await hashPassword("right words");
    await work((tx) => tx("practitioner").insert({ id: randomUUID(), name: by, email, password_hash }));
    const signedIn = await signIn(db.app, { email, password: "right words", address: "x" });
    if (signedIn.kind !== "signed-in") throw new Error(signedIn.kind);
    token = signedIn.token;
    sessionId = (await who(token))!.sessionId;
  });

  it("locks this sign-in to one client's questions, and no other", async () => {
    const { id, visits } = await newClient();
    const other = await signIn(db.app, { email, password: "right words", address: "y" });
    const handover = await work((tx) => handOver(tx, sessionId, id, visits[0]!));
    expect(await work((tx) => handoverOfSession(tx, sessionId))).toMatchObject({
      id: handover,
      clientId: id,
      visitId: visits[0],
    });
    const otherId = await who((other as { token: string }).token);
    expect(await work((tx) => handoverOfSession(tx, otherId!.sessionId))).toBeUndefined();
    await work((tx) => takeBack(tx, sessionId, handover));
    expect(await work((tx) => handoverOfSession(tx, sessionId))).toBeUndefined();
    const [row] = await work((tx) => tx("handover").where({ id: handover }));
    expect(row.ended_at).not.toBeNull();
  });

  it("knows the practitioner's own password, and slows guesses without shutting it out", async () => {
    const waits: number[] = [];
    const wait = (seconds: number) => Promise.resolve(waits.push(seconds));
    const on = { email, sessionId: randomUUID() };
    expect(await passwordIs(db.app, on, "right words", wait)).toBe(true);
    for (let i = 0; i < 8; i++) expect(await passwordIs(db.app, on, "guess", wait)).toBe(false);
    expect(await passwordIs(db.app, on, "right words", wait)).toBe(true);
    expect(waits).toEqual([3, 6, 12]);
    // a client who guesses at the tablet locks nobody out of signing in elsewhere
    expect((await signIn(db.app, { email, password: "right words", address: "z" })).kind).toBe("signed-in");
  });

  it("keeps the practitioner's school with their settings", async () => {
    const { id } = (await who(token))!;
    const school = {
      pressureCeiling: 4,
      hold: { least: 60, most: 90 },
      oil: false,
      wax: true,
      way: "indirect" as const,
      withoutElbow: true,
      withoutThumb: false,
      avoids: [],
      order: 0.2,
    };
    await work((tx) => saveSettings(tx, id, { dim: true, school }));
    expect((await who(token))!.settings).toEqual({ dim: true, school });
  });
});
