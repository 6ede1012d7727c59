import { RouterContextProvider, type MiddlewareFunction } from "react-router";
import { withProof } from "~data/database";
import { hashPassword, signIn } from "~data/practitioners";
import { makeDatabase, type TestDatabase } from "~data/test/database";
import { randomUUID } from "node:crypto";
import { closePool, database } from "./database.server";
import { Pace } from "./pace.server";
import { inSession, signedIn } from "./session.server";

let db: TestDatabase;
let token: string;
beforeAll(async () => {
  db = await makeDatabase();
  process.env.APP_DATABASE_URL = db.appUrl;
  const password_hash = await hashPassword("slow warm hands");
  await db.within(db.practices[0], (tx) =>
    tx("practitioner").insert({ id: randomUUID(), name: "Test", email: "one@test.example", password_hash }),
  );
  const signed = await signIn(db.app, { email: "one@test.example", password: "slow warm hands", address: "here" });
  if (signed.kind !== "signed-in") throw new Error(signed.kind);
  token = signed.token;
});
afterAll(async () => {
  await closePool();
  await db.drop();
});

/** A request of the one who signed in, answered by `next`. */
function ask(next: (context: RouterContextProvider) => Promise<Response>, method = "GET") {
  const request = new Request("http://here.example/", { method, headers: { Cookie: `ember_session=${token}` } });
  const context = new RouterContextProvider();
  const asked = { request, context, params: {}, url: new URL(request.url), pattern: "/" };
  return (signedIn as MiddlewareFunction<Response>)(asked as never, () => next(context)) as Promise<Response>;
}
const inUse = () => (database().client as { pool: { numUsed: () => number } }).pool.numUsed();

describe("a request of someone who signed in", () => {
  it("gives its connection back with the answer", async () => {
    const seen = await ask((context) =>
      inSession(context, async ({ practitioner }) => Response.json({ name: practitioner.name })),
    );
    expect(await seen.json()).toEqual({ name: "Test" });
    expect(inUse()).toBe(0);
  });

  it("is not answered as stored when COMMIT fails, nor when a statement had failed unseen", async () => {
    await db.owner.raw(`
      create function no_room() returns trigger language plpgsql as $$
      begin raise exception 'no room' using errcode = '53100'; end $$;
      create constraint trigger refuse after update on practitioner deferrable initially deferred
        for each row when (new.name = 'Refused') execute function no_room();
    `);
    const rename = (context: RouterContextProvider) =>
      inSession(context, async ({ tx, practitioner: { id } }) => {
        await tx("practitioner").where({ id }).update({ name: "Refused" });
        return Response.json({ ok: true });
      });
    await expect(ask(rename)).rejects.toMatchObject({ status: 507 });
    const unseen = (context: RouterContextProvider) =>
      inSession(context, async ({ tx }) => {
        await tx.raw("select 1 / 0").catch(() => undefined);
        return Response.json({ ok: true });
      });
    await expect(ask(unseen)).rejects.toMatchObject({ status: 503 });
    const seen = await ask((context) =>
      inSession(context, async ({ practitioner }) => Response.json({ name: practitioner.name })),
    );
    expect(await seen.json()).toEqual({ name: "Test" });
    expect(inUse()).toBe(0);
  });

  it("is told to wait where a sign-in asks for more than hands can, and nobody else is", () => {
    const pace = new Pace();
    const taken = (practice: string, session: string, now: number) =>
      Array.from({ length: 500 }, () => pace.takes(practice, session, now)).filter(Boolean).length;
    expect(taken("p", "wild", 20_000)).toBe(400);
    expect(taken("p", "another", 20_001)).toBe(400);
    expect(pace.takes("q", "wild", 20_002)).toBe(true);
    expect(pace.takes("p", "wild", 29_999)).toBe(false);
    expect(pace.takes("p", "wild", 30_000)).toBe(true);
  });

  it("never holds two: what would take a second is told so, and gives its own back", async () => {
    const twice = ask((context) =>
      inSession(context, () =>
        withProof(database(), "app.sign_in_email", "one@test.example", (trx) => trx.raw("select 1")),
      ),
    );
    await expect(twice).rejects.toThrow("may not take a second");
    expect(inUse()).toBe(0);
    // one after the other is how it is done
    const oneByOne = await ask(async (context) => {
      await withProof(database(), "app.sign_in_email", "one@test.example", (trx) => trx.raw("select 1"));
      return inSession(context, () => Promise.resolve(new Response("both")));
    }, "POST");
    expect(oneByOne.status).toBe(200);
  });

  it("holds none when whoever asked went away while loaders still wait for their turn", async () => {
    const late: Promise<unknown>[] = [];
    for (let again = 0; again < 12; again++) {
      const gone = ask(async (context) => {
        for (let loader = 0; loader < 3; loader++)
          late.push(inSession(context, ({ tx }) => tx.raw("select pg_sleep(0.01)")));
        throw new DOMException("went away", "AbortError");
      });
      await expect(gone).rejects.toThrow("went away");
    }
    const ended = await Promise.allSettled(late);
    expect(ended.filter(({ status }) => status === "rejected").length).toBeGreaterThan(0);
    expect(inUse()).toBe(0);
    expect((await ask(async () => new Response("still here"))).status).toBe(200);
  });
});
