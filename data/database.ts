import knexFactory, { type Knex } from "knex";
import pg from "pg";
import { inTransaction } from "./transaction";

// A date is a day, not a moment: keep it as "2026-11-24" instead of a Date in some time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (day) => day);

/**
 * A transaction in which `app.practice_id` is set: every repository function takes one, and every cache takes its
 * practice from one.
 */
export type Tx = Knex.Transaction & {
  readonly practiceId: string;
  readonly practiceBound: unique symbol;
  /** Answers that were had already: only where nothing is written. */
  answered?: Map<string, Promise<unknown>>;
};

/** Asks once in a transaction that only reads, whoever needs it; where something may be written, anew each time. */
export function once<T>(tx: Tx, question: string, ask: () => Promise<T>): Promise<T> {
  const known = tx.answered?.get(question) as Promise<T> | undefined;
  if (known) return known;
  const asked = ask();
  tx.answered?.set(question, asked);
  return asked;
}

/** How long anything may take before the database gives up on it (ms): one statement, one lock, one silent transaction. */
const limits = { statement_timeout: 15_000, lock_timeout: 5_000, idle_in_transaction_session_timeout: 30_000 };

/** `patient` for migrations, which may take their time; `within` (ms) for questions whose late answer is no answer. */
export function connect(url: string, most = 10, kind?: { patient?: true; within?: number }): Knex {
  return knexFactory({
    client: "pg",
    connection: {
      connectionString: url,
      application_name: "ember-path",
      ...(kind?.patient ? {} : limits),
      ...(kind?.within ? { query_timeout: kind.within, connectionTimeoutMillis: kind.within } : {}),
    },
    pool: { min: 0, max: most },
    acquireConnectionTimeout: kind?.within ?? 5000,
  });
}

/** Sets transaction-local settings that the row-level policies read. */
async function set(trx: Knex.Transaction, name: string, value: string): Promise<void> {
  await trx.raw("select set_config(?, ?, true)", [name, value]);
}

/** A transaction whose `app.practice_id` was set to `practiceId` by a question asked in it. */
export const bound = (trx: Knex.Transaction, practiceId: string): Tx => Object.assign(trx, { practiceId }) as Tx;

/** Binds a transaction to a practice: from here on it sees the rows of `practiceId` and no others. */
export async function bind(trx: Knex.Transaction, practiceId: string): Promise<Tx> {
  await set(trx, "app.practice_id", practiceId);
  return bound(trx, practiceId);
}

/** Runs `work` in one transaction that sees the rows of `practiceId` and no others. Throwing rolls back. */
export function inPractice<T>(db: Knex, practiceId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return inTransaction(db, async (trx) => work(await bind(trx, practiceId)));
}

/** What shows a row to someone who has not signed in yet. */
export type Proof = "app.sign_in_email" | "app.session_hash" | "app.device_hash" | "app.throttle_key";

/** Lets a transaction see the rows that show themselves to `name` = `value`, until it is let go of again with "". */
export const prove = (trx: Knex.Transaction, name: Proof, value: string): Promise<void> => set(trx, name, value);

/** Runs `work` in a transaction that sees only rows which show themselves to `name` = `value` (sign-in). */
export function withProof<T>(
  db: Knex,
  name: Proof,
  value: string,
  work: (trx: Knex.Transaction) => Promise<T>,
): Promise<T> {
  return inTransaction(db, async (trx) => {
    await prove(trx, name, value);
    return work(trx);
  });
}
