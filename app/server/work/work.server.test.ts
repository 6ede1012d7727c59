import { randomUUID } from "node:crypto";
import sharp from "sharp";
import { textFor } from "~core/consent/consent";
import { createClient } from "~data/clients";
import { recordConsent } from "~data/consents";
import { ask, jobsOf, stop, tryAgain, type Job, type PictureJob } from "~data/jobs";
import { Busy } from "~data/concurrency-limiter";
import { deletePictures, photosOfClient, putAsideOf } from "~data/photos";
import { jobs, listen, type Queued } from "~data/queue";
import { draft, makeDatabase, type TestDatabase } from "~data/test/database";
import { listVisits, planVisits } from "~data/visits";
import { work } from "~app/work";
import { perform } from "./perform.server";

let db: TestDatabase;
let whole: Buffer;
const me = randomUUID();
const [mine, theirs] = [0, 1] as const;
beforeAll(async () => {
  db = await makeDatabase();
  for (const practice of db.practices)
    await db.within(practice, (tx) =>
      tx("practitioner").insert({ id: me, name: "M", email: `${practice}@test.example`, password_hash: "x" }),
    );
  // faults are tried again at once
  await db.owner.raw("update pgboss.queue set retry_delay = 0, retry_backoff = false");
  whole = await sharp({ create: { width: 400, height: 600, channels: 3, background: "#cbb" } })
    .jpeg()
    .toBuffer();
});
afterAll(() => db.drop());
afterEach(() => db.owner.raw("delete from pgboss.job"));

const inside = <T>(of: 0 | 1, task: Parameters<TestDatabase["within"]>[1]) =>
  db.within(db.practices[of], task) as Promise<T>;

async function newClient(of: 0 | 1 = mine, agreed = true) {
  const client = randomUUID();
  const visit = await inside<string>(of, async (tx) => {
    await createClient(tx, client, draft);
    await planVisits(tx, client, ["2026-01-05"]);
    const [first] = await listVisits(tx, client);
    if (agreed) await consent(tx, client, first!.id, true);
    return first!.id;
  });
  return { client, visit, of };
}
type Tx = Parameters<Parameters<TestDatabase["within"]>[1]>[0];
const consent = (tx: Tx, client: string, visitId: string, given: boolean) => {
  const { version: textVersion, text } = textFor("photographs");
  const said = { id: randomUUID(), subject: "photographs" as const, visitId, given, textVersion, text };
  return recordConsent(tx, client, { ...said, signedBy: "them", signature: null, by: "M" });
};
const about: PictureJob["about"] = {
  moment: "before",
  view: "front",
  standing: 1,
  setup: { stickLength: 1800, cameraDistance: 3000, cameraHeight: 950, stature: 1700 } as never,
};
const send = (to: Awaited<ReturnType<typeof newClient>>, bytes = whole, id = randomUUID()) =>
  inside<string>(to.of, async (tx) => {
    await ask(tx, { id, kind: "picture", clientId: to.client, visitId: to.visit, by: me, about }, bytes);
    return id;
  });
const asked = (of: Awaited<ReturnType<typeof newClient>>) => inside<Job[]>(of.of, (tx) => jobsOf(tx, of.client));
const pictures = (of: Awaited<ReturnType<typeof newClient>>) =>
  inside<{ id: string }[]>(of.of, (tx) => photosOfClient(tx, of.client));
const queued = async (): Promise<{ data: Queued; state: string }[]> =>
  (await db.owner.raw("select data, state from pgboss.job where name = ? order by priority desc, created_on", [jobs]))
    .rows;
