import { randomUUID } from "node:crypto";
import type { SessionEvent } from "../core/session/events";
import { createClient, getClient, listClients, setArchived, updateClient } from "./clients";
import { NotFound, Overtaken, Stale } from "./errors";
import {
  gradeRestriction,
  type Felt,
  listeningsOf,
  restrictionsOf,
  saveStation,
  addRestriction,
  setRestrictionRemoved,
} from "./findings";
import { addPhoto, photosOfClient, removePhoto, restorePhoto, saveMarks, stoodAgain } from "./photos";
import { joinLines, separateLine, splitLine } from "./lines";
import { addTriggerPoint, feelPoint, setPointRemoved, triggerPointsOf } from "./trigger-points";
import { addSkin, setSkinGone, setSkinRemoved, skinOf } from "./skin";
import { addScar, feelScar, scarsOf, setScarClosed, setScarRemoved, type RoseFelt } from "./scars";
import { saveSeries, seriesOf, type SeriesSettings } from "./series";
import { appendEvents, eventsOf } from "./session-events";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import type { Tx } from "./database";
import { closeVisit, listVisits, planVisits } from "./visits";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);
const newClient = (change: Partial<typeof draft> = {}) =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, { ...draft, ...change });
    await planVisits(tx, id, ["2026-01-05", "2026-01-12", "2026-01-19"]);
    return { id, visits: await listVisits(tx, id) };
  });

describe("clients", () => {
  it("makes one client of a form sent twice", async () => {
    const id = randomUUID();
    await work((tx) => createClient(tx, id, { ...draft, name: "Twice" }));
    await work((tx) => createClient(tx, id, { ...draft, name: "Twice" }));
    await expect(work((tx) => createClient(tx, id, { ...draft, name: "Twice again" }))).rejects.toThrow(
      "stored already",
    );
    expect(
      await work(async (tx) => (await listClients(tx, { search: "twice" })).clients.map((client) => client.name)),
    ).toEqual(["Twice"]);
  });

  it("finds by every word, in any field, and takes % and _ for what they are", async () => {
    await newClient({ name: "Ada Finder", occupation: "bell_founder", complaint: "100% stiff" });
    const found = (search: string) =>
      work(async (tx) => (await listClients(tx, { search })).clients.map((client) => client.name));
    expect(await found("stiff ada")).toEqual(["Ada Finder"]);
    expect(await found("100%")).toEqual(["Ada Finder"]);
    expect(await found("bell_f")).toEqual(["Ada Finder"]);
    expect(await found("bellXf")).toEqual([]);
  });

  it("finds by how words begin, those of names with signs and accents too, and by what was changed to", async () => {
    const { id } = await newClient({ name: "Élodie O'Brien-Sørensen", occupation: "organist", complaint: "x" });
    const found = (search: string) =>
      work(async (tx) => (await listClients(tx, { search })).clients.map((client) => client.name));
    for (const search of ["élo", "brien", "SØR", "sør élod", "o'br", "organis"])
      expect({ search, found: await found(search) }).toEqual({ search, found: ["Élodie O'Brien-Sørensen"] });
    for (const search of ["lodie", "rien", "sørensens"])
      expect({ search, found: await found(search) }).toEqual({ search, found: [] });
    await work((tx) => updateClient(tx, id, 1, { ...draft, name: "Élodie Lund" }));
    expect(await found("sørensen")).toEqual([]);
    expect(await found("élodie lund")).toEqual(["Élodie Lund"]);
  });

  it("refuses a change made to an older version, and keeps the newer one", async () => {
    const { id } = await newClient();
    await work((tx) => updateClient(tx, id, 1, { ...draft, name: "First tab" }));
    await expect(work((tx) => updateClient(tx, id, 1, { ...draft, name: "Second tab" }))).rejects.toThrow(Stale);
    expect(await work((tx) => getClient(tx, id))).toMatchObject({
      name: "First tab",
      version: 2,
      born: null,
    });
  });

  it("archives and brings back with all visits", async () => {
    const { id } = await newClient({ name: "Archie" });
    await work((tx) => setArchived(tx, id, true, 1));
    expect(await work(async (tx) => (await listClients(tx, { search: "archie" })).clients)).toEqual([]);
    // an older page does not bring them back, nor does one that archives again do harm
    await work((tx) => setArchived(tx, id, true, 1));
    await expect(work((tx) => setArchived(tx, id, false, 1))).rejects.toThrow(Stale);
    await work((tx) => setArchived(tx, id, false, 2));
    expect(await work(async (tx) => (await listClients(tx, { search: "archie" })).clients)).toMatchObject([
      { visitsPlanned: 3 },
    ]);
  });
});

