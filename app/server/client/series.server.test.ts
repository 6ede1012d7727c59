import { randomUUID } from "node:crypto";
import { format, subDays } from "date-fns";
import { daysBetween, plusDays } from "~core/days";
import { solve } from "~core/series/solve";
import { createClient } from "~data/clients";
import type { Tx } from "~data/database";
import { saveSeries, seriesOf, type SeriesSettings } from "~data/series";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { closeVisit, listVisits, loadsBetween, openVisit, planVisits } from "~data/visits";
import { Overtaken } from "~data/errors";
import { practitionersOf, saveHands } from "~data/practitioners";
import { sessionLoad } from "~core/series/hands";
import { noHands, type Hands } from "~core/techniques/hand-parts";
import { dropBeside, keepBeside, plansView, takeNamed } from "./plans.server";
import { inputAsked, keepSeries, seriesView, type Asking } from "./series.server";

const today = format(new Date(), "yyyy-MM-dd");
const ago = (days: number) => format(subDays(new Date(), days), "yyyy-MM-dd");
const odile: Asking = { id: randomUUID(), settings: {} };
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
      await openVisit(tx, visit.id, day, null);
      const { version } = (await listVisits(tx, id))[i]!;
      await closeVisit(tx, visit.id, version, "", today);
    }
  });
const refused = (answer: unknown) => (answer as { data: { errors?: object; violations?: string[] } }).data;

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
    expect(refused(wrong).violations![0]).toMatch(/has 4 sessions and the plan 3/);
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
  });
  await expect(
    db.within(db.practices[1], (tx) =>
      saveSeries(tx, { id: randomUUID(), clientId: id, template: "three-step", settings, plan: null, version: 0 }),
    ),
  ).rejects.toThrow();
});

