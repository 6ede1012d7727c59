import polygonClipping from "polygon-clipping";
import type { Side } from "../units";
import { areaOf, middleOf, placesSeen, polygonOf, within, type FigureView, type Point } from "./figure";
import type { PlaceKey } from "./places";

/** A place an area lies over, and on which side. */
export type Covered = { place: PlaceKey; side: Side | null };

/** Share of a place, or of the area itself, from which the area counts as lying over the place. */
const enough = 0.25;

/**
 * The places an area drawn on a view lies over: those of which it covers a quarter, and those that hold a quarter of it, the
 * one it covers most of all first. A stroke too thin for any counts for the place it is drawn in. Empty beside the body.
 */
export function placesCovered(view: FigureView, outline: readonly Point[]): Covered[] {
  const seen = placesSeen(view);
  const own = areaOf(outline);
  const over =
    outline.length < 3 || own === 0
      ? []
      : seen
          .map((each) => ({
            each,
            area: polygonClipping
              .intersection(polygonOf(outline), polygonOf(each.points))
              .reduce((sum, [outer]) => sum + areaOf(outer!), 0),
          }))
          .filter(({ each, area }) => area >= enough * Math.min(own, areaOf(each.points)))
          .sort((a, b) => b.area - a.area)
          .map(({ each: { place, side } }) => ({ place, side }));
  if (over.length > 0) return over;
  const middle = outline.length < 3 || own === 0 ? outline[0] : middleOf(outline);
  const outlined = seen.map((each) => ({ ...each, outlines: [each.points] }));
  return middle
    ? within(outlined, middle, 0)
        .slice(0, 1)
        .map(({ place, side }) => ({ place, side }))
    : [];
}