describe("several complaints", () => {
  it("keep their order, change it, and are found as the first is", async () => {
    const { id } = await newClient();
    const [knee, jaw] = [
      { words: "the knee clicks on ladders", region: "leg" as const },
      { words: "grinds at night", region: "head" as const },
    ];
    await work(async (tx) => updateClient(tx, id, 1, { ...draft, furtherComplaints: [knee, jaw] }));
    expect((await work((tx) => getClient(tx, id))).furtherComplaints).toEqual([knee, jaw]);
    const found = await work((tx) => listClients(tx, { search: "grinds ladders" }));
    expect(found.clients.map((client) => client.id)).toEqual([id]);
    await work((tx) => updateClient(tx, id, 2, { ...draft, complaint: jaw.words, furtherComplaints: [knee] }));
    expect(await work((tx) => getClient(tx, id))).toMatchObject({ complaint: jaw.words, furtherComplaints: [knee] });
  });
});

describe("visits", () => {
  it("moves planned visits, leaves worked ones, and drops surplus ones that hold nothing", async () => {
    const { id, visits } = await newClient();
    await work(async (tx) => {
      await tx("visit").where({ id: visits[0]!.id }).update({ status: "closed" });
      await saveStation(tx, visits[2]!.id, "before", "heels", { symmetry: "even" }, null);
      await planVisits(tx, id, ["2026-02-01", "2026-02-08"]);
    });
    expect(await work(async (tx) => (await listVisits(tx, id)).map((visit) => [visit.onDate, visit.status]))).toEqual([
      ["2026-01-05", "closed"],
      ["2026-02-08", "planned"],
      ["2026-01-19", "planned"],
    ]);
  });

  it("closes once: a second tab's close is refused", async () => {
    const { id, visits } = await newClient();
    await work((tx) => closeVisit(tx, visits[0]!.id, 1, "first note", "2026-03-01"));
    await expect(work((tx) => closeVisit(tx, visits[0]!.id, 1, "second note", "2026-03-01"))).rejects.toThrow(Stale);
    expect((await work((tx) => listVisits(tx, id)))[0]).toMatchObject({
      closingNote: "first note",
      status: "closed",
    });
  });
});

