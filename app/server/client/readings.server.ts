import { isDeepStrictEqual } from "node:util";
import { momentsOf, type MomentReadings } from "~core/change/moments";
import { readPhoto } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import type { OwnFigures } from "~core/measure/own-figures";
import type { Tx } from "~data/database";
import { measurementsOf } from "~data/measurements";
import { photosOfClient } from "~data/photos";
import { ownFigures } from "./own-figures.server";
import { partOf } from "~app/server/cached-loader.server";
import { PracticeCache } from "~app/server/practice-cache.server";

/** Everything a client's pictures and measurements by hand say, by visit and moment. */
export const momentsOfClient = (tx: Tx, clientId: string): Promise<MomentReadings[]> =>
  partOf(tx, clientId, "moments", async () => {
    const figures = await ownFigures(tx);
    const photos = await photosOfClient(tx, clientId);
    const readings = new Map<string, Reading[]>();
    for (const photo of photos) {
      const own = photo.markedBy ? figures[photo.markedBy] : undefined;
      // of one picture of many the marks have changed: the others say what they said
      const read = await kept.of(
        tx,
        `${photo.id} ${photo.version}`,
        () => ({ own, readings: readPhoto(photo, own) }),
        (known) => isDeepStrictEqual(known.own, own),
      );
      readings.set(photo.id, read.readings);
    }
    return momentsOf(photos, await measurementsOf(tx, clientId), (photo) => readings.get(photo.id)!, figures);
  });

/**
 * Readings follow from marks and the marker's own figures alone: they are kept by picture and version, as long as the
 * figures are the same.
 */
const kept = new PracticeCache<{ own: OwnFigures | undefined; readings: Reading[] }>(2000);
