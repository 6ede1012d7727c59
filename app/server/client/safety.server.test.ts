import { randomUUID } from "node:crypto";
import { addDays, format, subDays } from "date-fns";
import type { Client } from "~core/client";
import { plusDays } from "~core/days";
import type { Marks } from "~core/measure/calibration";
import { usualSchool } from "~core/screening/facts";
import { acting, type Judged } from "~core/screening/outcome";
import { questions } from "~core/screening/questions";
import { quickPlan } from "~core/test/quick-plan";
import { entryOf } from "~core/test/facts";
import { figureOf, setupOf, trueMarks, usualCamera } from "../../../devices/camera/camera";
import { neutralPosture } from "../../../devices/camera/posture";
import { createClient, getClient } from "~data/clients";
import { recordConsent } from "~data/consents";
import type { Tx } from "~data/database";
import { recordHistory } from "~data/history";
import { saveMeasurement } from "~data/measurements";
import { addPhoto, photosOfClient, saveMarks } from "~data/photos";
import { savePreferences, preferencesOf } from "~data/preferences";
import { recordAnswer, recordDecision } from "~data/screening";
import { addScar, setScarClosed, scarsOf } from "~data/scars";
import { addSkin, setSkinGone } from "~data/skin";
import { saveSeries, seriesOf, type SeriesSettings } from "~data/series";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { closeVisit, listVisits, openVisit, planVisits } from "~data/visits";
import { obstaclesOf } from "./may-start.server";
import { momentsOfClient } from "./readings.server";
import { planInputOf, unsafeIn } from "./plan-input.server";
import { followDays } from "./workspace.server";
import { dayOfVisit, judgedOf } from "./screening.server";

const today = format(new Date(), "yyyy-MM-dd");
const ago = (days: number) => format(subDays(new Date(), days), "yyyy-MM-dd");
const odile = { settings: {} };
const by = "Odile Marrow";
let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);

const settings: SeriesSettings = { bookedMinutes: 90, thumbBudget: 40, startOn: today, intervalDays: 10, locks: [] };
/** A client with a solved series, three visits planned, and nothing asked yet. */
const planned = () =>
  work(async (tx) => {
    const id = randomUUID();
    await createClient(tx, id, draft);
    const client = await getClient(tx, id);
    const input = await planInputOf(tx, client, undefined, "three-step", settings, await judgedOf(tx, client, odile));
    const sessions = quickPlan(input)!;
    const plan = { sessions, score: 1, targets: [], solvedAt: `${today}T08:00:00.000Z` };
    await saveSeries(tx, { id: randomUUID(), clientId: id, template: "three-step", settings, plan, version: 0 });
    await planVisits(tx, id, input.days);
    return { id, client, visits: await listVisits(tx, id) };
  });
const tell = (tx: Tx, clientId: string, ...[key, change]: Parameters<typeof entryOf>) => {
  const { id: _id, at: _at, ...body } = entryOf(key, change);
  const entryId = randomUUID();
  return recordHistory(tx, clientId, { entryId, after: null, act: "told", body, why: "", by }).then(() => entryId);
};
const answer = (tx: Tx, clientId: string, question: string, given: "yes" | "no" | "unsure") =>
  recordAnswer(tx, clientId, { id: randomUUID(), visitId: null, question, answer: given, by });
const consent = (tx: Tx, clientId: string, given: boolean) =>
  recordConsent(tx, clientId, {
    id: randomUUID(),
    subject: "general",
    visitId: null,
    given,
    textVersion: "1",
    text: "I agree.",
    signedBy: "Wilma",
    signature: null,
    by,
  });

describe("what stands between a client and a session", () => {
  it("goes away one by one as it is settled, and comes back when it is unsettled", async () => {
    const { id, client, visits } = await planned();
    const open = () =>
      work(async (tx) =>
        (await obstaclesOf(tx, client, visits[0]!, await judgedOf(tx, client, odile))).map((each) => each.settle),
      );
    expect(await open()).toEqual(["screening", "consent"]);
    await work(async (tx) => {
      for (const question of questions) await answer(tx, id, question.key, "no");
    });
    expect(await open()).toEqual(["consent"]);
    await work((tx) => consent(tx, id, true));
    expect(await open()).toEqual([]);
    await work((tx) => answer(tx, id, "hot-calf", "yes"));
    expect(await open()).toEqual(["screening"]);
    await work((tx) =>
      recordDecision(tx, id, {
        id: randomUUID(),
        outcomeKey: "answer hot-calf",
        kind: "clearance",
        who: "Dr A",
        on: today,
        what: "scan clear",
        by,
      }),
    );
    expect(await open()).toEqual([]);
    await work((tx) => consent(tx, id, false));
    expect(await open()).toEqual(["consent"]);
  });

  it("is judged for today, whatever day the visit was planned for", async () => {
    const { id, client, visits } = await planned();
    const region = "low-back";
    // healed by the third visit in twenty days, not today
    await work((tx) => tell(tx, id, "fracture", { on: ago(75), region, side: "both" }));
    const paths = (visit: number) =>
      work(
        async (tx) =>
          (await obstaclesOf(tx, client, visits[visit]!, await judgedOf(tx, client, odile))).filter(
            (each) => each.settle === "path",
          ).length > 0,
      );
    const [first, third] = [await paths(0), await paths(2)];
    const worksThere = await work(async (tx) => {
      const broken = unsafeIn(client, await seriesOf(tx, id), visits, await judgedOf(tx, client, odile));
      return broken.map((violation) => violation.session);
    });
    expect(first).toBe(worksThere.includes(0));
    // planned for its own day it breaks nothing; started today it would
    expect(worksThere).not.toContain(2);
    expect(third).toBe(true);
  });
});