describe("photos", () => {
  const setup = {
    width: 600,
    height: 900,
    stickLength: 1000,
    cameraDistance: 3000,
    cameraHeight: 950,
    stature: 1700,
  };
  const file = { mime: "image/webp", bytes: Buffer.from("picture"), thumb: Buffer.from("small") };
  const mine = { marks: {}, setup, markedBy: null };
  const photo = (visitId: string) => ({
    id: randomUUID(),
    visitId,
    moment: "before" as const,
    view: "front" as const,
    setup,
    marks: {},
  });

  it("keeps one current picture per visit, moment and view, and brings a replaced one back with its marks", async () => {
    const { id, visits } = await newClient();
    const [one, two] = [photo(visits[0]!.id), photo(visits[0]!.id)];
    await work((tx) => addPhoto(tx, one, file));
    await work((tx) => addPhoto(tx, one, file));
    await work((tx) => saveMarks(tx, one.id, 1, { marks: { "stick.top": { x: 1, y: 2 } }, setup, markedBy: null }));
    await work((tx) => addPhoto(tx, two, file));
    const current = () => work(async (tx) => (await photosOfClient(tx, id)).map((each) => [each.id, each.marks]));
    expect(await current()).toEqual([[two.id, {}]]);
    await expect(work((tx) => restorePhoto(tx, id, one.id, null))).rejects.toThrow(Stale);
    await work((tx) => restorePhoto(tx, id, one.id, two.id));
    expect(await current()).toEqual([[one.id, { "stick.top": { x: 1, y: 2 } }]]);
    await expect(work((tx) => removePhoto(tx, id, one.id, 2))).rejects.toThrow(Stale);
    const { version } = (await work((tx) => photosOfClient(tx, id)))[0]!;
    await work((tx) => removePhoto(tx, id, one.id, version));
    expect(await current()).toEqual([]);
  });

  it("keeps up to three standings of one view side by side; taking one again replaces that one alone", async () => {
    const { id, visits } = await newClient();
    const of = (standing: number) => ({ ...photo(visits[0]!.id), standing });
    const [first, second, third, again] = [of(1), of(2), of(3), of(2)];
    for (const each of [first, third, second]) await work((tx) => addPhoto(tx, each, file));
    const current = () => work(async (tx) => (await photosOfClient(tx, id)).map((each) => [each.id, each.standing]));
    expect(await current()).toEqual([
      [first.id, 1],
      [second.id, 2],
      [third.id, 3],
    ]);
    await work((tx) => addPhoto(tx, again, file));
    expect((await current()).map(([each]) => each)).toEqual([first.id, again.id, third.id]);
    await work((tx) => restorePhoto(tx, id, second.id, again.id));
    expect((await current()).map(([each]) => each)).toEqual([first.id, second.id, third.id]);
    await expect(work((tx) => addPhoto(tx, of(4), file))).rejects.toThrow(/photo_standing_check/);
  });

  it("finds repeated standings that are marked", async () => {
    const { visits } = await newClient();
    const me = randomUUID();
    await work((tx) =>
      tx("practitioner").insert({ id: me, name: "One Hand", email: `${me}@kiln.example`, password_hash: "x" }),
    );
    const [one, two] = [photo(visits[1]!.id), { ...photo(visits[1]!.id), standing: 2 }];
    const ours = async () =>
      (await work((tx) => stoodAgain(tx))).filter(({ visitId }) => visitId === visits[1]!.id).map(({ id }) => id);
    await work((tx) => addPhoto(tx, one, file));
    await work((tx) => saveMarks(tx, one.id, 1, { ...mine, markedBy: me }));
    expect(await ours()).toEqual([]);
    await work((tx) => addPhoto(tx, two, file));
    // nobody marked the second yet: it says nothing
    expect(await ours()).toEqual([one.id]);
    await work((tx) => saveMarks(tx, two.id, 1, { ...mine, markedBy: me }));
    expect(await ours()).toEqual([one.id, two.id]);
  });

  it("refuses marks over an older version: two tabs cannot undo each other", async () => {
    const { visits } = await newClient();
    const one = photo(visits[0]!.id);
    await work((tx) => addPhoto(tx, one, file));
    const version = await work((tx) => saveMarks(tx, one.id, 1, mine));
    await expect(work((tx) => saveMarks(tx, one.id, 1, mine))).rejects.toThrow(Stale);
    expect(await work((tx) => saveMarks(tx, one.id, version, mine))).toBe(version + 1);
  });
});