describe("plans side by side", () => {
  const keepCopy = (tx: Tx, id: string, as: string, planId: string = randomUUID()) =>
    solved(tx, id, { ...settings, bookedMinutes: 60 }).then((sent) =>
      keepBeside(tx, odile, id, { ...sent, id: planId, name: as }),
    );
  const view = (id: string) => work((tx) => plansView(tx, odile, id));

  it("keeps one beside, says what each comes to, and changes nothing of what is in force", async () => {
    const id = await planned();
    const before = await work((tx) => seriesOf(tx, id));
    const planId = randomUUID();
    await work((tx) => keepCopy(tx, id, "Shorter", planId));
    // a double click keeps one
    await work((tx) => keepCopy(tx, id, "Shorter", planId));
    const { named, inForce } = await view(id);
    expect(named.map(({ name }) => name)).toEqual(["Shorter"]);
    expect(named[0]!.figures.minutes).toBeLessThan(inForce!.figures.minutes);
    expect(named[0]!.figures.broken).toEqual([]);
    expect(await work((tx) => seriesOf(tx, id))).toEqual(before);
  });

  it("puts one in force and keeps the other, as often as one likes", async () => {
    const id = await planned();
    const planId = randomUUID();
    await work((tx) => keepCopy(tx, id, "Shorter", planId));
    const { version } = await view(id);
    expect(await work((tx) => takeNamed(tx, odile, id, { id: planId, version }))).toEqual({ ok: true });
    const after = await view(id);
    expect(after.settings.bookedMinutes).toBe(60);
    expect(after.named.map(({ name, settings: own }) => [name, own.bookedMinutes])).toEqual([
      [expect.stringMatching(/^In force until/), 90],
    ]);
    const back = after.named[0]!.id;
    expect(await work((tx) => takeNamed(tx, odile, id, { id: back, version: after.version }))).toEqual({ ok: true });
    expect((await view(id)).settings.bookedMinutes).toBe(90);
  });

  it("loses none when the series was changed meanwhile, or the plan breaks a rule", async () => {
    const id = await planned();
    const planId = randomUUID();
    await work((tx) => keepCopy(tx, id, "Shorter", planId));
    const { version } = await view(id);
    const take = (at: number) => work((tx) => takeNamed(tx, odile, id, { id: planId, version: at }));
    expect(refused(await take(version - 1))).toEqual({ stale: true });
    expect((await view(id)).named).toHaveLength(1);
    // a step was taken out of it by hand, and nothing opens its first session any more
    const bare = randomUUID();
    await work(async (tx) => {
      const sent = await solved(tx, id, settings);
      const sessions = sent.plan.sessions.map((session, s) => (s === 0 ? { steps: session.steps.slice(1) } : session));
      await keepBeside(tx, odile, id, { ...sent, id: bare, name: "By hand", plan: { ...sent.plan, sessions } });
    });
    const found = (await view(id)).named.find(({ name }) => name === "By hand")!;
    expect(found.figures.broken.length).toBeGreaterThan(0);
    const answer = await work((tx) => takeNamed(tx, odile, id, { id: bare, version }));
    expect(refused(answer).violations!.length).toBeGreaterThan(0);
    expect((await view(id)).named).toHaveLength(2);
    expect(await work((tx) => dropBeside(tx, id, { id: bare }))).toEqual({ ok: true });
    await expect(work((tx) => dropBeside(tx, id, { id: bare }))).rejects.toThrow();
  });

  it("says when there are as many as may be, and refuses what is no plan", async () => {
    const id = await planned();
    for (let i = 0; i < 6; i++) await work((tx) => keepCopy(tx, id, `Plan ${i}`));
    const seventh = await work((tx) => keepCopy(tx, id, "One more"));
    expect(refused(seventh).errors).toEqual({ name: expect.stringMatching(/there are 6/) as string });
    const send = (over: object) =>
      work(async (tx) => {
        const sent = await solved(tx, id, settings);
        return keepBeside(tx, odile, id, { ...sent, name: "Odd", ...over });
      });
    expect(refused(await send({ name: " " })).errors).toHaveProperty("name");
    expect(refused(await send({ name: "x".repeat(61) })).errors).toEqual({
      name: expect.stringMatching(/got 61/) as string,
    });
    expect(refused(await send({ plan: { score: 1, sessions: [] } })).errors).toEqual({
      plan: "Plan: it has 0 sessions and its series 3.",
    });
    const unknown = { steps: [{ technique: "no-such", position: null, minutes: { mid: 3 } }] };
    expect(refused(await send({ plan: { score: 1, sessions: [unknown, unknown, unknown] } })).errors).toBeDefined();
  });

  it("is found by nobody else, and takes no id of another client's plan", async () => {
    const [mine, other] = [await planned(), await planned()];
    const planId = randomUUID();
    await work((tx) => keepCopy(tx, mine, "Mine", planId));
    await expect(work((tx) => takeNamed(tx, odile, other, { id: planId, version: 1 }))).rejects.toThrow();
    await expect(work((tx) => dropBeside(tx, other, { id: planId }))).rejects.toThrow();
    await expect(work((tx) => keepCopy(tx, other, "Under the same id", planId))).rejects.toThrow("stored already");
    expect((await view(mine)).named.map(({ name }) => name)).toEqual(["Mine"]);
    expect((await view(other)).named).toEqual([]);
    await db.within(db.practices[1], async (tx) => {
      expect(await tx("named_plan").where({ id: planId })).toEqual([]);
    });
  });
});

