import type { PointKey } from "../anatomy/landmarks";
import type { Moment } from "../findings/restriction";
import { readByHand, type HandMeasurement } from "../measure/by-hand";
import { takenOver } from "../measure/propose";
import type { OwnFigures } from "../measure/own-figures";
import { readBy, readPhoto, type MarkedPhoto } from "../measure/read-photo";
import type { Reading } from "../measure/reading";
import { averaged } from "../measure/standings";

/** `standing`: which of several standings of one moment, from 1 on. */
export type PhotoAtVisit = MarkedPhoto & { ordinal: number; moment: Moment; standing?: number };

/** Everything a visit's pictures say at one moment. `key` is "5-before". */
export type MomentReadings = {
  key: string;
  ordinal: number;
  moment: Moment;
  readings: Reading[];
  photos: MarkedPhoto[];
};

const order = ({ ordinal, moment, standing = 1 }: PhotoAtVisit) =>
  20 * ordinal + (moment === "after" ? 10 : 0) + standing;

/** The picture of the same view that was taken before a picture. */
export const pictureBefore = <P extends PhotoAtVisit>(photo: PhotoAtVisit, photos: readonly P[]): P | undefined =>
  photos
    .filter((other) => other.view === photo.view && order(other) < order(photo))
    .sort((a, b) => order(b) - order(a))[0];

/** The points of a picture that stand where they were taken over from the one before it of the same view. */
function copiedIn(photo: PhotoAtVisit, photos: readonly PhotoAtVisit[]): ReadonlySet<PointKey> {
  const before = pictureBefore(photo, photos);
  return new Set(before ? takenOver(photo, before).same : []);
}

/**
 * Pictures and hand measurements grouped by visit and moment in order of time, each with its metrics; moments without
 * any are left out. Several standings of one view are one reading, their mean. One metric taken in two ways is two
 * readings side by side. `read` may give readings that were taken before; `figures` are those of whoever measured by hand.
 */
export function momentsOf<P extends PhotoAtVisit>(
  photos: readonly P[],
  byHand: readonly HandMeasurement[] = [],
  read: (photo: P) => Reading[] = (photo) => readPhoto(photo),
  figures: Readonly<Record<string, OwnFigures>> = {},
): MomentReadings[] {
  const moments = new Map<string, MomentReadings>();
  const momentOf = (ordinal: number, moment: Moment): MomentReadings => {
    const key = `${ordinal}-${moment}`;
    const found = moments.get(key) ?? { key, ordinal, moment, readings: [], photos: [] };
    moments.set(key, found);
    return found;
  };
  const standings = new Map<string, { moment: MomentReadings; lists: Reading[][] }>();
  for (const photo of photos) {
    const moment = momentOf(photo.ordinal, photo.moment);
    moment.photos.push(photo);
    const copied = copiedIn(photo, photos);
    const list = standings.get(`${moment.key} ${photo.view}`) ?? { moment, lists: [] };
    standings.set(`${moment.key} ${photo.view}`, list);
    list.lists.push(
      read(photo).map((reading) =>
        reading.metric.points(reading.side ?? "L").every((point) => copied.has(point))
          ? { ...reading, copied: true as const }
          : reading,
      ),
    );
  }
  for (const measured of byHand) {
    const reading = readByHand(measured, figures[measured.measuredBy ?? ""]);
    if (!reading) continue;
    const moment = momentOf(measured.ordinal, measured.moment);
    const list = standings.get(`${moment.key} by hand`) ?? { moment, lists: [] };
    standings.set(`${moment.key} by hand`, list);
    (list.lists[(measured.standing ?? 1) - 1] ??= []).push(reading);
  }
  for (const { moment, lists } of standings.values())
    moment.readings.push(...averaged(lists.filter((list) => list !== undefined)));
  return [...moments.values()]
    .filter((moment) => moment.readings.length > 0)
    .sort((a, b) => a.ordinal - b.ordinal || (a.moment === "before" ? -1 : 1));
}

/** The same with the moments at which something was only found by hand: without a reading or a picture, in order of time. */
export function withFound(
  moments: readonly MomentReadings[],
  found: readonly { visit: number; moment: Moment }[],
): MomentReadings[] {
  const all = new Map(moments.map((moment) => [moment.key, moment]));
  for (const { visit, moment } of found) {
    const key = `${visit}-${moment}`;
    if (!all.has(key)) all.set(key, { key, ordinal: visit, moment, readings: [], photos: [] });
  }
  return [...all.values()].sort((a, b) => a.ordinal - b.ordinal || (a.moment === "before" ? -1 : 1));
}

type Told = {
  byHand: readonly HandMeasurement[];
  figures: Readonly<Record<string, OwnFigures>>;
  moments: MomentReadings[];
};
const told = new WeakMap<readonly PhotoAtVisit[], Told>();

/**
 * As `momentsOf`, each picture read with the figures of whoever marked it. A page draws the same lists again and again, and
 * a server for everybody who looks: the same three are read once. Nobody writes to what is handed out.
 */
export function momentsRead<P extends PhotoAtVisit & { markedBy: string | null }>(
  photos: readonly P[],
  byHand: readonly HandMeasurement[],
  figures: Readonly<Record<string, OwnFigures>>,
): MomentReadings[] {
  const known = told.get(photos);
  if (known?.byHand === byHand && known.figures === figures) return known.moments;
  const moments = momentsOf(photos, byHand, readBy(figures), figures);
  told.set(photos, { byHand, figures, moments });
  return moments;
}
