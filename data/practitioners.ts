import { createHash, randomBytes, randomUUID } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";
import type { Knex } from "knex";
import type { PhotoSetup } from "../core/measure/calibration";
import type { School } from "../core/screening/facts";
import { inPractice, withProof, type Tx } from "./database";

/** How the camera is usually set up, in mm: asked once, noted with every picture. */
export type StandSetup = Pick<
  PhotoSetup,
  "stickLength" | "cameraDistance" | "cameraHeight" | "stickBehind" | "stickHangs"
>;

export type Practitioner = {
  id: string;
  practiceId: string;
  practiceName: string;
  name: string;
  email: string;
  settings: { dim?: boolean; school?: School; setup?: StandSetup };
  /** Of the sign-in, not of the person. */
  sessionId: string;
};

const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");

/** OWASP's minimum for argon2id: 19 MiB, two passes, one lane (Password Storage Cheat Sheet, from memory). */
const argon = { memoryCost: 19456, timeCost: 2, parallelism: 1 };

/** A hash of nothing anyone can type: checking against it makes an unknown e-mail as slow as a wrong password. */
const nobody = hash(randomBytes(32), argon);

export const hashPassword = (password: string) => hash(password, argon);

/** Sessions end after this many hours, and sooner by signing out. */
export const sessionHours = 14;
const throttleMinutes = 15;
const attemptsPerEmail = 6;
const attemptsPerAddress = 40;

export type SignIn =
  { kind: "signed-in"; token: string } | { kind: "refused" } | { kind: "throttled"; minutes: number };

async function tooMany(db: Knex, key: string, most: number): Promise<boolean> {
  return withProof(db, "app.throttle_key", key, async (trx) => {
    await trx("sign_in_attempt")
      .where("at", "<", trx.raw(`now() - interval '${throttleMinutes} minutes'`))
      .del();
    // Serialise attempts on one key: a burst in parallel must not slip under the limit.
    await trx.raw("select pg_advisory_xact_lock(hashtextextended(?, 0))", [key]);
    const counted = await trx("sign_in_attempt").count<{ count: string }[]>("* as count");
    if (Number(counted[0]?.count) >= most) return true;
    await trx("sign_in_attempt").insert({ throttle_key: key });
    return false;
  });
}

const forget = (db: Knex, key: string) => withProof(db, "app.throttle_key", key, (trx) => trx("sign_in_attempt").del());

/** A sign-in that succeeded was no attempt at guessing: it does not count against others at the same address. */
const giveBack = (db: Knex, key: string) =>
  withProof(db, "app.throttle_key", key, (trx) =>
    trx("sign_in_attempt")
      .whereRaw("ctid = (select ctid from sign_in_attempt where throttle_key = ? order by at desc limit 1)", [key])
      .del(),
  );

/** Checks e-mail and password; on success opens a session and returns its token, which is stored only as a hash. */
export async function signIn(db: Knex, email: string, password: string, address: string): Promise<SignIn> {
  const account = email.trim().toLowerCase();
  const keys = { email: sha256(`email ${account}`), address: sha256(`address ${address}`) };
  if ((await tooMany(db, keys.email, attemptsPerEmail)) || (await tooMany(db, keys.address, attemptsPerAddress)))
    return { kind: "throttled", minutes: throttleMinutes };
  const row = await withProof(db, "app.sign_in_email", account, (trx) =>
    trx("practitioner").first<{ id: string; practice_id: string; password_hash: string } | undefined>(),
  );
  const right = await verify(row?.password_hash ?? (await nobody), password);
  if (!row || !right) return { kind: "refused" };
  await forget(db, keys.email);
  await giveBack(db, keys.address);
  const token = randomBytes(32).toString("base64url");
  await inPractice(db, row.practice_id, async (tx) => {
    await tx("auth_session").where("expires_at", "<", tx.fn.now()).del();
    await tx("auth_session").insert({
      id: randomUUID(),
      practitioner_id: row.id,
      token_hash: sha256(token),
      expires_at: tx.raw(`now() + interval '${sessionHours} hours'`),
    });
  });
  return { kind: "signed-in", token };
}

/** The practice a session token belongs to, or undefined when it is unknown or over. */
export async function practiceOfToken(db: Knex, token: string): Promise<string | undefined> {
  const row = await withProof(db, "app.session_hash", sha256(token), (trx) =>
    trx("auth_session")
      .where("expires_at", ">", trx.fn.now())
      .first<{ practice_id: string } | undefined>("practice_id"),
  );
  return row?.practice_id;
}

export async function practitionerOfToken(tx: Tx, token: string): Promise<Practitioner | undefined> {
  return tx("auth_session as s")
    .join("practitioner as p", "p.id", "s.practitioner_id")
    .join("practice as h", "h.practice_id", "p.practice_id")
    .where("s.token_hash", sha256(token))
    .first<Practitioner | undefined>({
      id: "p.id",
      practiceId: "p.practice_id",
      practiceName: "h.name",
      name: "p.name",
      email: "p.email",
      settings: "p.settings",
      sessionId: "s.id",
    });
}

/** Whether a password is the practitioner's own: asked for where a sign-in alone is not enough. Throttled. */
export async function passwordIs(
  db: Knex,
  practitioner: Pick<Practitioner, "email">,
  password: string,
): Promise<boolean | "throttled"> {
  const key = sha256(`own ${practitioner.email}`);
  if (await tooMany(db, key, attemptsPerEmail)) return "throttled";
  const row = await withProof(db, "app.sign_in_email", practitioner.email, (trx) =>
    trx("practitioner").first<{ password_hash: string } | undefined>("password_hash"),
  );
  const right = row !== undefined && (await verify(row.password_hash, password));
  if (right) await forget(db, key);
  return right;
}

export async function signOut(tx: Tx, token: string): Promise<void> {
  await tx("auth_session").where("token_hash", sha256(token)).del();
}

/** Changes some of a practitioner's settings; the others stay as they are. */
export async function saveSettings(tx: Tx, id: string, change: Practitioner["settings"]): Promise<void> {
  await tx("practitioner")
    .where({ id })
    .update({ settings: tx.raw("settings || ?::jsonb", [JSON.stringify(change)]) });
}
