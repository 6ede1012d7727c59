import { jointOf } from "../anatomy/joints";
import { placeOf, places, type PlaceKey } from "../anatomy/places";
import { tagRegions } from "../techniques/safety-tags";
import type { Side } from "../units";
import type { Outcome } from "./outcome";

/** A place on one side of the body, or in its middle (null). */
export type OnPlace = { place: PlaceKey; side: Side | null };

/** Whether a caution's scope lies on a place: named itself, by its region, by a joint there, or by the kind of work. */
function liesOn({ scope }: Outcome, { place, side }: OnPlace): boolean {
  if (!scope || (scope.side !== undefined && side !== null && scope.side !== side)) return false;
  if (scope.places) return scope.places.includes(place);
  if (scope.joints) return scope.joints.some((joint) => jointOf(joint).places.includes(place));
  const regions = scope.regions ?? scope.tags?.flatMap((tag) => tagRegions[tag] ?? []) ?? [];
  return regions.includes(placeOf(place).region);
}

/** How cautions treat a place as a whole: out, capped, or neither. Those that speak of one kind of work leave it open. */
export function stateOf(spot: OnPlace, cautions: readonly Outcome[]): "out" | "limited" | "open" {
  const here = cautions.filter((caution) => liesOn(caution, spot));
  if (here.some((caution) => caution.kind === "exclude" && !caution.scope!.tags && !caution.scope!.fromDepth))
    return "out";
  return here.some((caution) => caution.kind === "exclude" || caution.pressure !== undefined) ? "limited" : "open";
}

/** Every place that cautions put out altogether. */
export const placesOut = (cautions: readonly Outcome[]): OnPlace[] =>
  places
    .flatMap(({ key, midline }): OnPlace[] =>
      midline
        ? [{ place: key, side: null }]
        : [
            { place: key, side: "L" },
            { place: key, side: "R" },
          ],
    )
    .filter((spot) => stateOf(spot, cautions) === "out");
