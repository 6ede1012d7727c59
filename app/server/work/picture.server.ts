import { stands } from "~core/consent/consent";
import { consentsOf } from "~data/consents";
import { fileOf, finish } from "~data/jobs";
import { addPhoto } from "~data/photos";
import { takeIn, UnfitPicture } from "~data/photo-intake";
import { PermanentJobError, type Performing } from "./performing.server";

/**
 * Takes a picture in: reads and checks it, turns it upright, encodes it anew, and keeps it where it belongs. Whether it may
 * be kept is asked in the transaction that keeps it; no connection is held while it is read.
 */
export async function takePicture({ job, within, done }: Performing): Promise<void> {
  const bytes = await within((tx) => fileOf(tx, job.id));
  await done(0.15);
  const picture = await takeIn(bytes).catch((error: unknown) => {
    throw error instanceof UnfitPicture ? new PermanentJobError(error.message) : error;
  });
  await done(0.85);
  await within(async (tx) => {
    await finish(tx, job.id);
    if (stands(await consentsOf(tx, job.clientId), "photographs", job.visitId) !== true)
      throw new PermanentJobError("Photographs need the client's consent.");
    const { setup, ...where } = job.about;
    const { width, height } = picture;
    await addPhoto(
      tx,
      {
        id: job.id,
        visitId: job.visitId,
        ...where,
        marks: {},
        setup: { width, height, ...setup },
        sentAt: job.askedAt,
      },
      picture,
    );
  });
}
