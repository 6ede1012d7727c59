import { addDays, format, parseISO } from "date-fns";
import type { Knex } from "knex";
import { seeded, seedOf, type Random } from "../../core/random";
import type { Taken } from "../../core/move/ranges";
import { tableMoments, type TableEvent, type TableMoment } from "../../core/table/answers";
import type { Side } from "../../core/units";
import type { Listening, StationKey } from "../../core/light-touch/stations";
import { stations } from "../../core/light-touch/stations";
import { closingNote } from "../../core/session/closing-note";
import { runSteps, type SessionEvent } from "../../core/session/events";
import { foldRun } from "../../core/session/fold";
import { targetsFrom } from "../../core/reading/targets";
import { tableMinutesOf, type PlannedSession } from "../../core/series/plan";
import { solve } from "../../core/series/solve";
import { inPractice, type Tx } from "../database";
import { createClient } from "../clients";
import { addRestriction, gradeRestriction, saveStation } from "../findings";
import { addPhoto } from "../photos";
import { takeIn } from "../photo-intake";
import { hashPassword } from "../practitioners";
import { saveSeries } from "../series";
import { appendEvents } from "../session-events";
import { listVisits, type Visit } from "../visits";
import { lightEvents } from "./light";
import { textFor } from "../../core/consent/consent";
import { readEntry } from "../../core/screening/entry";
import { usualPreferences } from "../../core/screening/facts";
import { questions } from "../../core/screening/questions";
import { recordConsent } from "../consents";
import { recordHistory } from "../history";
import { addOwnMeasure, saveOwnScore } from "../own-measures";
import { savePreferences } from "../preferences";
import { recordAnswer } from "../screening";
import { toldBy, typedEntry } from "./told";
import { addVersions } from "../library";
import { addScar, feelScar } from "../scars";
import { addTriggerPoint, feelPoint } from "../trigger-points";
import { restrictionsAt } from "./findings";
import { ownTechniques } from "./techniques";
import { studySet } from "../study-set";
import { beginStudy, getStudy, keepMarking, type StudyItem } from "../studies";
import { madeBytes, madePhotos, madePlan, madeStudy } from "./made";
import {
  password,
  people,
  practice,
  practitioners,
  leontine,
  ruben,
  rubenPoint,
  rubenRanges,
  rubenScar,
  rubenTable,
  type Person,
} from "./people";

