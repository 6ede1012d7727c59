import { randomUUID } from "node:crypto";
import { enterSession, hashPassword, idleHours, isSignedIn, signIn, signOut, signOutEverywhere } from "./practitioners";
import { throttleKey, waitAfter } from "./throttle";
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
  const since = () => waits.splice(0);

  it("waits longer for each guess after six, even when they come at once, one at a time", async () => {
    since();
    const tries = await Promise.allSettled(Array.from({ length: 9 }, () => enter("guess@test.example", "wrong", "c")));
    const refused = tries.filter((each) => each.status === "fulfilled" && each.value.kind === "refused");
    expect(refused.length + tries.filter((each) => each.status === "rejected").length).toBe(9);
    expect(refused.length).toBeGreaterThanOrEqual(7);
    await enter("guess@test.example", "wrong", "c");
    expect(Math.max(...since())).toBe(24);
    expect([5, 6, 7, 8, 9, 10, 1000].map(waitAfter)).toEqual([0, 3, 6, 12, 24, 30, 30]);
  });

  it("shuts nobody out: the right password is taken after any number of wrong ones, a stranger's or one's own", async () => {
    for (let i = 0; i < 9; i++) expect((await enter("ida@test.example", "wrong", "strangers")).kind).toBe("refused");
    since();
    // from another place at once, from the same place after a while
    expect((await enter("ida@test.example", "right words", "elsewhere")).kind).toBe("signed-in");
    expect(since()).toEqual([]);
    expect((await enter("ida@test.example", "right words", "strangers")).kind).toBe("signed-in");
    expect(since()).toEqual([24]);
    // and that was that
    await enter("ida@test.example", "wrong", "strangers");
    expect(since()).toEqual([]);
  });

  it("counts a device that signed in before by itself; another account's device is no help", async () => {
    const { device } = await signedIn("ida@test.example", "right words", "home");
    for (let i = 0; i < 7; i++) await enter("ida@test.example", "wrong", "home");
    since();
    expect((await enter("ida@test.example", "right words", "home", device)).kind).toBe("signed-in");
    expect(since()).toEqual([]);
    for (let i = 0; i < 6; i++) await enter("ida@test.example", "wrong", "home", device);
    expect((await enter("ida@test.example", "right words", "home", device)).kind).toBe("signed-in");
    expect(since()).toEqual([3]);
    const unas = await signedIn("una@test.example", "right words", "home");
    await enter("ida@test.example", "wrong", "home", unas.device);
    await enter("ida@test.example", "wrong", "home", "made-up");
    expect(since()).toEqual([6, 12]);
  });

  it("ends the session that a new one replaces in the same browser, and no other", async () => {
    const here = await signedIn("una@test.example", "right words", "a");
    const there = await signedIn("una@test.example", "right words", "b");
    const next = await signIn(db.app, {
      email: "ida@test.example",
      password: "right words",
      address: "a",
      replaces: here.token,
    });
    expect(next.kind).toBe("signed-in");
    expect(await who(here.token)).toBeUndefined();
    expect(await who(there.token)).toMatchObject({ name: "Una Test" });
    // a wrong password ends nothing
    await signIn(db.app, { email: "ida@test.example", password: "no", address: "a", replaces: there.token });
    expect(await who(there.token)).toBeDefined();
  });

  it("slows an address that tries many names, and never shuts out others who share it", async () => {
    for (let i = 0; i < 40; i++) await enter(`name${i}@test.example`, "wrong", "crowd");
    expect(since()).toEqual([]);
    expect((await enter("name41@test.example", "wrong", "crowd")).kind).toBe("refused");
    const known = await signedIn("una@test.example", "right words", "crowd");
    expect(since()).toEqual([3, 3]);
    // and a device that is known does not even wait
    await signedIn("una@test.example", "right words", "crowd", known.device);
    expect(since()).toEqual([]);
  });

  it("leaves nothing behind: old attempts are swept by whoever comes next, new ones are not", async () => {
    await enter("old@test.example", "wrong", "past");
    await enter("new@test.example", "wrong", "past");
    const keys = [throttleKey("account", "old@test.example past"), throttleKey("account", "new@test.example past")];
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
