import { createHash, randomBytes, randomUUID } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";
import type { Knex } from "knex";
import type { PhotoSetup } from "../core/measure/calibration";
import { usualSchool, type School } from "../core/screening/facts";
import { noHands, type Hands } from "../core/techniques/hand-parts";
import { isDeepStrictEqual } from "node:util";
import { Overtaken } from "./errors";
import { bound, inPractice, prove, withProof, type Tx } from "./database";
import type { Handover } from "./handovers";
import { inTransaction } from "./transaction";
import { ConcurrencyLimiter } from "./concurrency-limiter";
import { forgetTries, giveBack, inTime, noteTry, pause, throttleKey, type Wait } from "./throttle";

/** How the camera is usually set up, in mm: asked once, noted with every picture. */
export type StandSetup = Pick<
  PhotoSetup,
  "stickLength" | "cameraDistance" | "cameraHeight" | "stickBehind" | "stickHangs" | "dotted"
>;

export type Practitioner = {
  id: string;
  practiceId: string;
  practiceName: string;
  name: string;
  email: string;
  settings: { dim?: boolean; school?: School; setup?: StandSetup; hands?: Hands };
  /** Of the sign-in, not of the person. */
  sessionId: string;
  /** Stamp of the practice's own library; null while it has none. */
  library: string | null;
};

const sha256 = (text: string) => createHash("sha256").update(text).digest("hex");

/** OWASP's minimum for argon2id: 19 MiB, two passes, one lane (Password Storage Cheat Sheet, from memory). */
const argon = { memoryCost: 19456, timeCost: 2, parallelism: 1 };

/** Checking a password costs memory and time on purpose: two at once, and a bounded number waiting from one address. */
const checking = new ConcurrencyLimiter({ atOnce: 2, inside: 64, ofOne: 8 });

/** A hash of nothing anyone can type: checking against it makes an unknown e-mail as slow as a wrong password. */
const nobody = hash(randomBytes(32), argon);

export const hashPassword = (password: string) => hash(password, argon);

/** Sign-ins end after this many hours, after fewer without a request, and sooner by signing out. */
export const sessionHours = 14;
export const idleHours = 3;

/** From here on an address waits before each try. It is never shut out: others may share it. */
const triesPerAddress = 40;
const slowSeconds = 3;

export type SignIn = { kind: "signed-in"; token: string; device: string } | { kind: "refused" };

/**
 * Checks e-mail and password; on success opens a session and returns its token, and the device's. Both are stored only
 * as hashes. After six wrong ones each try waits, and none is refused for them: strangers who guess shut nobody out. What is
 * counted is a device that signed in to this account before, else the account together with the address.
 */
export async function signIn(
  db: Knex,
  asked: {
    email: string;
    password: string;
    address: string;
    device?: string | undefined;
    /** Token of the session this browser had before: it ends with the new one's beginning. */
    replaces?: string | undefined;
  },
  wait: Wait = pause,
): Promise<SignIn> {
  const email = asked.email.trim().toLowerCase();
  const [row, known] = await withProof(db, "app.sign_in_email", email, async (trx) => {
    const found = await trx("practitioner").first<
      { id: string; practice_id: string; password_hash: string } | undefined
    >();
    if (!found || !asked.device) return [found, false] as const;
    await prove(trx, "app.device_hash", sha256(asked.device));
    return [found, Boolean(await trx("known_device").where({ practitioner_id: found.id }).first("id"))] as const;
  });
  const address = throttleKey("address", asked.address);
  const own = known
    ? throttleKey("device", `${asked.device} ${email}`)
    : throttleKey("account", `${email} ${asked.address}`);
  const against = row?.password_hash ?? (await nobody);
  const right = await inTime(db, own, wait, async () => {
    if (!known && (await noteTry(db, address)) >= triesPerAddress) await wait(slowSeconds);
    return checking.through(asked.address, () => verify(against, asked.password));
  });
  if (!row || !right) return { kind: "refused" };
  await forgetTries(db, own);
  if (!known) await giveBack(db, address);
  if (asked.replaces) await endSession(db, asked.replaces);
  const token = randomBytes(32).toString("base64url");
  const device = known ? asked.device! : randomBytes(32).toString("base64url");
  await inPractice(db, row.practice_id, async (tx) => {
    await tx("auth_session").where("expires_at", "<", tx.fn.now()).del();
    await tx("known_device").where("seen_at", "<", tx.raw("now() - interval '1 year'")).del();
    if (known)
      await tx("known_device")
        .where({ token_hash: sha256(device) })
        .update({ seen_at: tx.fn.now() });
    else await tx("known_device").insert({ id: randomUUID(), practitioner_id: row.id, token_hash: sha256(device) });
    await tx("auth_session").insert({
      id: randomUUID(),
      practitioner_id: row.id,
      token_hash: sha256(token),
      expires_at: tx.raw(`now() + interval '${sessionHours} hours'`),
    });
  });
  return { kind: "signed-in", token, device };
}