describe("hands over all clients", () => {
  const person = (hands: Hands | undefined) =>
    work(async (tx): Promise<Asking & { name: string }> => {
      const id = randomUUID();
      const own = { id, name: "Ida Test", settings: hands ? { hands } : {} };
      await tx("practitioner").insert({ ...own, email: `${id}@test.example`, password_hash: "x" });
      return own;
    });
  const budget: Hands = { ...noHands, day: { back: 40, wrist: 500 } };
  const givenBy = async (who: Asking, chosen: SeriesSettings = settings) => {
    const id = randomUUID();
    await work(async (tx) => {
      await createClient(tx, id, draft);
      await planVisits(tx, id, [today]);
      expect(await keepSeries(tx, who, id, await solved(tx, id, { ...chosen, by: [who.id] }))).toEqual({ ok: true });
    });
    return id;
  };
  const handsOf = (who: Asking, id: string) => work(async (tx) => (await seriesView(tx, who, id)).input.hands);

  it("counts what the other clients of the day take, and not what this one or somebody else's do", async () => {
    const [ida, ole] = [await person(undefined), await person(undefined)];
    const first = await givenBy(ida);
    const second = await givenBy(ida);
    await givenBy(ole);
    // nobody has set a budget: none is counted
    expect(await handsOf(ida, second)).toBeUndefined();
    await work((tx) => saveHands(tx, ida.id, budget));
    const taken = await work(async (tx) =>
      (await loadsBetween(tx, ida.id, today, today, second)).map(({ load }) => load),
    );
    const plan = await work(async (tx) => (await seriesOf(tx, first))!.plan!);
    expect(taken).toEqual([sessionLoad(plan.sessions[0]!)]);
    const hands = (await handsOf(ida, second))!;
    expect(hands).toHaveLength(3);
    expect(hands[0]!.back).toBeCloseTo(Math.max(0, Math.floor(2 * (40 - taken[0]!.back!)) / 2));
    // a client who is archived takes nothing any more
    await work((tx) => tx("client").where({ id: first }).update({ archived_at: new Date() }));
    expect((await handsOf(ida, second))![0]!.back).toBe(40);
  });

  it("lets two give a series in turn, each by their own hands, and refuses who is nobody", async () => {
    const [ida, ole] = [await person(budget), await person(undefined)];
    const id = await givenBy(ida);
    const chosen = { ...settings, by: [ida.id, ole.id] };
    const answer = await work(async (tx) => keepSeries(tx, ida, id, await solved(tx, id, chosen)));
    expect(answer).toEqual({ ok: true });
    const givers = await work(
      async (tx) => (await tx("visit").where({ client_id: id }).orderBy("ordinal")) as { given_by: string }[],
    );
    expect(givers.map(({ given_by }) => given_by)).toEqual([ida.id, ole.id, ida.id]);
    expect(await handsOf(ida, id)).toEqual([{ back: 40, wrist: 500 }, {}, { back: 40, wrist: 500 }]);
    const nobody = await work(async (tx) =>
      keepSeries(tx, ida, id, await solved(tx, id, { ...settings, by: [randomUUID()] })),
    );
    expect(refused(nobody).errors).toHaveProperty(["settings.by"]);
    const asked = await work((tx) =>
      inputAsked(tx, ida, id, { id: randomUUID(), template: "three-step", settings: { ...settings, by: [ole.id] } }),
    );
    expect("input" in asked && asked.input.hands).toBeUndefined();
  });

  it("refuses a plan that asks more than is left, in words", async () => {
    const ida = await person({ ...noHands, session: { back: 1 } });
    const id = randomUUID();
    const answer = await work(async (tx) => {
      await createClient(tx, id, draft);
      await planVisits(tx, id, [today]);
      const sent = await solved(tx, id, { ...settings, by: [odile.id] });
      return keepSeries(tx, ida, id, { ...sent, settings: { ...settings, by: [ida.id] } });
    });
    expect(refused(answer).violations!.join(" ")).toMatch(/the low back would take [\d.]+ of 1\./);
  });

  it("changes budgets only where they still stand as they were read", async () => {
    const ida = await person(budget);
    const next: Hands = { ...budget, week: { thumb: 200 } };
    await work((tx) => saveHands(tx, ida.id, next, budget));
    await expect(work((tx) => saveHands(tx, ida.id, noHands, budget))).rejects.toThrow(Overtaken);
    const kept = await work(async (tx) => (await practitionersOf(tx)).find(({ id }) => id === ida.id)!.settings.hands);
    expect(kept).toEqual(next);
  });
});
