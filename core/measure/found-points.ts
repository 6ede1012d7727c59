import type { PointKey } from "../anatomy/landmarks";
import { landmarks, splitPoint } from "../anatomy/landmarks";
import type { MarkKey, Marks, Px } from "./calibration";
import type { Named } from "./dots";
import type { Followed } from "./follow";
import { pointsOfView, type View } from "./view";

/** Points that were found in a picture, how sure each is (0–1), and by what. */
export type FoundPoints = { marks: Marks; sure: Partial<Record<MarkKey, number>>; dots: number; followed: number };

/** From here on a found point may be confirmed together with the others; below, it is asked for by itself. */
export const sureEnough = 0.6;

/** Where dots are to be expected by marks of an earlier picture, and how tall its owner is in them (px). */
export function expectedFrom(view: View, marks: Marks): { places: Map<PointKey, Px>; stature: number } | undefined {
  const places = new Map(
    pointsOfView[view].flatMap((key): [PointKey, Px][] =>
      marks[key] && !key.startsWith("canthus") ? [[key, marks[key]]] : [],
    ),
  );
  const heightOf = (key: PointKey) => landmarks[splitPoint(key).landmark].height;
  const keys = [...places.keys()].sort((a, b) => heightOf(a) - heightOf(b));
  const [low, high] = [keys[0], keys.at(-1)];
  if (!low || !high || heightOf(high) - heightOf(low) < 0.3) return undefined;
  const stature = (places.get(low)!.y - places.get(high)!.y) / (heightOf(high) - heightOf(low));
  return stature > 0 ? { places, stature } : undefined;
}

/** Dots first; what has none, or none that is sure, is followed. */
export function mergeFound(named: Named, followed: Followed | undefined): FoundPoints {
  const found: FoundPoints = { marks: {}, sure: {}, dots: 0, followed: 0 };
  const keys = new Set([...Object.keys(named.marks), ...Object.keys(followed?.marks ?? {})] as PointKey[]);
  for (const key of keys) {
    const [byDot, byLook] = [named.sure[key] ?? -1, followed?.sure[key] ?? -1];
    const dot = named.marks[key] && (byDot >= sureEnough || byDot >= byLook || !followed?.marks[key]);
    found.marks[key] = (dot ? named.marks[key] : followed!.marks[key])!;
    found.sure[key] = Math.max(0, dot ? byDot : byLook);
    if (dot) found.dots++;
    else found.followed++;
  }
  return found;
}
