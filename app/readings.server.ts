import { momentsOf, type MomentReadings } from "~core/change/moments";
import { readPhoto, type Reading } from "~core/measure/read-photo";
import type { Tx } from "~data/database";
import { measurementsOf } from "~data/measurements";
import { photosOfClient, type Photo } from "~data/photos";

/** Readings follow from marks alone: they are kept by picture and version, the least recently used let go first. */
const kept = new Map<string, Reading[]>();
const most = 2000;

function readingsOf(photo: Photo): Reading[] {
  const key = `${photo.id} ${photo.version}`;
  const readings = kept.get(key) ?? readPhoto(photo);
  kept.delete(key);
  kept.set(key, readings);
  if (kept.size > most) kept.delete(kept.keys().next().value!);
  return readings;
}

/** Everything a client's pictures and measurements by hand say, by visit and moment. */
export async function momentsOfClient(tx: Tx, clientId: string): Promise<MomentReadings[]> {
  return momentsOf(await photosOfClient(tx, clientId), await measurementsOf(tx, clientId), readingsOf);
}
