import { randomUUID } from "node:crypto";
import fc from "fast-check";
import { createClient } from "./clients";
import { Overtaken } from "./errors";
import { gradeRestriction, listeningsOf, saveStation, setRestrictionRemoved, addRestriction } from "./findings";
import { measurementsOf, saveMeasurement } from "./measurements";
import { addOwnMeasure, ownMeasuresOf, saveOwnScore, saveOwnWords } from "./own-measures";
import { saveSchool } from "./practitioners";
import { usualSchool } from "../core/screening/facts";
import { appendEvents } from "./session-events";
import type { Tx } from "./database";
import { draft, makeDatabase, type TestDatabase } from "./test/database";
import { listVisits, planVisits } from "./visits";

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
    await planVisits(tx, id, ["2026-01-05", "2026-01-12"]);
    return { id, visits: (await listVisits(tx, id)).map((visit) => visit.id) as [string, string] };
  });
const theirs = (task: (tx: Tx) => Promise<unknown>) =>
  work(task).then(
    () => "kept",
    (error: Error) => (error instanceof Overtaken ? error.theirs : error.message),
  );

describe("two tabs on one value", () => {
  it("each learn of the other: who saw something else is told what stands there, for every kind of value", async () => {
    const { id, visits } = await newClient();
    const [visit] = visits;
    const score = randomUUID();
    await work((tx) => addOwnMeasure(tx, id, { id: score, kind: "pain", name: "neck" }));
    await work((tx) => saveOwnScore(tx, id, score, visit, 6, null));
    expect(await theirs((tx) => saveOwnScore(tx, id, score, visit, 3, null))).toBe(6);
    expect(await theirs((tx) => saveOwnScore(tx, id, score, visit, 3, 6))).toBe("kept");
    await work((tx) => saveOwnWords(tx, visit, "better", ""));
    expect(await theirs((tx) => saveOwnWords(tx, visit, "worse", ""))).toBe("better");
    await work((tx) => saveOwnWords(tx, visit, "", "better"));
    expect(await theirs((tx) => saveOwnWords(tx, visit, "again", ""))).toBe("kept");
    const hand = { moment: "before" as const, readingId: "head-tilt.front", method: "inclinometer" as const };
    await work((tx) => saveMeasurement(tx, visit, { ...hand, value: 3 }, null));
    expect(await theirs((tx) => saveMeasurement(tx, visit, { ...hand, value: 5 }, null))).toBe(3);
    expect(await theirs((tx) => saveMeasurement(tx, visit, { ...hand, value: null }, 4))).toBe(3);
    expect(await theirs((tx) => saveMeasurement(tx, visit, { ...hand, value: null }, 3))).toBe("kept");
    expect(await theirs((tx) => saveMeasurement(tx, visit, { ...hand, value: 5 }, 3))).toBe(null);
    await work((tx) => saveStation(tx, visit, "before", "ribs", { symmetry: "even" }, null));
    expect(await theirs((tx) => saveStation(tx, visit, "before", "ribs", { symmetry: "left leads" }, null))).toEqual({
      symmetry: "even",
    });
    expect((await work((tx) => listeningsOf(tx, id)))[0]!.stations).toEqual({ ribs: { symmetry: "even" } });
    expect(await work((tx) => measurementsOf(tx, id))).toEqual([]);
    expect((await work((tx) => ownMeasuresOf(tx, id))).scores).toMatchObject([{ score: 3 }]);
  });

  it("never lose a choice: of writers at once, one is kept and the others are told", async () => {
    const { id, visits } = await newClient();
    await fc.assert(
      fc.asyncProperty(
        fc.uniqueArray(fc.integer({ min: 0, max: 10 }), { minLength: 2, maxLength: 5 }),
        async (scores) => {
          const measure = randomUUID();
          await work((tx) => addOwnMeasure(tx, id, { id: measure, kind: "activity", name: "x" }));
          const told = await Promise.all(
            scores.map((score) => theirs((tx) => saveOwnScore(tx, id, measure, visits[0], score, null))),
          );
          const winner = scores[told.indexOf("kept")];
          expect(told.filter((each) => each === "kept")).toHaveLength(1);
          expect(told.filter((each) => each !== "kept")).toEqual(scores.slice(1).map(() => winner));
        },
      ),
      { numRuns: 10 },
    );
  });

  it("guard how a practitioner works, too", async () => {
    const who = randomUUID();
    await work((tx) =>
      tx("practitioner").insert({ id: who, name: "Una", email: `${who}@x.example`, password_hash: "x" }),
    );
    const strong = { ...usualSchool, pressureCeiling: 9 };
    await work((tx) => saveSchool(tx, who, strong, usualSchool));
    expect(await theirs((tx) => saveSchool(tx, who, { ...usualSchool, oil: false }, usualSchool))).toEqual(strong);
    expect(await theirs((tx) => saveSchool(tx, who, strong, usualSchool))).toBe("kept");
  });
});

describe("parents", () => {
  const restriction = {
    id: randomUUID(),
    region: "neck",
    structure: "upper-trapezius",
    side: "R",
    layer: "SM",
    quality: "band",
    bind: "",
    ease: "",
  } as const;

  it("are checked: a restriction is graded and taken away through its own client only", async () => {
    const [one, two] = [await newClient(), await newClient()];
    await work((tx) => addRestriction(tx, one.id, restriction));
    const at = { restrictionId: restriction.id, visitId: two.visits[0], moment: "before" as const };
    const felt = { grade: 2, tenderness: 1 };
    await expect(work((tx) => gradeRestriction(tx, two.id, at, felt, null))).rejects.toThrow("restriction not found");
    await expect(work((tx) => setRestrictionRemoved(tx, two.id, restriction.id, true))).rejects.toThrow("not found");
    // the id of somebody else's restriction is no way to move or rewrite it
    await expect(work((tx) => addRestriction(tx, two.id, restriction))).rejects.toThrow(Overtaken);
  });

  it("hold for events: an id that stands for another visit's event, or other content, is not stored", async () => {
    const { visits } = await newClient();
    const event = { id: randomUUID(), at: "2026-11-24T10:00:00.000Z", kind: "next" as const, body: { step: 1 } };
    const other = { ...event, id: randomUUID(), body: { step: 2 } };
    const add = (visit: string, ...events: (typeof event)[]) => work((tx) => appendEvents(tx, visit, events));
    expect(await add(visits[0], event)).toEqual({ stored: [event.id], elsewhere: [] });
    expect(await add(visits[0], event)).toEqual({ stored: [event.id], elsewhere: [] });
    expect(await add(visits[1], event, other)).toEqual({ stored: [other.id], elsewhere: [event.id] });
    expect(await add(visits[0], { ...event, body: { step: 9 } })).toEqual({ stored: [], elsewhere: [event.id] });
  });
});