describe("scars", () => {
  const scar = (change: object = {}) => ({
    id: randomUUID(),
    places: ["lower-belly"],
    side: "R" as const,
    line: {
      view: "front" as const,
      points: [
        [80, 220],
        [84, 236],
      ] as [number, number][],
    },
    lengthMm: 90,
    since: "1998-06-30",
    closed: true,
    words: "appendix",
    ...change,
  });
  const felt: RoseFelt = { slides: [3, 3, 1, 1, 2, 3, 3, 3], lift: 2 };

  it("are kept once, with every test in the order of visits, and can come back", async () => {
    const { id, visits } = await newClient();
    const one = scar();
    for (let i = 0; i < 2; i++) await work((tx) => addScar(tx, id, one));
    const at = (n: number, moment: "before" | "after") => ({ scarId: one.id, visitId: visits[n]!.id, moment });
    await work((tx) => feelScar(tx, id, at(1, "before"), felt, null));
    await work((tx) => feelScar(tx, id, at(0, "after"), { ...felt, lift: 3 }, null));
    expect(await work((tx) => scarsOf(tx, id))).toMatchObject([
      {
        ...one,
        roses: [
          { visit: 1, moment: "after", lift: 3 },
          { visit: 2, slides: felt.slides },
        ],
      },
    ]);
    // what another tab kept meanwhile is not written over
    await expect(work((tx) => feelScar(tx, id, at(1, "before"), { ...felt, lift: 0 }, null))).rejects.toThrow(
      Overtaken,
    );
    await work((tx) => feelScar(tx, id, at(1, "before"), { ...felt, lift: 0 }, felt));
    await work((tx) => setScarRemoved(tx, id, one.id, true));
    expect(await work((tx) => scarsOf(tx, id))).toEqual([]);
    await work((tx) => setScarRemoved(tx, id, one.id, false));
    const { version } = (await work((tx) => scarsOf(tx, id)))[0]!;
    await expect(work((tx) => setScarClosed(tx, id, one.id, false, version - 1))).rejects.toThrow(Stale);
    await work((tx) => setScarClosed(tx, id, one.id, false, version));
    expect(await work((tx) => scarsOf(tx, id))).toMatchObject([{ closed: false }]);
  });

  it("belong to their client, and take no rose that is none", async () => {
    const [mine, other] = [await newClient(), await newClient()];
    const one = scar();
    await work((tx) => addScar(tx, mine.id, one));
    const at = { scarId: one.id, visitId: other.visits[0]!.id, moment: "before" as const };
    await expect(work((tx) => feelScar(tx, other.id, at, felt, null))).rejects.toThrow(NotFound);
    await expect(work((tx) => addScar(tx, other.id, one))).rejects.toThrow(Overtaken);
    await expect(work((tx) => addScar(tx, mine.id, { ...one, lengthMm: 40 }))).rejects.toThrow(Overtaken);
    await expect(work((tx) => setScarRemoved(tx, other.id, one.id, true))).rejects.toThrow(NotFound);
    const own = { ...at, visitId: mine.visits[0]!.id };
    for (const slides of [
      [1, 2],
      [0, 0, 0, 0, 0, 0, 0, 4],
    ])
      await expect(
        work((tx) => feelScar(tx, mine.id, own, { slides: slides as never, lift: 0 }, null)),
      ).rejects.toThrow(/check/);
  });
});