async function until(what: () => Promise<boolean>) {
  for (let i = 0; i < 300; i++) {
    if (await what()) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error("it did not come");
}
/** Lets a worker of its own work while `task` goes on. */
async function working<T>(task: () => Promise<T>): Promise<T> {
  const finish = await work(db.appUrl);
  try {
    return await task();
  } finally {
    await finish();
  }
}
const nothingLeft = async (of: Awaited<ReturnType<typeof newClient>>) => {
  expect(await asked(of)).toEqual([]);
  expect(await inside(of.of, (tx) => tx("job_file").count())).toEqual([{ count: "0" }]);
};

describe("what is asked for", () => {
  it("is there with the transaction that asked for it and not otherwise, once for each id, and for its practice only", async () => {
    const client = await newClient();
    const id = randomUUID();
    await inside(mine, async (tx) => {
      await ask(tx, { id, kind: "picture", clientId: client.client, visitId: client.visit, by: me, about }, whole);
      throw new Error("taken back");
    }).catch(() => undefined);
    expect([await asked(client), await queued()]).toEqual([[], []]);
    await send(client, whole, id);
    await send(client, whole, id);
    expect(await asked(client)).toMatchObject([{ id, share: null, problem: null, again: false, ordinal: 1 }]);
    // the queue knows two ids and nothing of anybody's health
    expect((await queued()).map(({ data }) => data)).toEqual([{ practice: db.practices[mine], job: id }]);
    expect(await inside(theirs, (tx) => jobsOf(tx, client.client))).toEqual([]);
    await expect(inside(theirs, (tx) => stop(tx, client.client, id))).rejects.toThrow("job not found");
    const other = await newClient();
    await expect(send(other, whole, id)).rejects.toThrow("stored already");
    await expect(inside(mine, (tx) => stop(tx, other.client, id))).rejects.toThrow("job not found");
    // a client's pictures that go for good go with what waits
    await inside(mine, (tx) => deletePictures(tx, client.client));
    await nothingLeft(client);
  });

  it("waits behind others where a practice has much waiting already, and has an end", async () => {
    const [many, one] = [await newClient(mine), await newClient(theirs)];
    for (let i = 0; i < 24; i++) await send(many);
    await expect(send(many)).rejects.toThrow(Busy);
    await send(one);
    const order = (await queued()).map(({ data }) => data.practice);
    expect(order.indexOf(db.practices[theirs])).toBe(1);
    await inside(mine, (tx) => tx("job").del());
    await inside(theirs, (tx) => tx("job").del());
  });
});

describe("a picture that is sent", () => {
  it("is taken in and leaves nothing waiting; of two of one place the one that was sent last stays", async () => {
    const client = await newClient();
    const [first, second] = [await send(client), await send(client)];
    const practice = db.practices[mine];
    // the second is quicker
    await perform(db.app, { practice, job: second });
    await perform(db.app, { practice, job: first });
    expect((await pictures(client)).map(({ id }) => id)).toEqual([second]);
    expect((await inside<{ id: string }[]>(mine, (tx) => putAsideOf(tx, client.client))).map(({ id }) => id)).toEqual([
      first,
    ]);
    await nothingLeft(client);
    // handed out twice by the queue, or sent again when the answer was lost
    await perform(db.app, { practice, job: first });
    await working(async () => {
      const third = await send(client);
      await until(async () => (await asked(client)).length === 0);
      expect((await pictures(client)).map(({ id }) => id)).toEqual([third]);
    });
  });

  it("is refused with a reason where it cannot be read, or consent was withdrawn meanwhile, and its bytes go", async () => {
    const [cut, withdrawn] = [await newClient(), await newClient()];
    await send(cut, whole.subarray(0, whole.length / 2));
    await send(withdrawn);
    await inside(mine, (tx) => consent(tx, withdrawn.client, withdrawn.visit, false));
    await working(async () => {
      await until(async () => Boolean((await asked(cut))[0]?.problem && (await asked(withdrawn))[0]?.problem));
    });
    expect(await asked(cut)).toMatchObject([{ problem: expect.stringMatching(/damaged or cut off/), again: false }]);
    expect(await asked(withdrawn)).toMatchObject([{ problem: expect.stringMatching(/consent/), again: false }]);
    expect([await pictures(cut), await pictures(withdrawn)]).toEqual([[], []]);
    for (const each of [cut, withdrawn]) {
      const [{ id }] = (await asked(each)) as [Job];
      await expect(inside(mine, (tx) => tryAgain(tx, each.client, id))).rejects.toThrow("job not found");
      await inside(mine, (tx) => stop(tx, each.client, id));
      await nothingLeft(each);
    }
  });

  it("that is taken in while a page asks for it is in the list of those that wait, if not among the pictures", async () => {
    const client = await newClient();
    const id = await send(client);
    await inside(mine, async (tx) => {
      tx.answered = new Map();
      // the frame above has asked for the pictures already
      const pictures = await photosOfClient(tx, client.client);
      await perform(db.app, { practice: db.practices[mine], job: id });
      expect(pictures).toEqual([]);
      expect((await jobsOf(tx, client.client)).map((job) => job.id)).toEqual([id]);
    });
    expect(await pictures(client)).toHaveLength(1);
  });

  it("that is stopped while somebody reads it is not kept", async () => {
    const client = await newClient();
    // noise takes its time
    const noise = { type: "gaussian" as const, mean: 128, sigma: 60 };
    const large = await sharp({ create: { width: 3000, height: 4000, channels: 3, background: "#888", noise } })
      .jpeg()
      .toBuffer();
    const id = await send(client, large);
    const reading = perform(db.app, { practice: db.practices[mine], job: id });
    await until(async () => Boolean((await asked(client))[0]?.share));
    await inside(mine, (tx) => stop(tx, client.client, id));
    await reading;
    expect(await pictures(client)).toEqual([]);
    await nothingLeft(client);
  });

  it("whose worker died in the middle is taken in by another", async () => {
    const client = await newClient();
    await send(client);
    const dead = listen(db.appUrl);
    await dead.start();
    expect(await dead.fetch(jobs)).toHaveLength(1);
    await dead.stop({ graceful: false });
    expect((await queued()).map(({ state }) => state)).toEqual(["active"]);
    // its minute is over
    await db.owner.raw("update pgboss.job set started_on = now() - interval '61 seconds'");
    await working(() => until(async () => (await pictures(client)).length === 1));
    await nothingLeft(client);
  });

  it("that meets a fault is tried four times, kept, and taken in when somebody tries again", async () => {
    const client = await newClient();
    const id = await send(client);
    await db.owner.raw(`create function fault() returns trigger language plpgsql as
        $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$;
      create trigger fault before insert on photo_file for each row execute function fault()`);
    await working(async () => {
      await until(async () => Boolean((await asked(client))[0]?.problem));
      expect(await asked(client)).toMatchObject([{ id, problem: expect.stringMatching(/four times/), again: true }]);
      const { rows } = await db.owner.raw("select retry_count from pgboss.job where name = ?", [jobs]);
      expect(rows).toEqual([{ retry_count: 3 }]);
      expect(await pictures(client)).toEqual([]);
      await db.owner.raw("drop trigger fault on photo_file");
      await inside(mine, (tx) => tryAgain(tx, client.client, id));
      await until(async () => (await pictures(client)).length === 1);
    });
    await nothingLeft(client);
  });
});
