import { parentPort, workerData } from "node:worker_threads";
import { readTechniques } from "~core/techniques/read-file";

// a thread of its own for one file: whatever it holds, nobody else waits for it
parentPort!.postMessage(readTechniques(workerData as string));