describe("what was found on the skin", () => {
  const acts = (id: string, client: Client, day: string) =>
    work(async (tx) => acting(await judgedOf(tx, client, odile), day).map(({ kind, title }) => `${kind} ${title}`));

  it("keeps a marked place out until it is gone, two days at least", async () => {
    const { id, client, visits } = await planned();
    const found = { id: randomUUID(), place: "blade", side: "L", response: "spots", after: "edge" } as const;
    await work((tx) => addSkin(tx, id, visits[0]!.id, found));
    const marked = "exclude Marked skin: shoulder blade, left";
    const on = visits[0]!.onDate;
    expect(await acts(id, client, plusDays(on, 30))).toContain(marked);
    await work((tx) => setSkinGone(tx, id, found.id, on));
    expect(await acts(id, client, plusDays(on, 1))).toContain(marked);
    expect(await acts(id, client, plusDays(on, 2))).not.toContain(marked);
    const broken = await work(async (tx) => {
      await setSkinGone(tx, id, found.id, null);
      return unsafeIn(client, await seriesOf(tx, id), visits, await judgedOf(tx, client, odile));
    });
    expect(broken.some(({ sentence }) => /marked skin: shoulder blade, left/.test(sentence))).toBe(true);
  });

  it("leaves a young scar alone, and asks again once it has opened", async () => {
    const { id, client } = await planned();
    const scar = {
      id: randomUUID(),
      places: ["knee"] as const,
      side: "R" as const,
      line: null,
      lengthMm: 30,
      since: ago(20),
      closed: true,
      words: "",
    };
    await work((tx) => addScar(tx, id, scar));
    expect(await acts(id, client, today)).toContain("exclude Scar: knee, right");
    expect(await acts(id, client, plusDays(today, 50))).toContain("limit Scar: knee, right");
    expect(await acts(id, client, plusDays(today, 200))).not.toContain("limit Scar: knee, right");
    const clear = () =>
      work((tx) =>
        recordDecision(tx, id, {
          id: randomUUID(),
          outcomeKey: `${scar.id} open`,
          kind: "clearance",
          who: "Dr A",
          on: today,
          what: "dressed, may be worked beside",
          by,
        }),
      );
    const close = (closed: boolean) =>
      work(async (tx) => {
        const { version } = (await scarsOf(tx, id)).find((each) => each.id === scar.id)!;
        await setScarClosed(tx, id, scar.id, closed, version);
      });
    await close(false);
    await clear();
    const open = (judged: readonly Judged[]) => judged.find(({ key }) => key === `${scar.id} open`)!.decided;
    const judged = () => work((tx) => judgedOf(tx, client, odile));
    expect(open(await judged())).toBeDefined();
    // closed, and opened again: what was cleared before is another matter
    await close(true);
    await close(false);
    expect(open(await judged())).toBeUndefined();
  });
});

