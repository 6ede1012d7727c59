import { createHash } from "node:crypto";
import type { Knex } from "knex";
import { withProof } from "./database";
import { ConcurrencyLimiter } from "./concurrency-limiter";

const minutes = 15;
/** Wrong passwords in a quarter of an hour before each further try waits. */
const free = 6;
const [firstWait, longestWait] = [3, 30];

/** Tries that wait: one at a time for each key, and a bounded number in all. Nobody is shut out; who guesses waits for each guess. */
const slow = new ConcurrencyLimiter({ atOnce: 64, inside: 64, ofOne: 1 });

export type Wait = (seconds: number) => Promise<unknown>;
export const pause: Wait = (seconds) => new Promise((resolve) => setTimeout(resolve, seconds * 1000));

/** A key of the throttle: what is counted, and for whom. Nothing that can be read back. */
export const throttleKey = (what: "account" | "device" | "address" | "own", whose: string): string =>
  createHash("sha256").update(`${what} ${whose}`).digest("hex");

/** Notes a try under `key` and says how many there were of late. */
export async function noteTry(db: Knex, key: string): Promise<number> {
  return withProof(db, "app.throttle_key", key, async (trx) => {
    // old tries of everybody are swept; those that another request is sweeping are left to it
    await trx.raw(
      `delete from sign_in_attempt where ctid = any(array(select ctid from sign_in_attempt
       where at < now() - interval '${minutes} minutes' limit 500 for update skip locked))`,
    );
    // one at a time on one key: a burst in parallel must not slip under the limit
    await trx.raw("select pg_advisory_xact_lock(hashtextextended(?, 0))", [key]);
    const [counted] = await trx("sign_in_attempt")
      .where({ throttle_key: key })
      .count<{ count: string }[]>("* as count");
    await trx("sign_in_attempt").insert({ throttle_key: key });
    return Number(counted?.count);
  });
}

/** How long a try waits before its password is looked at, after so many of late (s): 3, 6, 12, 24, then 30 each time. */
export const waitAfter = (tries: number): number =>
  tries < free ? 0 : Math.min(longestWait, firstWait * 2 ** Math.min(10, tries - free));

/**
 * Looks at a password after as long a wait as the tries under `key` ask for. Whoever has the right one gets in, however many
 * wrong ones came before; Busy where another try under the same key is waiting already.
 */
export async function inTime<T>(db: Knex, key: string, wait: Wait, look: () => Promise<T>): Promise<T> {
  const seconds = waitAfter(await noteTry(db, key));
  if (seconds === 0) return look();
  return slow.through(key, async () => {
    await wait(seconds);
    return look();
  });
}

/** The right one was given: nothing counts any more. */
export const forgetTries = (db: Knex, key: string): Promise<number> =>
  withProof(db, "app.throttle_key", key, (trx) => trx("sign_in_attempt").where({ throttle_key: key }).del());

/** A sign-in that succeeded was no guess: it does not count against others at the same address. */
export const giveBack = (db: Knex, key: string): Promise<number> =>
  withProof(db, "app.throttle_key", key, (trx) =>
    trx("sign_in_attempt")
      .whereRaw("ctid = (select ctid from sign_in_attempt where throttle_key = ? order by at desc limit 1)", [key])
      .del(),
  );