/** An id that is the same every time the demo is loaded. */
export function demoId(name: string): string {
  const random = seeded(seedOf(`demo ${name}`));
  const hex = Array.from({ length: 32 }, () => Math.floor(random.uniform() * 16).toString(16)).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20)}`;
}

/** Loads the demo practice once; false when it is already there. `today` is an ISO day that the dates turn on. */
export async function loadDemo(db: Knex, today: string): Promise<boolean> {
  return inPractice(db, practice.id, async (tx) => {
    await tx.raw("select pg_advisory_xact_lock(4711)");
    if (await tx("practice").first("practice_id")) return false;
    await tx("practice").insert({ practice_id: practice.id, name: practice.name });
    for (const { id, name, email } of practitioners)
      await tx("practitioner").insert({ id, name, email, password_hash: await hashPassword(password) });
    const own = ownTechniques.map((definition) => ({ stem: definition.key, definition }));
    await addVersions(tx, "technique", own, { number: 0 }, practitioners[0]!.name);
    for (const person of people) await loadPerson(tx, person, today);
    await loadRuben(tx);
    await loadPhotos(tx, "leontine", await listVisits(tx, leontine.id));
    await loadStudy(tx);
    return true;
  });
}

const dayOf = (person: Person, visit: number, today: string) =>
  format(addDays(parseISO(today), person.nextIn + (visit - 1 - person.worked) * person.interval), "yyyy-MM-dd");

async function loadPerson(tx: Tx, person: Person, today: string): Promise<void> {
  await createClient(tx, person.id, person);
  for (let visit = 1; visit <= person.visits; visit++)
    await tx("visit").insert({
      id: demoId(`${person.id} visit ${visit}`),
      client_id: person.id,
      ordinal: visit,
      on_date: dayOf(person, visit, today),
      status: visit <= person.worked ? "closed" : "planned",
      closing_note: visit <= person.worked && person !== ruben ? "Worked as agreed; written by hand on the day." : "",
    });
  const visits = await listVisits(tx, person.id);
  for (const { grades, ...draft } of restrictionsAt(person, person.worked + 1)) {
    await addRestriction(tx, person.id, draft);
    for (const { visit, moment, grade, tenderness } of grades)
      await gradeRestriction(
        tx,
        person.id,
        { restrictionId: draft.id, visitId: visits[visit - 1]!.id, moment },
        { grade, tenderness },
        null,
      );
  }
  if (person === ruben) {
    const { roses, ...scar } = rubenScar;
    await addScar(tx, person.id, scar);
    const { felt: pressed, ...point } = rubenPoint;
    await addTriggerPoint(tx, person.id, point);
    for (const { visit, moment, ...felt } of pressed)
      await feelPoint(tx, person.id, { pointId: point.id, visitId: visits[visit - 1]!.id, moment }, felt, null);
    for (const { visit, moment, movement, ...sides } of rubenRanges)
      for (const side of ["L", "R"] as const) {
        const at = visits[visit - 1]!;
        const body: Taken = { moment, movement, side, drive: "active", values: sides[side], endFeel: "firm", pain: 0 };
        const id = demoId(`${at.id} ${moment} ${movement} ${side}`);
        await appendEvents(
          tx,
          at.id,
          [{ id, at: `${at.onDate}T09:30:00.000Z`, kind: "range", body }],
          "table_event",
          practitioners[0]!.id,
        );
      }
    for (const { visit, ...heard } of rubenTable) await loadTable(tx, visits[visit - 1]!, heard);
    for (const { visit, moment, slides, lift } of roses)
      await feelScar(
        tx,
        person.id,
        { scarId: scar.id, visitId: visits[visit - 1]!.id, moment },
        { slides, lift },
        null,
      );
  }
  await loadTold(tx, person, visits, today);
  if (person.name.startsWith("Maribel"))
    for (const visit of visits.slice(0, 2)) {
      for (const [moment, freed] of [
        ["before", 0],
        ["after", 0.8],
      ] as const)
        for (const [station, felt] of Object.entries(heard(visit.ordinal, freed)))
          await saveStation(tx, visit.id, moment, station as StationKey, felt, null);
      const light = lightEvents(visit.ordinal as 1 | 2, visit.onDate, (name) => demoId(`${visit.id} ${name}`));
      await appendEvents(tx, visit.id, light, "table_event", practitioners[0]!.id);
    }
  if (person.name.startsWith("Maribel")) await loadArc(tx, person, visits);
}

/** Her series: the light-touch arc over three visits, as it was solved from what was found before the first. */
async function loadArc(tx: Tx, person: Person, visits: readonly Visit[]): Promise<void> {
  const template = "arc-3";
  const settings = {
    bookedMinutes: 60,
    thumbBudget: 40,
    startOn: visits[0]!.onDate,
    intervalDays: person.interval,
    locks: [],
  };
  const targets = targetsFrom(restrictionsAt(person, 1), [], [], [], [{ visit: 1, heard: { before: heard(1, 0) } }]);
  const plan = solve(
    {
      template,
      tableMinutes: tableMinutesOf(settings.bookedMinutes),
      targets,
      complaintRegion: person.complaintRegion,
      pressureCeiling: person.pressureCeiling,
      thumbBudget: settings.thumbBudget,
      cautions: [],
      days: [],
      locks: [],
      done: [],
    },
    { seed: 1, moves: 500 },
  );
  if (!plan) throw new Error("no plan of the arc was found");
  await saveSeries(tx, {
    id: demoId("series of the arc"),
    clientId: person.id,
    template,
    settings,
    plan: { ...plan, targets, solvedAt: `${visits[0]!.onDate}T09:00:00.000Z` },
    version: 0,
  });
}

/** What the table said at a visit: measured where the check is, by hand and eye else. */
async function loadTable(tx: Tx, visit: Visit, heard: Record<TableMoment, Record<string, number>>): Promise<void> {
  const at = { before: "09:00", again: "09:20", after: "11:00" };
  const events = tableMoments.flatMap((moment) =>
    Object.entries(heard[moment]).map(([name, value]): TableEvent => {
      const [check, side = null] = name.split(" ") as [string, Side?];
      const way = ["malleoli", "malleoli-sitting", "shoulder-point"].includes(check) ? "measured" : "hand";
      return {
        id: demoId(`${visit.id} ${moment} ${name}`),
        at: `${visit.onDate}T${at[moment]}:00.000Z`,
        kind: "answer",
        body: { moment, check, side, way, value },
      };
    }),
  );
  await appendEvents(tx, visit.id, events, "table_event", practitioners[0]!.id);
}

/** What the client told before the first visit, and how it was for them since. */
async function loadTold(tx: Tx, person: Person, visits: readonly Visit[], today: string): Promise<void> {
  const by = practitioners[0]!.name;
  const told = toldBy(person);
  const id = (name: string) => demoId(`${person.id} ${name}`);
  for (const [i, entry] of told.history.entries()) {
    const read = readEntry(typedEntry(entry), today, person.born);
    if (read.errors) throw new Error(`demo history: ${JSON.stringify(read.errors)}`);
    const key = { entryId: id(`entry ${i}`), versionId: id(`version ${i}`) };
    await recordHistory(tx, person.id, { ...key, after: null, act: "told", body: read.body, why: "", by });
  }
  const first = visits[0]!.id;
  for (const question of questions)
    await recordAnswer(tx, person.id, {
      id: id(`answer ${question.key}`),
      question: question.key,
      answer: "no",
      visitId: first,
      by,
    });
  for (const subject of told.consents) {
    const { version, text } = textFor(subject);
    await recordConsent(tx, person.id, {
      id: id(`consent ${subject}`),
      visitId: first,
      subject,
      given: true,
      textVersion: version,
      text,
      signedBy: person.name,
      signature: null,
      by,
    });
  }
  if (Object.keys(told.wishes).length > 0)
    await savePreferences(tx, person.id, 0, { ...usualPreferences, ...told.wishes });
  for (const { kind, name, scores } of told.scales) {
    const measureId = id(`scale ${name}`);
    await addOwnMeasure(tx, person.id, { id: measureId, kind, name });
    for (const [i, score] of scores.entries())
      if (visits[i]) await saveOwnScore(tx, person.id, measureId, visits[i].id, score);
  }
}

/** What hands may have felt: weakest at the head, freer after the work. */
function heard(visit: number, freer: number): Listening {
  const random = seeded(seedOf(`heard ${visit} ${freer > 0}`));
  const level = (base: number) =>
    Math.max(0, Math.min(3, Math.round(base + freer + 0.25 * visit + 0.5 * random.normal()))) as 0 | 1 | 2 | 3;
  return Object.fromEntries(
    stations.map(({ key }, i) => {
      const base = 1.9 - 0.18 * i;
      const felt = {
        L: { quality: level(base), amplitude: level(base - 0.1) },
        R: { quality: level(base - 0.5), amplitude: level(base - 0.6) },
      };
      return [
        key,
        {
          ...felt,
          symmetry: felt.L.quality > felt.R.quality ? "left leads" : "even",
          rate: { perMinute: Math.round((8 + 0.4 * random.normal()) * 10) / 10, se: 0.2, cycles: 6 },
        },
      ];
    }),
  ) as Listening;
}

/** The first practitioner knows her own marking already; the second does not yet. */
async function loadStudy(tx: Tx): Promise<void> {
  const id = demoId("study");
  const who = practitioners[0]!.id;
  const marked = madeStudy();
  const pictures = new Map(studySet().map((picture) => [picture.key, picture]));
  const items = marked.map(({ key }): StudyItem => {
    const { view, setup } = pictures.get(key)!;
    return { source: { kind: "set", key }, view, setup };
  });
  await beginStudy(tx, id, who, items);
  const study = await getStudy(tx, who, id);
  for (const [item, { marks }] of marked.entries()) await keepMarking(tx, study, item, marks);
}

async function loadPhotos(tx: Tx, of: "ruben" | "leontine", visits: readonly Visit[]): Promise<void> {
  for (const photo of madePhotos(of)) {
    const visit = visits[photo.visit - 1]!;
    await addPhoto(
      tx,
      {
        id: demoId(photo.file),
        visitId: visit.id,
        moment: photo.moment,
        view: photo.view,
        setup: photo.setup,
        marks: photo.marks,
        markedBy: practitioners[0]!.id,
      },
      await takeIn(madeBytes(photo.file)),
    );
  }
}

async function loadRuben(tx: Tx): Promise<void> {
  const visits = await listVisits(tx, ruben.id);
  await loadPhotos(tx, "ruben", visits);
  const plan = madePlan();
  await saveSeries(tx, {
    id: demoId("series"),
    clientId: ruben.id,
    template: "ten-step",
    settings: {
      bookedMinutes: 90,
      thumbBudget: 40,
      startOn: visits[0]!.onDate,
      intervalDays: ruben.interval,
      locks: [],
    },
    plan: { ...plan, solvedAt: `${visits[0]!.onDate}T09:00:00.000Z` },
    version: 0,
  });
  for (const visit of visits.filter((each) => each.status === "closed")) {
    const events = workedEvents(
      plan.sessions[visit.ordinal - 1]!,
      visit.onDate,
      seeded(seedOf(`run ${visit.ordinal}`)),
      visit.ordinal,
    );
    await appendEvents(tx, visit.id, events);
    await tx("visit")
      .where({ id: visit.id })
      .update({ closing_note: closingNote(foldRun(events)) });
  }
}

const remarks = [
  "slower, more towards the sacrum next time",
  "breath came back here",
  "warm, left it alone after two passes",
  "ask about the wrist before this one",
];

/** A session as it may have gone: near its planned times, one step skipped, an answer and a remark here and there. */
function workedEvents(session: PlannedSession, day: string, random: Random, visit: number): SessionEvent[] {
  const steps = runSteps(session);
  let clock = Date.parse(`${day}T10:05:00Z`);
  const events: SessionEvent[] = [];
  const log = (event: Omit<SessionEvent, "id" | "at">) =>
    events.push({
      ...event,
      id: demoId(`event ${visit} ${events.length}`),
      at: new Date(clock).toISOString(),
    } as SessionEvent);
  log({ kind: "started", body: { steps } });
  const skipped = visit === 2 ? -1 : Math.floor(steps.length * 0.6);
  const remarked = Math.floor(random.uniform() * (steps.length - 4)) + 2;
  steps.forEach((step, i) => {
    if (i === skipped) return log({ kind: "skip", body: { step: i } });
    if (i % 5 === 3) log({ kind: "pressure", body: { step: i, value: 3 + Math.floor(random.uniform() * 3) } });
    if (i === remarked) log({ kind: "note", body: { step: i, text: remarks[visit % remarks.length]! } });
    for (let pass = 0; pass < step.passes; pass++) {
      clock += Math.round(((step.planned * 1000) / step.passes) * (0.85 + 0.3 * random.uniform()));
      log({ kind: "next", body: { step: i } });
    }
  });
  log({ kind: "finished", body: {} });
  return events;
}