describe("the input of a plan", () => {
  it("takes worked visits with their own days, and leaves out what was set aside", async () => {
    const { id, client } = await planned();
    const input = await work(async (tx) => {
      const entry = await tell(tx, id, "osteoporosis");
      const keyed = { id: randomUUID(), outcomeKey: `${entry} pressure`, kind: "override" as const, who: by };
      await recordDecision(tx, id, { ...keyed, on: today, what: "agreed with her", by });
      await tx("visit")
        .where({ client_id: id, ordinal: 1 })
        .update({ on_date: ago(12) });
      await tx("visit")
        .where({ id: (await listVisits(tx, id))[0]!.id })
        .update({ status: "closed" });
      return planInputOf(tx, client, await seriesOf(tx, id), "three-step", settings, await judgedOf(tx, client, odile));
    });
    expect(input.done).toHaveLength(1);
    expect(input.days[0]).toBe(ago(12));
    expect(input.days).toHaveLength(3);
    const own = input.cautions.filter((caution) => caution.origin === "history");
    expect(own.map((caution) => caution.kind)).toEqual(["exclude"]);
  });

  it("holds the practitioner's school and the client's wishes", async () => {
    const { id, client } = await planned();
    const strict = { settings: { school: { ...usualSchool, pressureCeiling: 3, oil: false } } };
    const cautions = await work(async (tx) => {
      const { version, ...wishes } = await preferencesOf(tx, id);
      await savePreferences(tx, id, version, { ...wishes, positionsOut: ["prone"] });
      return judgedOf(tx, client, strict);
    });
    expect(cautions.map((caution) => caution.key).sort()).toEqual([
      "school media",
      "school pressure",
      "wish position prone",
    ]);
    const broken = await work(async (tx) =>
      unsafeIn(client, await seriesOf(tx, id), await listVisits(tx, id), cautions),
    );
    expect(broken.length).toBeGreaterThan(0);
    expect(await work(async (tx) => unsafeIn(client, undefined, await listVisits(tx, id), cautions))).toEqual([]);
  });

  it("counts a visit's day from today on while it is open, and as it was once it is closed", () => {
    expect(dayOfVisit({ status: "planned", onDate: "2999-01-01" })).toBe("2999-01-01");
    expect(dayOfVisit({ status: "planned", onDate: "2020-01-01" })).toBe(today);
    expect(dayOfVisit({ status: "open", onDate: "2020-01-01" })).toBe(today);
    expect(dayOfVisit({ status: "closed", onDate: "2020-01-01" })).toBe("2020-01-01");
  });
});

describe("readings of a client", () => {
  it("follow the marks of a picture, and hand measurements beside them", async () => {
    const { id, visits } = await planned();
    const camera = { ...usualCamera, view: "front" as const };
    const marks = trueMarks(figureOf({ ...neutralPosture, shoulderTilt: -4 }), camera);
    const photoId = randomUUID();
    const setup = setupOf(camera, 1750);
    const readings = () => work((tx) => momentsOfClient(tx, id));
    await work((tx) =>
      addPhoto(
        tx,
        { id: photoId, visitId: visits[0]!.id, moment: "before", view: "front", setup, marks: {} as Marks },
        { mime: "image/webp", bytes: Buffer.from("x"), thumb: Buffer.from("x") },
      ),
    );
    expect(await readings()).toEqual([]);
    await work(async (tx) =>
      saveMarks(tx, photoId, (await photosOfClient(tx, id))[0]!.version, { marks, setup, markedBy: null }),
    );
    const [moment] = await readings();
    const level = moment!.readings.find((reading) => reading.metric.key === "shoulder-level")!;
    expect(Math.abs(level.value)).toBeGreaterThan(2);
    await work((tx) =>
      saveMeasurement(tx, visits[0]!.id, { moment: "after", readingId: level.id, method: "inclinometer", value: 0.5 }),
    );
    const after = (await readings()).find((each) => each.key === "1-after")!;
    expect(after.readings.map((reading) => [reading.id, reading.value, reading.se])).toEqual([[level.id, 0.5, 1.5]]);
  });
});

describe("a visit worked on another day than planned", () => {
  const day = (offset: number) => format(addDays(new Date(), offset), "yyyy-MM-dd");
  const days = (id: string) => work(async (tx) => (await listVisits(tx, id)).map((visit) => visit.onDate));

  it("is recorded on that day, and the visits after it follow by the series' interval", async () => {
    const { id, visits } = await planned();
    expect(await days(id)).toEqual([day(0), day(10), day(20)]);
    await work(async (tx) => {
      await openVisit(tx, visits[0]!.id, day(3), null);
      await followDays(tx, id);
    });
    expect(await days(id)).toEqual([day(3), day(13), day(23)]);
    // the plan is judged on the same days
    const input = await work(async (tx) => {
      const client = await getClient(tx, id);
      const series = await seriesOf(tx, id);
      return planInputOf(tx, client, series, "three-step", settings, await judgedOf(tx, client, odile));
    });
    expect(input.days).toEqual([day(3), day(13), day(23)]);
  });

  it("closed without a run before its day, was held on the day it is closed", async () => {
    const { id, visits } = await planned();
    const [, second] = await work((tx) => listVisits(tx, id));
    await work((tx) => closeVisit(tx, visits[0]!.id, visits[0]!.version, "by hand", day(0)));
    await work((tx) => closeVisit(tx, second!.id, second!.version, "by hand", day(2)));
    expect(await days(id)).toEqual([day(0), day(2), day(20)]);
  });
});
