import { randomUUID } from "node:crypto";
import { format } from "date-fns";
import fc from "fast-check";
import { RouterContextProvider, type MiddlewareFunction } from "react-router";
import { usualPreferences, usualSchool } from "~core/screening/facts";
import { deserialised, type Serialised } from "~app/serialised";
import { loader as frame } from "~app/routes/client/client";
import { loader as change } from "~app/routes/client/change/change";
import { loader as overview } from "~app/routes/client/overview/overview";
import { loader as path } from "~app/routes/client/path/path";
import { loader as reading } from "~app/routes/client/reading/reading";
import { loader as stand } from "~app/routes/client/stand/stand";
import { loader as table } from "~app/routes/client/table/table";
import { loader as touch } from "~app/routes/client/touch/touch";
import { saveChoice } from "~data/choices";
import { getClient, setArchived } from "~data/clients";
import type { Tx } from "~data/database";
import { loadDemo } from "~data/demo/load";
import { ask } from "~data/jobs";
import { gradeRestriction, restrictionsOf } from "~data/findings";
import { photosOfClient, saveMarks } from "~data/photos";
import { saveMeasurement } from "~data/measurements";
import { practitionersOf, saveHands, saveSchool, signIn } from "~data/practitioners";
import { preferencesOf, savePreferences } from "~data/preferences";
import { recordAnswer } from "~data/screening";
import { appendEvents } from "~data/session-events";
import { listVisits } from "~data/visits";
import { makeDatabase, type TestDatabase } from "~data/test/database";
import { PracticeCache } from "./practice-cache.server";
import { closePool } from "./request/database.server";
import { signedIn } from "./request/session.server";

const ruben = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01";
const petra = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e03";
const kiln = "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e01";
let db: TestDatabase;
let token: string;
beforeAll(async () => {
  db = await makeDatabase();
  process.env.APP_DATABASE_URL = db.appUrl;
  await loadDemo(db.app, format(new Date(), "yyyy-MM-dd"));
  const asked = { email: "odile@kiln.example", password: "slow warm hands", address: "here" };
  const signed = await signIn(db.app, asked);
  if (signed.kind !== "signed-in") throw new Error(signed.kind);
  token = signed.token;
});
afterAll(async () => {
  await closePool();
  await db.drop();
});

type Loader = (asked: never) => Promise<unknown>;
const pages: Record<string, Loader> = { frame, overview, change, path, reading, stand, table, touch };

/** What a page's loader answers about a client, asked as a browser asks. */
async function answer(page: string, clientId: string): Promise<unknown> {
  const request = new Request(`http://here.example/clients/${clientId}`, {
    headers: { Cookie: `ember_session=${token}` },
  });
  const context = new RouterContextProvider();
  const asked = { request, context, params: { clientId }, url: new URL(request.url), pattern: "/" };
  let found: unknown;
  await (signedIn as MiddlewareFunction<Response>)(asked as never, async () => {
    found = deserialised((await pages[page]!(asked as never)) as Serialised<unknown>);
    return new Response();
  });
  return found;
}

let count = 0;
const next = () => ++count;
const visitOf = async (tx: Tx, client: string) =>
  (await listVisits(tx, client)).find((each) => each.status !== "closed")!.id;
const measure = (client: string, standing: number) => async (tx: Tx) => {
  const id = await whoAsks(tx);
  const measured = {
    moment: "before" as const,
    readingId: "head-tilt.front",
    method: "inclinometer" as const,
    standing,
  };
  await saveMeasurement(tx, await visitOf(tx, client), { ...measured, value: (next() % 7) + 1 }, undefined, id);
};
const whoAsks = async (tx: Tx) => (await practitionersOf(tx)).find(({ name }) => name.startsWith("Odile"))!.id;

