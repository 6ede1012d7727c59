import PgBoss from "pg-boss";
import type { Tx } from "./database";

/** Work in the order it is asked for; and what was tried as often as may be. */
export const jobs = "jobs";
export const givenUp = "jobs-given-up";

/** All the queue knows of a job: what it is about is asked for within its practice. */
export type Queued = { practice: string; job: string };

/** The queue's statements within a transaction of ours: a job is there if what it is about is, and not otherwise. */
const within = (tx: Tx) => ({
  executeSql: (text: string, values: unknown[]): Promise<{ rows: unknown[] }> => {
    const bindings: unknown[] = [];
    const sql = text.replace(/\$(\d+)/g, (_, n: string) => {
      bindings.push(values[Number(n) - 1] ?? null);
      return "?";
    });
    return tx.raw(sql, bindings as never) as unknown as Promise<{ rows: unknown[] }>;
  },
});

// sends only: it opens no connection of its own
const sender = new PgBoss({
  db: { executeSql: () => Promise.reject(new Error("the queue is written to in a transaction")) },
});

/** Puts a job of the transaction's practice into the queue. Who has much waiting already lets others go first. */
export async function enqueue(tx: Tx, job: string, waiting: number): Promise<void> {
  const queued: Queued = { practice: tx.practiceId, job };
  await sender.send(jobs, queued, { db: within(tx), priority: -waiting });
}

/** The queue as a worker sees it. `url`: the application's role. */
export const listen = (url: string): PgBoss =>
  new PgBoss({
    connectionString: url,
    application_name: "ember-path-work",
    max: 2,
    migrate: false,
    schedule: false,
    maintenanceIntervalSeconds: 5,
    archiveCompletedAfterSeconds: 3600,
    deleteAfterHours: 24,
  });
