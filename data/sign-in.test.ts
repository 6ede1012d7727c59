import { randomUUID } from "node:crypto";
import {
  enterSession,
  hashPassword,
  idleHours,
  isSignedIn,
  signIn,
  signOut,
  signOutEverywhere,
  throttleKey,
} from "./practitioners";
import { makeDatabase, type TestDatabase } from "./test/database";
import { inTransaction } from "./transaction";

let db: TestDatabase;
const una = randomUUID();
beforeAll(async () => {
  db = await makeDatabase();
  const password_hash = await hashPassword("right words");
  await db.within(db.practices[0], async (tx) => {
    await tx("practitioner").insert({ id: una, name: "Una Test", email: "una@test.example", password_hash });
    await tx("practitioner").insert({ id: randomUUID(), name: "Ida", email: "ida@test.example", password_hash });
  });
});
afterAll(() => db.drop());

const waits: number[] = [];
const enter = (email: string, password: string, address: string, device?: string) =>
  signIn(db.app, { email, password, address, device }, (seconds) => Promise.resolve(waits.push(seconds)));
async function signedIn(...asked: Parameters<typeof enter>) {
  const result = await enter(...asked);
  if (result.kind !== "signed-in") throw new Error(result.kind);
  return result;
}
const who = (token: string) => inTransaction(db.app, async (trx) => (await enterSession(trx, token))?.practitioner);

describe("signing in", () => {
  it("opens a session of the right practice, which ends by signing out", async () => {
    const { token } = await signedIn(" Una@Test.example ", "right words", "a");
    expect(await isSignedIn(db.app, token)).toBe(true);
    expect(await who(token)).toMatchObject({ name: "Una Test", practiceName: "Test practice" });
    const seen = await inTransaction(db.app, async (trx) => (await enterSession(trx, token))!.tx("practice").select());
    expect(seen.map(({ practice_id }) => practice_id as string)).toEqual([db.practices[0]]);
    await db.within(db.practices[0], (tx) => signOut(tx, token));
    expect(await isSignedIn(db.app, token)).toBe(false);
    expect(await who(token)).toBeUndefined();
  });

  it("keeps neither password nor token nor device readable", async () => {
    const { token, device } = await signedIn("una@test.example", "right words", "a");
    const rows = await db.within(db.practices[0], async (tx) =>
      JSON.stringify([await tx("practitioner"), await tx("auth_session"), await tx("known_device")]),
    );
    for (const secret of [token, device, "right words"]) expect(rows).not.toContain(secret);
    expect(rows).toContain("$argon2id$");
  });

  it("ends a session when its time is over, or when nothing was asked for hours", async () => {
    const set = (change: object) => db.within(db.practices[0], (tx) => tx("auth_session").update(change));
    const { token } = await signedIn("una@test.example", "right words", "a");
    const before = (hours: number) => new Date(Date.now() - hours * 3_600_000);
    await set({ seen_at: before(idleHours - 0.1) });
    expect(await who(token)).toBeDefined();
    // being there was noted: the same again does not add up
    await set({ expires_at: before(-1) });
    const [row] = await db.within(db.practices[0], (tx) => tx("auth_session").orderBy("seen_at", "desc"));
    expect(Date.now() - row.seen_at.getTime()).toBeLessThan(60_000);
    await set({ seen_at: before(idleHours + 0.1) });
    expect(await who(token)).toBeUndefined();
    expect(await isSignedIn(db.app, token)).toBe(false);
    await set({ seen_at: before(0), expires_at: before(0.1) });
    expect(await who(token)).toBeUndefined();
  });

  it("ends on every device at once when asked, and leaves colleagues alone", async () => {
    const [one, two] = [
      await signedIn("una@test.example", "right words", "a"),
      await signedIn("una@test.example", "right words", "b"),
    ];
    const other = await signedIn("ida@test.example", "right words", "a");
    await db.within(db.practices[0], (tx) => signOutEverywhere(tx, una));
    expect([await who(one.token), await who(two.token)]).toEqual([undefined, undefined]);
    expect(await who(other.token)).toMatchObject({ name: "Ida" });
  });

  it("says the same to a wrong password and to an unknown e-mail", async () => {
    expect(await enter("una@test.example", "wrong", "b")).toEqual({ kind: "refused" });
    expect(await enter("nobody@test.example", "wrong", "b")).toEqual({ kind: "refused" });
  });
});

describe("who guesses", () => {
  it("is stopped after six wrong attempts, the right password included, even when they come at once", async () => {
    const tries = await Promise.all(Array.from({ length: 8 }, () => enter("guess@test.example", "wrong", "c")));
    expect(tries.filter((result) => result.kind === "refused")).toHaveLength(6);
    expect(tries.filter((result) => result.kind === "throttled")).toHaveLength(2);
  });

  it("does not shut out a device that signed in before, which has a count of its own", async () => {
    const { device } = await signedIn("ida@test.example", "right words", "home");
    for (let i = 0; i < 7; i++) await enter("ida@test.example", "wrong", "strangers");
    expect((await enter("ida@test.example", "right words", "elsewhere")).kind).toBe("throttled");
    expect((await enter("ida@test.example", "right words", "strangers", device)).kind).toBe("signed-in");
    // the device's own guesses are counted, and another account's device is no help
    for (let i = 0; i < 6; i++) expect((await enter("ida@test.example", "wrong", "home", device)).kind).toBe("refused");
    expect((await enter("ida@test.example", "right words", "home", device)).kind).toBe("throttled");
    const unas = await signedIn("una@test.example", "right words", "home");
    expect((await enter("ida@test.example", "right words", "home", unas.device)).kind).toBe("throttled");
    expect((await enter("ida@test.example", "right words", "home", "made-up")).kind).toBe("throttled");
  });

  it("slows an address that tries many names, and never shuts out others who share it", async () => {
    for (let i = 0; i < 40; i++) await enter(`name${i}@test.example`, "wrong", "crowd");
    expect(waits).toEqual([]);
    expect((await enter("name41@test.example", "wrong", "crowd")).kind).toBe("refused");
    const known = await signedIn("una@test.example", "right words", "crowd");
    expect(waits).toEqual([3, 3]);
    // and a device that is known does not even wait
    await signedIn("una@test.example", "right words", "crowd", known.device);
    expect(waits).toHaveLength(2);
  });

  it("leaves nothing behind: old attempts are swept by whoever comes next, new ones are not", async () => {
    await enter("old@test.example", "wrong", "past");
    await enter("new@test.example", "wrong", "past");
    const keys = [throttleKey("email", "old@test.example"), throttleKey("email", "new@test.example")];
    await inTransaction(db.owner, async (trx) => {
      await trx.raw("alter table sign_in_attempt no force row level security");
      await trx("sign_in_attempt")
        .where({ throttle_key: keys[0] })
        .update({ at: new Date(Date.now() - 16 * 60_000) });
      await trx.raw("alter table sign_in_attempt force row level security");
    });
    await enter("una@test.example", "wrong", "other");
    const left = await inTransaction(db.owner, async (trx) => {
      await trx.raw("alter table sign_in_attempt no force row level security");
      const rows = await trx("sign_in_attempt").whereIn("throttle_key", keys).select("throttle_key");
      await trx.raw("alter table sign_in_attempt force row level security");
      return rows.map((row: { throttle_key: string }) => row.throttle_key);
    });
    expect(left).toEqual([keys[1]]);
  });
});