describe("lines of findings", () => {
  const line = (structure: string, change: object = {}) => ({
    id: randomUUID(),
    region: "low-back" as const,
    structure,
    side: "L" as const,
    layer: "SM" as const,
    quality: "band" as const,
    bind: "" as const,
    ease: "" as const,
    ...change,
  });
  async function graded() {
    const { id, visits } = await newClient();
    const [one, two] = [line("lumbar-erectors"), line("quadratus-lumborum")];
    for (const each of [one, two]) await work((tx) => addRestriction(tx, id, each));
    const grade = (of: string, visit: number, grade: number) =>
      work((tx) =>
        gradeRestriction(
          tx,
          id,
          { restrictionId: of, visitId: visits[visit - 1]!.id, moment: "before" },
          { grade, tenderness: 0 },
          null,
        ),
      );
    await grade(one.id, 1, 3);
    await grade(two.id, 1, 2);
    await grade(two.id, 2, 1);
    const told = async () =>
      (await work((tx) => restrictionsOf(tx, id)))
        .map(
          ({ structure, grades }) => `${structure} ${grades.map(({ visit, grade }) => `${visit}:${grade}`).join(" ")}`,
        )
        .sort();
    return { id, one, two, told };
  }

  it("are joined without losing what both were graded, and taken apart again", async () => {
    const { id, one, two, told } = await graded();
    const before = await told();
    for (let i = 0; i < 2; i++) await work((tx) => joinLines(tx, id, two.id, one.id));
    expect(await told()).toEqual(["lumbar-erectors 1:3 2:1"]);
    // what was joined is no line of its own, to be graded, joined or split
    const [visit] = await work((tx) => listVisits(tx, id));
    const stale = { restrictionId: two.id, visitId: visit!.id, moment: "after" as const };
    await expect(work((tx) => gradeRestriction(tx, id, stale, { grade: 1, tenderness: 0 }, null))).rejects.toThrow(
      NotFound,
    );
    await expect(work((tx) => joinLines(tx, id, one.id, two.id))).rejects.toThrow(NotFound);
    for (let i = 0; i < 2; i++) await work((tx) => separateLine(tx, id, two.id));
    expect(await told()).toEqual(before);
  });

  it("are split from a visit on, and joined again", async () => {
    const { id, two, told } = await graded();
    const before = await told();
    const fresh = line("iliocostalis-lumborum");
    for (let i = 0; i < 2; i++) await work((tx) => splitLine(tx, id, two.id, fresh, 2));
    expect(await told()).toEqual(["iliocostalis-lumborum 2:1", "lumbar-erectors 1:3", "quadratus-lumborum 1:2"]);
    await work((tx) => joinLines(tx, id, fresh.id, two.id));
    expect(await told()).toEqual(before);
  });

  it("belong to their client", async () => {
    const [mine, other] = [await graded(), await graded()];
    await expect(work((tx) => joinLines(tx, mine.id, mine.one.id, other.one.id))).rejects.toThrow(NotFound);
    await expect(work((tx) => joinLines(tx, mine.id, mine.one.id, mine.one.id))).rejects.toThrow(NotFound);
    await expect(work((tx) => separateLine(tx, mine.id, other.two.id))).rejects.toThrow(NotFound);
    await expect(work((tx) => splitLine(tx, mine.id, other.two.id, line("calf"), 2))).rejects.toThrow(NotFound);
  });

  it("lose a grading that was made by mistake, and only while it still is what was seen", async () => {
    const { id, one, told } = await graded();
    const { visits } = { visits: await work((tx) => listVisits(tx, id)) };
    const at = { restrictionId: one.id, visitId: visits[0]!.id, moment: "before" as const };
    await expect(work((tx) => gradeRestriction(tx, id, at, null, { grade: 1, tenderness: 0 }))).rejects.toThrow(
      Overtaken,
    );
    await work((tx) => gradeRestriction(tx, id, at, null, { grade: 3, tenderness: 0 }));
    expect(await told()).toContain("lumbar-erectors ");
  });
});

