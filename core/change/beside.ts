import type { Moment } from "../findings/restriction";
import type { HandMeasurement } from "../measure/by-hand";
import type { OwnFigures } from "../measure/own-figures";
import type { Reading } from "../measure/reading";
import { views, type View } from "../measure/view";
import { momentsOf, pictureBefore, type MomentReadings, type PhotoAtVisit } from "./moments";

/** Whether a reading belongs to a view, or to the whole body. */
export const inView =
  (view: View | "whole") =>
  ({ id }: Reading): boolean =>
    view === "whole" || id.endsWith(`.${view}`);

/** Moments that one of a visit may be held against: an "after" against this visit's "before", that against the visits before. */
export const earlierThan = (moments: readonly MomentReadings[], ordinal: number, moment: Moment): MomentReadings[] =>
  moments.filter((each) => each.moment === "before" && each.ordinal < ordinal + (moment === "after" ? 1 : 0));

/** The latest of them that says something of a view. */
export const heldAgainst = (
  moments: readonly MomentReadings[],
  ordinal: number,
  moment: Moment,
  view: View | "whole",
): MomentReadings | undefined =>
  earlierThan(moments, ordinal, moment).findLast(({ readings }) => readings.some(inView(view)));

/** The latest picture of a view at one of them: what is marked now was marked there before. */
export function formerOf<P extends PhotoAtVisit>(
  photos: readonly P[],
  moments: readonly MomentReadings[],
  ordinal: number,
  moment: Moment,
  view: View,
): P | undefined {
  const keys = new Set(earlierThan(moments, ordinal, moment).map(({ key }) => key));
  return photos.findLast(
    (each) => each.view === view && each.moment === "before" && keys.has(`${each.ordinal}-${each.moment}`),
  );
}

/**
 * What of a client's pictures a visit's page takes to say all it says of that visit: its own, those it is held against, and
 * of each of these the one before it in its view (points may have been taken over from there). However long a series is,
 * these are few. `moments`: read from all of them.
 */
export function besideVisit<P extends PhotoAtVisit>(
  photos: readonly P[],
  moments: readonly MomentReadings[],
  ordinal: number,
): P[] {
  const asked = (["before", "after"] as const).flatMap((moment) =>
    ([...views, "whole"] as const).map((view) => [moment, view] as const),
  );
  const keys = new Set(
    asked.flatMap(([moment, view]) => {
      const former = view === "whole" ? undefined : formerOf(photos, moments, ordinal, moment, view);
      return [heldAgainst(moments, ordinal, moment, view)?.key, former && `${former.ordinal}-${former.moment}`];
    }),
  );
  const shown = photos.filter((each) => each.ordinal === ordinal || keys.has(`${each.ordinal}-${each.moment}`));
  const needed = new Set(shown);
  for (const photo of shown) {
    const before = pictureBefore(photo, photos);
    if (before) needed.add(before);
  }
  return photos.filter((each) => needed.has(each));
}

/**
 * The moments that a visit's page speaks of, from its pictures: those of other visits that were taken afterwards are there for
 * what was taken over from them, and nothing is held against them. `read`: what a picture says.
 */
export const momentsBeside = <P extends PhotoAtVisit>(
  photos: readonly P[],
  byHand: readonly HandMeasurement[],
  read: (photo: P) => Reading[],
  figures: Readonly<Record<string, OwnFigures>>,
  ordinal: number,
): MomentReadings[] =>
  momentsOf(
    photos,
    byHand,
    (photo) => (photo.moment === "before" || photo.ordinal === ordinal ? read(photo) : []),
    figures,
  );
