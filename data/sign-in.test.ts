import { randomUUID } from "node:crypto";
import { hashPassword, practiceOfToken, practitionerOfToken, signIn, signOut } from "./practitioners";
import { makeDatabase, type TestDatabase } from "./test/database";

let db: TestDatabase;
beforeAll(async () => {
  db = await makeDatabase();
  const password_hash = await hashPassword("right words");
  await db.within(db.practices[0], (tx) =>
    tx("practitioner").insert({
      id: randomUUID(),
      name: "Una Test",
      email: "una@test.example",
      password_hash,
    }),
  );
});
afterAll(() => db.drop());
const tokenOf = (result: Awaited<ReturnType<typeof signIn>>) => {
  if (result.kind !== "signed-in") throw new Error(result.kind);
  return result.token;
};

describe("signing in", () => {
  it("opens a session of the right practice, which ends by signing out", async () => {
    const token = tokenOf(await signIn(db.app, " Una@Test.example ", "right words", "a"));
    const practice = (await practiceOfToken(db.app, token))!;
    expect(practice).toBe(db.practices[0]);
    expect(await db.within(practice, (tx) => practitionerOfToken(tx, token))).toMatchObject({
      name: "Una Test",
      practiceName: "Test practice",
    });
    await db.within(practice, (tx) => signOut(tx, token));
    expect(await practiceOfToken(db.app, token)).toBeUndefined();
  });

  it("keeps neither password nor token readable", async () => {
    const token = tokenOf(await signIn(db.app, "una@test.example", "right words", "a"));
    const rows = await db.within(db.practices[0], async (tx) =>
      JSON.stringify([await tx("practitioner").select("*"), await tx("auth_session").select("*")]),
    );
    expect(rows).not.toContain(token);
    expect(rows).not.toContain("right words");
    expect(rows).toContain("$argon2id$");
  });

  it("ends a session when its time is over", async () => {
    const token = tokenOf(await signIn(db.app, "una@test.example", "right words", "a"));
    await db.within(db.practices[0], (tx) => tx("auth_session").update({ expires_at: "2020-01-01" }));
    expect(await practiceOfToken(db.app, token)).toBeUndefined();
  });

  it("says the same to a wrong password and to an unknown e-mail", async () => {
    expect(await signIn(db.app, "una@test.example", "wrong", "b")).toEqual({ kind: "refused" });
    expect(await signIn(db.app, "nobody@test.example", "wrong", "b")).toEqual({ kind: "refused" });
  });

  it("throttles after six wrong attempts, the right password included, even when they come at once", async () => {
    const tries = await Promise.all(
      Array.from({ length: 10 }, () => signIn(db.app, "guess@test.example", "wrong", "c")),
    );
    expect(tries.filter((result) => result.kind === "refused")).toHaveLength(6);
    expect(tries.filter((result) => result.kind === "throttled")).toHaveLength(4);
  });

  it("throttles an address that tries many names", async () => {
    let last: Awaited<ReturnType<typeof signIn>> | undefined;
    for (let i = 0; i < 41; i++) last = await signIn(db.app, `name${i}@test.example`, "wrong", "crowd");
    expect(last).toMatchObject({ kind: "throttled" });
  });

  it("does not hold a busy house's sign-ins against it: those that succeed do not count", async () => {
    for (let i = 0; i < 39; i++) await signIn(db.app, `busy${i}@test.example`, "wrong", "house");
    for (let i = 0; i < 4; i++)
      expect((await signIn(db.app, "una@test.example", "right words", "house")).kind).toBe("signed-in");
    expect((await signIn(db.app, "busy@test.example", "wrong", "house")).kind).toBe("refused");
    expect((await signIn(db.app, "busy@test.example", "wrong", "house")).kind).toBe("throttled");
  });
});
