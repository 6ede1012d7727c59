import type { Moment } from "../findings/restriction";
import { readPhoto, type MarkedPhoto, type Reading } from "../measure/read-photo";

export type PhotoAtVisit = MarkedPhoto & { ordinal: number; moment: Moment };

/** Everything a visit's pictures say at one moment. `key` is "5-before". */
export type MomentReadings = {
  key: string;
  ordinal: number;
  moment: Moment;
  readings: Reading[];
  photos: MarkedPhoto[];
};

/**
 * Pictures grouped by visit and moment in order of time, each with its metrics; unmarked moments are left out.
 * `read` may give readings that were taken before.
 */
export function momentsOf<P extends PhotoAtVisit>(
  photos: readonly P[],
  read: (photo: P) => Reading[] = (photo) => readPhoto(photo),
): MomentReadings[] {
  const moments = new Map<string, MomentReadings>();
  for (const photo of photos) {
    const key = `${photo.ordinal}-${photo.moment}`;
    const moment = moments.get(key) ?? {
      key,
      ordinal: photo.ordinal,
      moment: photo.moment,
      readings: [],
      photos: [],
    };
    moment.photos.push(photo);
    moment.readings.push(...read(photo));
    moments.set(key, moment);
  }
  return [...moments.values()]
    .filter((moment) => moment.readings.length > 0)
    .sort((a, b) => a.ordinal - b.ordinal || (a.moment === "before" ? -1 : 1));
}