describe("trigger points", () => {
  const point = () => ({
    id: randomUUID(),
    structure: "upper-trapezius",
    side: "R" as const,
    at: { view: "back" as const, point: [124, 92] as [number, number] },
    area: null,
    referral: [{ place: "temple" as const, side: "R" as const }],
  });
  const felt = { tenderness: 7, reproduced: true, held: null };

  it("are kept once, with all that was felt at them, and can come back", async () => {
    const { id, visits } = await newClient();
    const one = point();
    for (let i = 0; i < 2; i++) await work((tx) => addTriggerPoint(tx, id, one));
    const at = (n: number, moment: "before" | "after") => ({ pointId: one.id, visitId: visits[n]!.id, moment });
    await work((tx) => feelPoint(tx, id, at(1, "before"), felt, null));
    await work((tx) => feelPoint(tx, id, at(0, "after"), { ...felt, tenderness: 3, held: 50 }, null));
    expect(await work((tx) => triggerPointsOf(tx, id))).toEqual([
      {
        ...one,
        felt: [
          { visit: 1, moment: "after", tenderness: 3, reproduced: true, held: 50 },
          { visit: 2, moment: "before", ...felt },
        ],
      },
    ]);
    await expect(work((tx) => feelPoint(tx, id, at(1, "before"), { ...felt, tenderness: 1 }, null))).rejects.toThrow(
      Overtaken,
    );
    await work((tx) => setPointRemoved(tx, id, one.id, true));
    expect(await work((tx) => triggerPointsOf(tx, id))).toEqual([]);
    await work((tx) => setPointRemoved(tx, id, one.id, false));
    expect(await work((tx) => triggerPointsOf(tx, id))).toHaveLength(1);
  });

  it("belong to their client", async () => {
    const [mine, other] = [await newClient(), await newClient()];
    const one = point();
    await work((tx) => addTriggerPoint(tx, mine.id, one));
    const at = { pointId: one.id, visitId: other.visits[0]!.id, moment: "before" as const };
    await expect(work((tx) => feelPoint(tx, other.id, at, felt, null))).rejects.toThrow(NotFound);
    await expect(work((tx) => addTriggerPoint(tx, other.id, one))).rejects.toThrow(Overtaken);
    await expect(work((tx) => setPointRemoved(tx, other.id, one.id, true))).rejects.toThrow(NotFound);
  });
});

describe("findings", () => {
  it("keeps one restriction with a history, and corrects a moment instead of adding to it", async () => {
    const { id, visits } = await newClient();
    const restriction = {
      id: randomUUID(),
      region: "neck" as const,
      structure: "upper-trapezius",
      side: "R" as const,
      layer: "SM" as const,
      quality: "band" as const,
      bind: "" as const,
      ease: "" as const,
    };
    await work(async (tx) => {
      await addRestriction(tx, id, restriction);
      const grade = (visit: number, felt: Felt, was: Felt | null) =>
        gradeRestriction(
          tx,
          id,
          { restrictionId: restriction.id, visitId: visits[visit]!.id, moment: "before" },
          felt,
          was,
        );
      await grade(1, { grade: 1, tenderness: 0 }, null);
      await grade(0, { grade: 2, tenderness: 4 }, null);
      await grade(0, { grade: 3, tenderness: 5 }, { grade: 2, tenderness: 4 });
    });
    const [stored] = await work((tx) => restrictionsOf(tx, id));
    expect(stored!.grades).toEqual([
      { visit: 1, moment: "before", grade: 3, tenderness: 5 },
      { visit: 2, moment: "before", grade: 1, tenderness: 0 },
    ]);
    await work((tx) => setRestrictionRemoved(tx, id, restriction.id, true));
    expect(await work((tx) => restrictionsOf(tx, id))).toEqual([]);
  });

  it("merges stations heard in two tabs", async () => {
    const { id, visits } = await newClient();
    await work((tx) => saveStation(tx, visits[0]!.id, "before", "heels", { symmetry: "even" }, null));
    await work((tx) => saveStation(tx, visits[0]!.id, "before", "ribs", { symmetry: "left leads" }, null));
    expect((await work((tx) => listeningsOf(tx, id)))[0]!.stations).toEqual({
      heels: { symmetry: "even" },
      ribs: { symmetry: "left leads" },
    });
  });
});

