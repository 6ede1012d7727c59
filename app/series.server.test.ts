import { randomUUID } from "node:crypto";
import { format, subDays } from "date-fns";
import { daysBetween, plusDays } from "~core/days";
import { solve } from "~core/series/solve";
import { createClient } from "~data/clients";
import type { Tx } from "~data/database";
import { saveSeries, seriesOf, type SeriesSettings } from "~data/series";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { closeVisit, listVisits, openVisit, planVisits } from "~data/visits";
import { keepSeries, seriesView } from "./routes/client/path/series.server";

const today = format(new Date(), "yyyy-MM-dd");
const ago = (days: number) => format(subDays(new Date(), days), "yyyy-MM-dd");
const odile = { settings: {} };
let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
});
afterAll(() => db.drop());
const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);

const settings: SeriesSettings = { bookedMinutes: 90, thumbBudget: 40, startOn: today, intervalDays: 10, locks: [] };
/** What the page would send: solved here as the browser does. */
const solved = async (tx: Tx, clientId: string, chosen: SeriesSettings, template = "three-step") => {
  const { input, series } = await seriesView(tx, odile, clientId);
  const { course: _, ...rest } = input;
  const plan = solve(
    { ...rest, template, tableMinutes: chosen.bookedMinutes - 20, ...(chosen.course && { course: chosen.course }) },
    { seed: 1, moves: 300 },
  )!;
  return { id: randomUUID(), version: series?.version ?? 0, template, settings: chosen, plan };
};
const planned = async (chosen = settings) => {
  const id = randomUUID();
  await work(async (tx) => {
    await createClient(tx, id, draft);
    await planVisits(tx, id, [today]);
    expect(await keepSeries(tx, odile, id, await solved(tx, id, chosen))).toEqual({ ok: true });
  });
  return id;
};
const daysOf = (id: string) => work(async (tx) => (await listVisits(tx, id)).map(({ onDate }) => onDate));
/** Works the first visits on days gone by. */
const workOn = (id: string, days: readonly string[]) =>
  work(async (tx) => {
    for (const [i, day] of days.entries()) {
      const visit = (await listVisits(tx, id))[i]!;
      await openVisit(tx, visit.id, day);
      const { version } = (await listVisits(tx, id))[i]!;
      await closeVisit(tx, visit.id, version, "", today);
    }
  });
const refused = (answer: unknown) => (answer as { data: { errors?: object; breaches?: string[] } }).data;

describe("keeping a series", () => {
  it("moves the visits still to come when only the rhythm changes, and leaves the plan alone", async () => {
    const id = await planned();
    expect(await daysOf(id)).toEqual([today, plusDays(today, 10), plusDays(today, 20)]);
    const before = (await work((tx) => seriesOf(tx, id)))!;
    const send = (chosen: SeriesSettings, version: number) =>
      work((tx) =>
        keepSeries(tx, odile, id, { id: before.id, version, template: "three-step", settings: chosen, plan: null }),
      );
    expect(await send({ ...settings, intervalDays: 5, laterDays: 14 }, before.version)).toEqual({ ok: true });
    expect(await daysOf(id)).toEqual([today, plusDays(today, 5), plusDays(today, 19)]);
    const after = (await work((tx) => seriesOf(tx, id)))!;
    expect(after.plan).toEqual(before.plan);
    // another tab still has the first version
    expect(refused(await send(settings, before.version))).toEqual({ stale: true });
  });

  it("takes another course only with its plan, lengthens and shortens the row of visits", async () => {
    const id = await planned();
    const course = [0, 0, 1, 2];
    const alone = await work(async (tx) =>
      keepSeries(tx, odile, id, { ...(await solved(tx, id, { ...settings, course })), plan: null }),
    );
    expect(refused(alone).errors).toHaveProperty("template");
    expect(await daysOf(id)).toHaveLength(3);
    // a plan of three sessions is none of four
    const wrong = await work(async (tx) => {
      const three = await solved(tx, id, settings);
      return keepSeries(tx, odile, id, { ...three, settings: { ...settings, course } });
    });
    expect(refused(wrong).breaches![0]).toMatch(/has 4 sessions and the plan 3/);
    await work(async (tx) => keepSeries(tx, odile, id, await solved(tx, id, { ...settings, course })));
    expect(await daysOf(id)).toEqual([0, 10, 20, 30].map((n) => plusDays(today, n)));
    await work(async (tx) => keepSeries(tx, odile, id, await solved(tx, id, { ...settings, course: [1, 2] })));
    expect(await daysOf(id)).toHaveLength(2);
  });

  it.each([
    [{ course: [0, 3] }, "settings.course"],
    [{ intervalDays: 1 }, "settings.intervalDays"],
    [{ laterDays: 60 }, "settings.laterDays"],
    [{ weekdays: [0] }, "settings.weekdays[0]"],
  ])("refuses %j and names the field", async (over, field) => {
    const answer = await work((tx) =>
      keepSeries(tx, odile, randomUUID(), {
        id: randomUUID(),
        version: 0,
        template: "three-step",
        settings: { ...settings, ...over },
        plan: null,
      }),
    );
    expect(Object.keys(refused(answer).errors!)).toEqual([
      expect.stringContaining(field.replace("settings.course", "settings")),
    ]);
  });
});

describe("what is said before the next session", () => {
  it("offers to join one step earlier after a long break, and no more once that is done", async () => {
    const id = await planned({ ...settings, startOn: ago(50) });
    await workOn(id, [ago(50)]);
    const [hint] = await work(async (tx) => (await seriesView(tx, odile, id)).hints);
    expect(hint).toMatchObject({ kind: "join again", change: { kind: "again", session: 0 } });
    expect(hint!.why).toMatch(/^50 days/);
    await work(async (tx) => keepSeries(tx, odile, id, await solved(tx, id, { ...settings, course: [0, 0, 1, 2] })));
    expect(await work(async (tx) => (await seriesView(tx, odile, id)).hints)).toEqual([]);
  });

  it("says nothing of it after an ordinary interval, and that what was kept was not measured", async () => {
    const id = await planned({ ...settings, startOn: ago(9) });
    await workOn(id, [ago(9)]);
    const { hints, rhythm, input } = await work((tx) => seriesView(tx, odile, id));
    expect(hints).toEqual([]);
    expect(rhythm!.change).toBeUndefined();
    expect(rhythm!.why).toMatch(/not measured/);
    expect(daysBetween(ago(9), input.days[1]!)).toBe(10);
  });
});

it("a series of another practice is not found", async () => {
  const id = await planned();
  await db.within(db.practices[1], async (tx) => {
    await expect(seriesView(tx, odile, id)).rejects.toThrow();
    expect(await seriesOf(tx, id)).toBeUndefined();
    await expect(
      saveSeries(tx, { id: randomUUID(), clientId: id, template: "three-step", settings, plan: null, version: 0 }),
    ).rejects.toThrow();
  });
});
