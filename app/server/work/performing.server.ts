import type { Tx } from "~data/database";
import type { Work } from "~data/jobs";

/** It cannot be done, however often it is tried; the message says why, to whoever asked. */
export class PermanentJobError extends Error {}

/** What a kind of work is given: its job, its practice, and whom it tells how much is done. */
export type Performing = {
  job: Work;
  within: <T>(work: (tx: Tx) => Promise<T>) => Promise<T>;
  /** `share` from 0 to 1; throws Stopped where the job is not wanted any more. */
  done: (share: number) => Promise<void>;
};