/** Writes of every kind that pages of a client follow from: to the client, to another one, and to what all share. */
const writes: Record<string, (tx: Tx) => Promise<unknown>> = {
  "a wish": async (tx) =>
    savePreferences(tx, ruben, (await preferencesOf(tx, ruben)).version, {
      ...usualPreferences,
      pauseWord: `word ${next()}`,
    }),
  "an answer": (tx) =>
    recordAnswer(tx, ruben, {
      id: randomUUID(),
      visitId: null,
      question: "fever",
      answer: next() % 2 ? "yes" : "no",
      by: "x",
    }),
  "a grade": async (tx) => {
    const [found] = await restrictionsOf(tx, ruben);
    const at = { restrictionId: found!.id, visitId: await visitOf(tx, ruben), moment: "before" as const };
    await gradeRestriction(tx, ruben, at, { grade: next() % 4, tenderness: 1 }, undefined);
  },
  "a decision": (tx) => saveChoice(tx, ruben, "lumbar-turned.L", next() % 2 ? { kind: "pattern", as: "out" } : null),
  "a check at the table": async (tx) =>
    appendEvents(
      tx,
      await visitOf(tx, ruben),
      [
        {
          id: randomUUID(),
          at: new Date().toISOString(),
          kind: "answer",
          body: {
            moment: next() % 2 ? "before" : "again",
            check: "high-l-low",
            side: null,
            way: "hand",
            value: next() % 3,
          },
        },
      ],
      "table_event",
      await whoAsks(tx),
    ),
  "a measurement": measure(ruben, 1),
  "a second standing": measure(ruben, 2),
  "another client's second standing": measure(petra, 2),
  "another client's first standing": measure(petra, 1),
  "a mark": async (tx) => {
    const [photo] = await photosOfClient(tx, ruben);
    await saveMarks(tx, photo!.id, photo!.version, { ...photo!, marks: { "plumb.top": { x: next(), y: 2 } } });
  },
  "a picture's file": async (tx) => {
    const photos = await photosOfClient(tx, ruben);
    await tx("photo_file")
      .where({ photo_id: photos.find(({ pictured }) => pictured)?.id ?? null })
      .del();
  },
  "a picture that waits": async (tx) => {
    await tx("job").del();
    const { setup, moment, view } = (await photosOfClient(tx, ruben))[0]!;
    const about = { moment, view, standing: 1 + (next() % 3), setup };
    const [visitId, by] = [await visitOf(tx, ruben), await whoAsks(tx)];
    await ask(tx, { id: randomUUID(), kind: "picture", clientId: ruben, visitId, by, about }, Buffer.from("x"));
  },
  "how far it is": (tx) => tx("job").update({ share: (next() % 10) / 10 }),
  "a visit's day": async (tx) =>
    tx("visit")
      .where({ id: await visitOf(tx, ruben) })
      .update({ on_date: `2027-03-${10 + (next() % 9)}` }),
  "the series": (tx) =>
    tx("series")
      .where({ client_id: ruben })
      .update({ settings: tx.raw(`settings || '{"thumbBudget": ${next() % 40}}'`) }),
  "who works how": async (tx) => saveSchool(tx, await whoAsks(tx), { ...usualSchool, order: next() % 2 ? 1 : 0 }),
  "what hands may take": async (tx) =>
    saveHands(tx, await whoAsks(tx), {
      session: { thumb: next() },
      day: { thumb: 50 + next() },
      week: { thumb: 200 },
      worn: [],
    } as never),
  "another client's plan": async (tx) =>
    tx("visit")
      .where({ id: await visitOf(tx, petra) })
      .update({ planned_load: JSON.stringify({ thumb: next() }), given_by: await whoAsks(tx) }),
  "another client put away": async (tx) =>
    setArchived(tx, petra, next() % 2 === 0, (await getClient(tx, petra)).version),
};

describe("what is computed once for each change", () => {
  it("is always what would be computed now, after any writes to anything", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.constantFrom(...Object.keys(writes)), fc.constantFrom(...Object.keys(pages))), {
          minLength: 4,
          maxLength: 8,
        }),
        async (steps) => {
          for (const [write, page] of steps) {
            await answer(page, ruben);
            await db.within(kiln, writes[write]!);
            const kept = await answer(page, ruben);
            PracticeCache.forgetAll();
            expect({ write, page, kept }).toEqual({ write, page, kept: await answer(page, ruben) });
          }
        },
      ),
      { numRuns: 6 },
    );
  }, 60_000);

  it("is computed once while nothing changes, and anew for each write that it follows from", async () => {
    const first = await answer("overview", ruben);
    expect(await answer("overview", ruben)).toBe(first);
    expect(await answer("overview", petra)).not.toBe(first);
    await db.within(kiln, writes["another client's plan"]!);
    expect(await answer("overview", ruben)).toBe(first);
    await db.within(kiln, writes["a wish"]!);
    expect(await answer("overview", ruben)).not.toBe(first);
  });

  it("lets nobody write to what everybody gets", async () => {
    const found = (await answer("overview", ruben)) as { client: { name: string } };
    expect(() => (found.client.name = "another")).toThrow(TypeError);
  });
});
