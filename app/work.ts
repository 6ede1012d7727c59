import { log, withoutWords } from "~app/server/request/log.server";
import { giveUp, perform } from "~app/server/work/perform.server";
import { connect } from "~data/database";
import { givenUp, jobs, listen, type Queued } from "~data/queue";

/**
 * Works on what was asked for, one job at a time, until the function it answers with is called: that waits for the job in
 * hand. `url`: the application's role.
 */
export async function work(url: string): Promise<() => Promise<void>> {
  const db = connect(url, 2);
  const queue = listen(url);
  queue.on("error", (error) => log.error(withoutWords(error), "queue failed"));
  try {
    await queue.start();
  } catch (error) {
    await db.destroy();
    throw error;
  }
  const each = async (what: string, task: (queued: Queued) => Promise<void>) => {
    const id = await queue.work<Queued>(what, { pollingIntervalSeconds: 0.5, batchSize: 1 }, async ([next]) => {
      const started = performance.now();
      const { job, practice } = next!.data;
      try {
        await task(next!.data);
        log.info({ queue: what, job, practice, ms: Math.round(performance.now() - started) });
      } catch (error) {
        log.error({ queue: what, job, practice, ...withoutWords(error) }, "job failed");
        // the queue keeps what it is given: nothing of the message goes there
        throw new Error("failed");
      } finally {
        // there may be more: the pause is for an empty queue
        queue.notifyWorker(id);
      }
    });
  };
  await each(jobs, (queued) => perform(db, queued));
  await each(givenUp, (queued) => giveUp(db, queued));
  return async () => {
    await queue.stop({ timeout: 25_000 });
    await db.destroy();
  };
}