describe("series", () => {
  const settings: SeriesSettings = {
    bookedMinutes: 90,
    thumbBudget: 40,
    startOn: "2026-01-05",
    intervalDays: 10,
    locks: [],
  };
  it("refuses a series saved over one that changed meanwhile", async () => {
    const { id } = await newClient();
    const series = { id: randomUUID(), clientId: id, template: "ten-step", settings, plan: null, version: 0 };
    await work((tx) => saveSeries(tx, series));
    await expect(work((tx) => saveSeries(tx, { ...series, id: randomUUID() }))).rejects.toThrow(Stale);
    await work((tx) => saveSeries(tx, { ...series, template: "three-step", version: 1 }));
    await expect(work((tx) => saveSeries(tx, { ...series, version: 1 }))).rejects.toThrow(Stale);
    expect(await work((tx) => seriesOf(tx, id))).toMatchObject({
      template: "three-step",
      version: 2,
      settings,
    });
  });
});

describe("the run's log", () => {
  const event = (kind: "next" | "skip", step: number): SessionEvent => ({
    id: randomUUID(),
    at: "2026-01-05T10:00:00.000Z",
    kind,
    body: { step },
  });
  it("stores an event once, however often it is sent, in the order it came", async () => {
    const { visits } = await newClient();
    const log = [event("next", 0), event("skip", 1), event("next", 2)];
    await work((tx) => appendEvents(tx, visits[0]!.id, log.slice(0, 2)));
    await Promise.all([
      work((tx) => appendEvents(tx, visits[0]!.id, log)),
      work((tx) => appendEvents(tx, visits[0]!.id, log)),
    ]);
    expect(await work((tx) => eventsOf(tx, visits[0]!.id))).toEqual(log);
  });

  it("cannot be rewritten by the application", async () => {
    const { visits } = await newClient();
    await work((tx) => appendEvents(tx, visits[0]!.id, [event("next", 0)]));
    await expect(work((tx) => tx("session_event").del())).rejects.toThrow(/permission denied/);
    await expect(work((tx) => tx("session_event").update({ kind: "skip" }))).rejects.toThrow(/permission denied/);
  });
});

describe("what the skin did", () => {
  const spots = (change: object = {}) => ({
    id: randomUUID(),
    place: "blade" as const,
    side: "L" as const,
    response: "spots" as const,
    after: "edge" as const,
    ...change,
  });

  it("is kept once with its visit’s day, is gone and there again, and can be taken off and come back", async () => {
    const { id, visits } = await newClient();
    const one = spots();
    for (let i = 0; i < 2; i++) await work((tx) => addSkin(tx, id, visits[1]!.id, one));
    expect(await work((tx) => skinOf(tx, id))).toMatchObject([{ ...one, visit: 2, on: visits[1]!.onDate, gone: null }]);
    await work((tx) => setSkinGone(tx, id, one.id, "2026-03-09"));
    expect(await work((tx) => skinOf(tx, id))).toMatchObject([{ gone: "2026-03-09" }]);
    await work((tx) => setSkinGone(tx, id, one.id, null));
    await work((tx) => setSkinRemoved(tx, id, one.id, true));
    expect(await work((tx) => skinOf(tx, id))).toEqual([]);
    await work((tx) => setSkinRemoved(tx, id, one.id, false));
    expect(await work((tx) => skinOf(tx, id))).toMatchObject([{ gone: null }]);
  });

  it("belongs to its client, and says one thing", async () => {
    const [mine, other] = [await newClient(), await newClient()];
    const one = spots();
    await work((tx) => addSkin(tx, mine.id, mine.visits[0]!.id, one));
    await expect(work((tx) => addSkin(tx, other.id, other.visits[0]!.id, one))).rejects.toThrow(Overtaken);
    await expect(
      work((tx) => addSkin(tx, mine.id, mine.visits[0]!.id, { ...one, response: "bruise" })),
    ).rejects.toThrow(Overtaken);
    await expect(work((tx) => setSkinGone(tx, other.id, one.id, null))).rejects.toThrow(NotFound);
    await expect(work((tx) => setSkinRemoved(tx, other.id, one.id, true))).rejects.toThrow(NotFound);
  });
});
