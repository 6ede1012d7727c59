import knexFactory, { type Knex } from "knex";
import pg from "pg";

// A date is a day, not a moment: keep it as "2026-11-24" instead of a Date in some time zone.
pg.types.setTypeParser(pg.types.builtins.DATE, (day) => day);

/** A transaction in which `app.practice_id` is set: every repository function takes one. */
export type Tx = Knex.Transaction & { readonly practiceBound: unique symbol };

export function connect(url: string, most = 10): Knex {
  return knexFactory({
    client: "pg",
    connection: { connectionString: url, application_name: "ember-path" },
    pool: { min: 0, max: most },
    acquireConnectionTimeout: 5000,
  });
}

/** Sets transaction-local settings that the row-level policies read. */
async function set(trx: Knex.Transaction, name: string, value: string): Promise<void> {
  await trx.raw("select set_config(?, ?, true)", [name, value]);
}

/** Runs `work` in one transaction that sees the rows of `practiceId` and no others. Throwing rolls back. */
export function inPractice<T>(db: Knex, practiceId: string, work: (tx: Tx) => Promise<T>): Promise<T> {
  return db.transaction(async (trx) => {
    await set(trx, "app.practice_id", practiceId);
    return work(trx as Tx);
  });
}

/** Runs `work` in a transaction that sees only rows which show themselves to `name` = `value` (sign-in). */
export function withProof<T>(
  db: Knex,
  name: "app.sign_in_email" | "app.session_hash" | "app.throttle_key",
  value: string,
  work: (trx: Knex.Transaction) => Promise<T>,
): Promise<T> {
  return db.transaction(async (trx) => {
    await set(trx, name, value);
    return work(trx);
  });
}
