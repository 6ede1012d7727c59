import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { readTechniques } from "~core/techniques/read-file";
import { ConcurrencyLimiter } from "~data/concurrency-limiter";

/** A file that takes longer is none of ours (ms). */
const patience = 10_000;
const reading = new ConcurrencyLimiter({ atOnce: 1, inside: 6, ofOne: 2 });

type Read = ReturnType<typeof readTechniques>;

/**
 * Reads a practice's file of techniques in a thread of its own, one at a time: what it holds keeps nobody else waiting. Throws
 * Busy where the practice, or all together, have too many to be read already.
 */
export const readTechniquesApart = (practiceId: string, text: string): Promise<Read> =>
  reading.through(practiceId, () =>
    // from sources there is no built thread to start
    process.env.NODE_ENV === "production" ? inThread(text) : Promise.resolve(readTechniques(text)),
  );

const unread = (message: string): Read => ({ faults: [{ line: 1, field: "file", message }] });

function inThread(text: string): Promise<Read> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(join(process.cwd(), "build/server/read-techniques.js"), {
      workerData: text,
      resourceLimits: { maxOldGenerationSizeMb: 256 },
    });
    const late = setTimeout(() => end(() => resolve(unread("It takes too long to be read."))), patience);
    const end = (then: () => void) => {
      clearTimeout(late);
      worker.removeAllListeners();
      void worker.terminate();
      then();
    };
    worker.once("message", (read: Read) => end(() => resolve(read)));
    worker.once("error", (error) =>
      end(() =>
        (error as { code?: string }).code === "ERR_WORKER_OUT_OF_MEMORY"
          ? resolve(unread("It holds more than can be read."))
          : reject(error),
      ),
    );
  });
}
