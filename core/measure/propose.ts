import { landmarks, splitPoint, type PointKey } from "../anatomy/landmarks";
import { calibrate, locate, project, type BodyPoint, type MarkKey, type Marks, type Px } from "./calibration";
import { isReference } from "./marking";
import { sceneOf, type MarkedPhoto } from "./read-photo";
import { isSideView, pointsOfView, usualDepth, type View } from "./view";

/** The points a picture stands on: both ankles, or the one that faces the camera. */
export const feetOf = (view: View): readonly PointKey[] =>
  isSideView(view) ? [view === "left" ? "malleolus.L" : "malleolus.R"] : ["ankle.R", "ankle.L"];

const mean = (places: readonly Px[]): Px => ({
  x: places.reduce((sum, { x }) => sum + x, 0) / places.length,
  y: places.reduce((sum, { y }) => sum + y, 0) / places.length,
});

/** Moves a proposal so that it stands on the feet that are marked already; unmoved while they are not. */
function standOnFeet(photo: MarkedPhoto, proposal: Marks): Marks {
  const feet = feetOf(photo.view);
  const marked = feet.map((key) => photo.marks[key]).filter((at) => at !== undefined);
  const proposed = feet.map((key) => proposal[key]).filter((at) => at !== undefined);
  if (marked.length < feet.length || proposed.length < feet.length) return proposal;
  const [to, from] = [mean(marked), mean(proposed)];
  return Object.fromEntries(
    Object.entries(proposal).map(([key, { x, y }]) =>
      isReference(key as PointKey) ? [key, { x, y }] : [key, { x: x + to.x - from.x, y: y + to.y - from.y }],
    ),
  );
}

/**
 * Guesses for a picture from an earlier one of the same client and view: the same places on the body in the new
 * picture's scale, or the same places in the picture while it has no plumb and stick yet. Undefined when there is
 * nothing to copy.
 */
export function fromEarlier(photo: MarkedPhoto, earlier: MarkedPhoto): Marks | undefined {
  const share = { x: photo.setup.width / earlier.setup.width, y: photo.setup.height / earlier.setup.height };
  const copied = Object.fromEntries(
    Object.entries(earlier.marks).map(([key, { x, y }]) => [key, { x: x * share.x, y: y * share.y }]),
  ) as Marks;
  if (Object.keys(copied).length === 0) return undefined;
  const [scene, before] = [sceneOf(photo), sceneOf(earlier)];
  const [now, then] = [calibrate(scene), calibrate(before)];
  if (now && then)
    for (const key of Object.keys(copied).filter((key) => !isReference(key as PointKey)) as PointKey[]) {
      const place = locate(before, then, key);
      // the mark lies on the skin, whatever joint it stands for
      if (place) copied[key] = project(scene, now, { ...place, near: skinDepth(photo, key, place) });
    }
  return standOnFeet(photo, copied);
}

/** How far a mark may lie from where it was taken over to and still count as not touched (pixels). */
const untouched = 0.75;

/**
 * Which of a picture's points on the body stand exactly where they were taken over from an earlier picture, and how
 * many there are. When it is all of them, nothing was looked at: the reading says where the earlier marks would lie.
 */
export function takenOver(photo: MarkedPhoto, earlier: MarkedPhoto): { same: readonly PointKey[]; of: number } {
  const copied = fromEarlier(photo, earlier) ?? {};
  const own = (Object.keys(photo.marks) as MarkKey[]).filter((key): key is PointKey => !isReference(key));
  const same = own.filter((key) => {
    const [{ x, y }, there] = [photo.marks[key]!, copied[key]];
    return there !== undefined && Math.hypot(there.x - x, there.y - y) <= untouched;
  });
  return { same, of: own.length };
}

const skinDepth = (photo: MarkedPhoto, key: PointKey, place: BodyPoint): number =>
  landmarks[splitPoint(key).landmark].onFloor ? place.near : usualDepth(photo.view, key, photo.setup.stature);

/**
 * Guesses from stature alone (segment fractions of Drillis & Contini 1966 and the landmark catalogue), for a client
 * who stands in the middle of the picture. Undefined until plumb and stick are marked.
 */
export function fromProportions(photo: MarkedPhoto): Marks | undefined {
  const scene = sceneOf(photo);
  const calibration = calibrate(scene);
  if (!calibration) return undefined;
  const { view, setup } = photo;
  const proposal: Marks = {};
  for (const key of pointsOfView[view]) {
    const { landmark, side } = splitPoint(key);
    const { lateral, forward, height } = landmarks[landmark];
    const sideways = side === "R" ? -lateral : side === "L" ? lateral : 0;
    proposal[key] = project(scene, calibration, {
      across: (isSideView(view) ? forward : sideways) * setup.stature,
      up: height * setup.stature,
      near: usualDepth(view, key, setup.stature),
    });
  }
  return standOnFeet(photo, proposal);
}
