import type { Moment } from "../core/findings/restriction";
import type { View } from "../core/measure/view";
import type { PhotoSetup } from "../core/measure/calibration";
import { once, type Tx } from "./database";
import { addOnce } from "./add-once";
import { NotFound } from "./errors";
import { Busy } from "./concurrency-limiter";
import { enqueue } from "./queue";

/** A picture to be taken in: where it belongs, and how it was taken; its size is known once it is read. */
export type PictureJob = {
  kind: "picture";
  about: { moment: Moment; view: View; standing: number; setup: Omit<PhotoSetup, "width" | "height"> };
};

/** What is done outside of a request, and what has to be known for it. */
export type Asked = PictureJob;

/** As a page shows it: `share` of it is done (null: it waits), or there is a problem that somebody has to decide on. */
export type Job = Asked & {
  id: string;
  visitId: string;
  ordinal: number;
  share: number | null;
  problem: string | null;
  /** Its file is kept: it can be tried again. */
  again: boolean;
};

/** As a worker takes it up. */
export type Work = Asked & { id: string; clientId: string; visitId: string; askedAt: Date };

/** Somebody does not want it any more, or it is done already. */
export class Stopped extends Error {}

/** As many may wait of one practice; who sends more is told to come again. */
const mostWaiting = 24;

/**
 * Asks for work, under an id the client made; asked twice it is done once. The file it starts from is kept with it until
 * it is done. Throws Busy where the practice has too much waiting.
 */
export async function ask(
  tx: Tx,
  asked: Asked & { id: string; clientId: string; visitId: string; by: string },
  bytes: Buffer,
): Promise<void> {
  const row = {
    client_id: asked.clientId,
    visit_id: asked.visitId,
    asked_by: asked.by,
    kind: asked.kind,
    about: JSON.stringify(asked.about),
  };
  const add = () => addOnce(tx, "this picture", "job", { id: asked.id }, row);
  if (await tx("job").where({ id: asked.id }).first("id")) return void (await add());
  const [{ waiting }] = (await tx("job").whereNull("problem").count({ waiting: "*" })) as [{ waiting: string }];
  if (Number(waiting) >= mostWaiting) throw new Busy();
  await add();
  await tx("job_file").insert({ job_id: asked.id, bytes });
  await enqueue(tx, asked.id, Number(waiting));
}

/** What is asked for a client and not done yet, in the order it was asked for. */
export const jobsOf = (tx: Tx, clientId: string): Promise<Job[]> =>
  once(tx, `jobsOf ${clientId}`, async () =>
    tx("job as j")
      .join("visit as v", "v.id", "j.visit_id")
      .where({ "j.client_id": clientId })
      .orderBy(["j.created_at", "j.id"])
      .select({
        id: "j.id",
        kind: "j.kind",
        visitId: "j.visit_id",
        ordinal: "v.ordinal",
        about: "j.about",
        share: "j.share",
        problem: "j.problem",
        again: tx.raw("j.problem is not null and exists (select from job_file f where f.job_id = j.id)"),
      }),
  );

/** It is not wanted any more: who works on it finds nothing to keep. */
export async function stop(tx: Tx, clientId: string, id: string): Promise<void> {
  const gone = await tx("job").where({ id, client_id: clientId }).del();
  if (!gone) throw new NotFound("job");
}

/** Tries again what a fault kept from being done. */
export async function tryAgain(tx: Tx, clientId: string, id: string): Promise<void> {
  const reset = await tx("job")
    .where({ id, client_id: clientId })
    .whereNotNull("problem")
    .whereExists(tx("job_file as f").select(tx.raw("1")).whereRaw("f.job_id = job.id"))
    .update({ problem: null, share: null });
  if (!reset) throw new NotFound("job");
  await enqueue(tx, id, 0);
}

/** Begins with a job; undefined where there is nothing to be done any more. */
export async function claim(tx: Tx, id: string): Promise<Work | undefined> {
  const [row] = await tx("job").where({ id }).whereNull("problem").update({ share: 0 }).returning("*");
  return (
    row && {
      id,
      kind: row.kind,
      about: row.about,
      clientId: row.client_id,
      visitId: row.visit_id,
      askedAt: row.created_at,
    }
  );
}

/** The file a job starts from. */
export async function fileOf(tx: Tx, id: string): Promise<Buffer> {
  const file = await tx("job_file").where({ job_id: id }).first<{ bytes: Buffer } | undefined>("bytes");
  if (!file) throw new Stopped();
  return file.bytes;
}

/** Says how much of a job is done; throws Stopped where it is not wanted any more. */
export async function progress(tx: Tx, id: string, share: number): Promise<void> {
  if (!(await tx("job").where({ id }).update({ share }))) throw new Stopped();
}

/** It is done: whatever else this transaction keeps, it keeps with this. Throws Stopped where nobody wants it any more. */
export async function finish(tx: Tx, id: string): Promise<void> {
  if (!(await tx("job").where({ id }).del())) throw new Stopped();
}

/** It cannot be done; `forGood`: trying again would not help, so that its file goes. */
export async function fail(tx: Tx, id: string, problem: string, forGood: boolean): Promise<void> {
  const still = await tx("job").where({ id }).whereNull("problem").update({ problem, share: null });
  if (still && forGood) await tx("job_file").where({ job_id: id }).del();
}