/** Ends the session of whoever carries a token, in whichever practice. */
const endSession = (db: Knex, token: string): Promise<void> =>
  inTransaction(db, async (trx) => {
    const entered = await enterSession(trx, token);
    if (entered) await signOut(entered.tx, token);
  });

/** Under which a session shows itself to whoever carries its token. */
export const proofOfToken = (token: string): string => sha256(token);

/** Whether a session token is still good: for the sign-in page, which sends on who is signed in already. */
export async function isSignedIn(db: Knex, token: string): Promise<boolean> {
  return withProof(db, "app.session_hash", proofOfToken(token), async (trx) => {
    const row = await trx("auth_session").where(alive(trx, "auth_session")).first("practice_id");
    return row !== undefined;
  });
}

const alive = (trx: Knex.Transaction, s: string) =>
  trx.raw(`${s}.expires_at > now() and ${s}.seen_at > now() - interval '${idleHours} hours'`);

/** Who carries a session's token, and the questions they handed the tablet over with. */
export type Entered = { tx: Tx; practitioner: Practitioner; handover: Handover | undefined };

/**
 * Binds a transaction to the practice of whoever carries `token`, in one question; undefined where their session is over.
 * Notes, every few minutes, that they are still there.
 */
export async function enterSession(trx: Knex.Transaction, token: string): Promise<Entered | undefined> {
  const { rows } = (await trx.raw("select * from enter_session(?, ?)", [sha256(token), idleHours])) as {
    rows: Record<string, string | null>[];
  };
  const row = rows[0];
  if (!row) return undefined;
  return {
    tx: bound(trx, row.practice_id!),
    practitioner: {
      id: row.id!,
      practiceId: row.practice_id!,
      practiceName: row.practice_name!,
      name: row.name!,
      email: row.email!,
      settings: row.settings as unknown as Practitioner["settings"],
      sessionId: row.session_id!,
      library: row.library!,
    },
    handover:
      row.handover_id === null
        ? undefined
        : {
            id: row.handover_id!,
            clientId: row.handover_client!,
            visitId: row.handover_visit!,
            at: (row.handover_at as unknown as Date).toISOString(),
          },
  };
}

/** Whether a password is the practitioner's own: asked for where a sign-in alone is not enough. Slowed as sign-in is. */
export async function passwordIs(
  db: Knex,
  practitioner: Pick<Practitioner, "email" | "sessionId">,
  password: string,
  wait: Wait = pause,
): Promise<boolean> {
  const key = throttleKey("own", practitioner.sessionId);
  const row = await withProof(db, "app.sign_in_email", practitioner.email, (trx) =>
    trx("practitioner").first<{ password_hash: string } | undefined>("password_hash"),
  );
  const right = await inTime(
    db,
    key,
    wait,
    async () =>
      row !== undefined && (await checking.through(practitioner.email, () => verify(row.password_hash, password))),
  );
  if (right) await forgetTries(db, key);
  return right;
}

export async function signOut(tx: Tx, token: string): Promise<void> {
  await tx("auth_session").where("token_hash", sha256(token)).del();
}

/** Ends every session of a practitioner, on all devices, and forgets the devices. */
export async function signOutEverywhere(tx: Tx, practitionerId: string): Promise<void> {
  await tx("auth_session").where({ practitioner_id: practitionerId }).del();
  await tx("known_device").where({ practitioner_id: practitionerId }).del();
}

/** Changes some of a practitioner's settings; the others stay as they are. */
export async function saveSettings(tx: Tx, id: string, change: Practitioner["settings"]): Promise<void> {
  await tx("practitioner")
    .where({ id })
    .update({ settings: tx.raw("settings || ?::jsonb", [JSON.stringify(change)]) });
}

/** Everyone of the practice, by name. */
export const practitionersOf = (tx: Tx): Promise<Pick<Practitioner, "id" | "name" | "settings">[]> =>
  tx("practitioner").orderBy(["name", "id"]).select("id", "name", "settings");

/** Changes what a practitioner's hands are to take, where `was` stood so far. */
export async function saveHands(tx: Tx, id: string, hands: Hands, was?: Hands): Promise<void> {
  const { settings } = (await tx("practitioner")
    .where({ id })
    .forUpdate()
    .first<Pick<Practitioner, "settings">>("settings"))!;
  const now = settings.hands ?? noHands;
  if (isDeepStrictEqual(now, hands)) return;
  if (was !== undefined && !isDeepStrictEqual(now, was)) throw new Overtaken("settings", now);
  await saveSettings(tx, id, { hands });
}

/** Changes how a practitioner works, where `was` stood so far; what was never told stands as usual. */
export async function saveSchool(tx: Tx, id: string, school: School, was?: School): Promise<void> {
  const { settings } = (await tx("practitioner")
    .where({ id })
    .forUpdate()
    .first<Pick<Practitioner, "settings">>("settings"))!;
  const now = { ...usualSchool, ...settings.school };
  if (isDeepStrictEqual(now, school)) return;
  if (was !== undefined && !isDeepStrictEqual(now, was)) throw new Overtaken("settings", now);
  await saveSettings(tx, id, { school });
}
