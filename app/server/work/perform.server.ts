import type { Knex } from "knex";
import { inPractice } from "~data/database";
import { progress, fail, Stopped, claim, type Asked } from "~data/jobs";
import type { Queued } from "~data/queue";
import { PermanentJobError, type Performing } from "./performing.server";
import { takePicture } from "./picture.server";

const kinds: Record<Asked["kind"], (performing: Performing) => Promise<void>> = { picture: takePicture };

/**
 * Does one job of the queue. A fault is thrown, so that the queue lets it be tried again; one that was stopped, or done
 * by somebody else meanwhile, leaves nothing behind.
 */
export async function perform(db: Knex, { practice, job: id }: Queued): Promise<void> {
  const within: Performing["within"] = (work) => inPractice(db, practice, work);
  const job = await within((tx) => claim(tx, id));
  if (!job) return;
  try {
    await kinds[job.kind]({ job, within, done: (share) => within((tx) => progress(tx, id, share)) });
  } catch (error) {
    if (error instanceof Stopped) return;
    if (!(error instanceof PermanentJobError)) throw error;
    await within((tx) => fail(tx, id, error.message, true));
  }
}

/** Says of a job that was tried as often as may be that somebody has to decide. */
export const giveUp = (db: Knex, { practice, job }: Queued): Promise<void> =>
  inPractice(db, practice, (tx) =>
    fail(tx, job, "Something went wrong each of four times. The file is kept: try again, or put it away.", false),
  );
