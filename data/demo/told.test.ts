import { areasIn, stands } from "../../core/consent/consent";
import { usualSchool } from "../../core/screening/facts";
import { obstacles } from "../../core/screening/may-start";
import { acting, judge } from "../../core/screening/outcome";
import { screen } from "../../core/screening/screen";
import { tableList } from "../../core/session/table-list";
import { techniqueOf } from "../../core/techniques/library";
import { changeOf } from "../../core/own-measures/own-measures";
import { getClient } from "../clients";
import { consentsOf } from "../consents";
import { currentEntries, historyVersions } from "../history";
import { ownMeasuresOf } from "../own-measures";
import { preferencesOf } from "../preferences";
import { answersOf, decisionsOf } from "../screening";
import { seriesOf } from "../series";
import { makeDatabase, type TestDatabase } from "../test/database";
import { listVisits } from "../visits";
import { loadDemo } from "./load";
import { people, practice, ruben, type Person } from "./people";
import { toldBy, typedEntry } from "./told";

const today = "2026-11-25";
let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
  await loadDemo(db.app, today);
});
afterAll(() => db.drop());

const cautionsOf = (person: Person) =>
  db.within(practice.id, async (tx) => {
    const client = await getClient(tx, person.id);
    const facts = {
      born: client.born,
      history: currentEntries(await historyVersions(tx, client.id)),
      answers: await answersOf(tx, client.id),
      preferences: await preferencesOf(tx, client.id),
      school: usualSchool,
    };
    return acting(judge(screen(facts), await decisionsOf(tx, client.id)), today);
  });
const named = (name: string) => people.find((person) => person.name.startsWith(name))!;

describe("what the demo's people told", () => {
  it.each<[string, string[]]>([
    ["Ruben", []],
    ["Ines", ["Allergy to nuts"]],
    ["Petra", ["Osteoporosis", "Reflux"]],
    ["Jonah", []],
    ["Maribel", ["Pause word: harbour", "Quiet", "Stays clothed", "Whiplash or head injury: neck"]],
    ["Desmond", ["Joint replaced: knee, left", "Not touched: sole, left"]],
  ])("%s: %j", async (name, expected) => {
    const found = (await cautionsOf(named(name))).filter((caution) => caution.origin !== "setting");
    expect([...new Set(found.map((caution) => caution.title))].sort()).toEqual(expected);
  });

  it("leaves nobody in the way of a session but by what is really open", async () => {
    for (const person of people) {
      const cautions = await cautionsOf(person);
      const [answers, consents, visits] = await db.within(practice.id, async (tx) => [
        await answersOf(tx, person.id),
        await consentsOf(tx, person.id),
        await listVisits(tx, person.id),
      ]);
      const open = visits.find((visit) => visit.status !== "closed")!;
      expect(
        obstacles({
          cautions,
          answered: new Set(answers.map((answer) => answer.question)),
          askedAgain: true,
          general: stands(consents, "general", open.id),
          guardian: stands(consents, "guardian", open.id),
          broken: [],
        }),
      ).toEqual([]);
      // consent to a sensitive area is asked at the visit, not loaded with it
      expect(consents.some((consent) => consent.subject.startsWith("area "))).toBe(false);
    }
  });

  it("has Ruben's fifth session wait for consent where his plan works in sensitive areas", async () => {
    await db.within(practice.id, async (tx) => {
      const planned = (await seriesOf(tx, ruben.id))!.plan!.sessions[4]!;
      const visit = (await listVisits(tx, ruben.id))[4]!;
      const areas = areasIn(planned.steps.map((step) => techniqueOf(step.technique)));
      const { asked, leftOut, steps } = tableList(planned, await consentsOf(tx, ruben.id), visit.id);
      expect(asked.map((each) => each.subject)).toEqual(areas.map((area) => `area ${area}`));
      expect(leftOut.length).toBeGreaterThan(0);
      expect(steps.length).toBeGreaterThan(5);
    });
  });

  it("has Ruben clearly better by his own scales, and one that cannot be told", async () => {
    const { measures, scores } = await db.within(practice.id, (tx) => ownMeasuresOf(tx, ruben.id));
    expect(measures.map((measure) => changeOf(measure, scores)!.way ?? "cannot be told").sort()).toEqual([
      "better",
      "better",
      "cannot be told",
    ]);
  });

  it("names conditions the catalogue knows, typed as people say them", () => {
    for (const person of people)
      for (const entry of toldBy(person).history.map(typedEntry)) {
        expect(entry.what).not.toBe("");
        if (entry.condition === null) expect(entry.kind).toBe("injury");
      }
  });
});
