import { momentsOf, type MomentReadings } from "~core/change/moments";
import { readPhoto } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import type { OwnFigures } from "~core/repeatability/own-figures";
import type { Tx } from "~data/database";
import { measurementsOf } from "~data/measurements";
import { photosOfClient, type Photo } from "~data/photos";
import { ownFigures } from "./own-figures.server";

/**
 * Readings follow from marks and the marker's own figures alone: they are kept by picture and version, as long as the
 * figures are the same; the least recently used are let go first.
 */
const kept = new Map<string, { own: OwnFigures | undefined; readings: Reading[] }>();
const most = 2000;

function readingsOf(photo: Photo, own: OwnFigures | undefined): Reading[] {
  const key = `${photo.id} ${photo.version}`;
  const known = kept.get(key);
  const readings = known && known.own === own ? known.readings : readPhoto(photo, own);
  kept.delete(key);
  kept.set(key, { own, readings });
  if (kept.size > most) kept.delete(kept.keys().next().value!);
  return readings;
}

/** Everything a client's pictures and measurements by hand say, by visit and moment. */
export async function momentsOfClient(tx: Tx, clientId: string): Promise<MomentReadings[]> {
  const own = await ownFigures(tx);
  return momentsOf(await photosOfClient(tx, clientId), await measurementsOf(tx, clientId), (photo) =>
    readingsOf(photo, photo.markedBy ? own[photo.markedBy] : undefined),
  );
}
