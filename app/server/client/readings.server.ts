import { momentsOf, type MomentReadings } from "~core/change/moments";
import { readPhoto } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import type { OwnFigures } from "~core/measure/own-figures";
import type { Tx } from "~data/database";
import { measurementsOf } from "~data/measurements";
import { photosOfClient } from "~data/photos";
import { ownFigures } from "./own-figures.server";
import { PracticeCache } from "~app/server/practice-cache.server";

/**
 * Readings follow from marks and the marker's own figures alone: they are kept by picture and version, as long as the
 * figures are the same.
 */
const kept = new PracticeCache<{ own: OwnFigures | undefined; readings: Reading[] }>(2000);

/** Everything a client's pictures and measurements by hand say, by visit and moment. */
export async function momentsOfClient(tx: Tx, clientId: string): Promise<MomentReadings[]> {
  const figures = await ownFigures(tx);
  const photos = await photosOfClient(tx, clientId);
  const readings = new Map<string, Reading[]>();
  for (const photo of photos) {
    const own = photo.markedBy ? figures[photo.markedBy] : undefined;
    const read = await kept.of(
      tx,
      `${photo.id} ${photo.version}`,
      () => ({ own, readings: readPhoto(photo, own) }),
      (known) => known.own === own,
    );
    readings.set(photo.id, read.readings);
  }
  return momentsOf(photos, await measurementsOf(tx, clientId), (photo) => readings.get(photo.id)!, figures);
}
