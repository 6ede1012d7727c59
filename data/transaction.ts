import { AsyncLocalStorage } from "node:async_hooks";
import type { Knex } from "knex";

/** What a transaction wrote is not in the database: COMMIT was refused, or there was nothing left to commit. */
export class NotStored extends Error {
  override name = "NotStored";
}

/** What a request holds: one connection at the most, or as many as there are could each wait for another. */
const holding = new AsyncLocalStorage<{ connection: boolean }>();

/** Runs `work` as one request: whatever it does, it never holds two connections. */
export const asOneRequest = <T>(work: () => T): T => holding.run({ connection: false }, work);

/** Opens a transaction that `commit` or `rollBack` ends. Within a request that holds a connection already it throws. */
export async function begin(db: Knex): Promise<Knex.Transaction> {
  const held = holding.getStore();
  if (held?.connection) throw new Error("a request holds a connection already: it may not take a second");
  if (held) held.connection = true;
  const release = () => {
    if (held) held.connection = false;
  };
  try {
    const trx = await db.transaction();
    trx.executionPromise.then(release, release);
    return trx;
  } catch (error) {
    release();
    throw error;
  }
}

/** What the server did when it was told to commit: it rolls a transaction back, without a fault, in which a statement failed. */
const commandOf = (answer: unknown): unknown =>
  (answer as { response?: { command?: unknown } } | undefined)?.response?.command;

/**
 * Returns only after the server said that everything is stored; throws what it said otherwise, and `NotStored` where the
 * transaction was over already. (Knex's own commit resolves although COMMIT failed: only `executionPromise` rejects.)
 */
export async function commit(trx: Knex.Transaction): Promise<void> {
  if (trx.isCompleted()) throw new NotStored("the transaction was over");
  const [answer] = await Promise.all([trx.commit() as Promise<unknown>, trx.executionPromise]);
  if (commandOf(answer) !== "COMMIT") throw new NotStored("a statement of the transaction had failed");
}

/** Takes back what was done. Where the connection is gone, the server has done so. */
export async function rollBack(trx: Knex.Transaction): Promise<void> {
  if (!trx.isCompleted()) await trx.rollback().catch(() => undefined);
}

/** Runs `work` in one transaction: what it returns is returned once it is stored. Throwing takes everything back. */
export async function inTransaction<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  const trx = await begin(db);
  let done: T;
  try {
    done = await work(trx);
  } catch (error) {
    await rollBack(trx);
    throw error;
  }
  await commit(trx);
  return done;
}
