import { depthOf } from "../anatomy/layers";
import { placesIn, placeOf, type PlaceKey } from "../anatomy/places";
import { regionKeys } from "../anatomy/regions";
import { bestViews } from "../anatomy/sights";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";

/** What lies somewhere: a finding, a point, a scar. */
export type Lying = { structure?: string; places?: readonly PlaceKey[]; side: Side | "both" };

/** How a client lies for hands to get there, in the order a visit goes: nobody turns twice. */
export const lyings = ["face up", "on the side", "face down"] as const;
export type LyingHow = (typeof lyings)[number];

const placesOf = ({ structure, places }: Lying): readonly PlaceKey[] =>
  places ?? (structure ? (structureOf(structure)?.places ?? []) : []);

/** Face up where the front shows most of it, face down where the back does, else on the side. */
export function lyingFor(what: Lying): LyingHow {
  const places = placesOf(what);
  if (places.length === 0) return "face up";
  // the first place of a structure is where it mostly lies
  const [view] = bestViews(new Map(places.map((place, i) => [place, 1 / 2 ** i])));
  return view === "front" ? "face up" : view === "back" || view === "sole" ? "face down" : "on the side";
}

/**
 * Findings in the order hands come to them: face up, on the side, face down; in each from head to foot, at one place from the
 * surface down, left before right.
 */
export function inWorkingOrder<T extends Lying>(list: readonly T[]): { how: LyingHow; list: T[] }[] {
  const height = (each: T) => {
    const [place] = placesOf(each);
    return place ? regionKeys.indexOf(placeOf(place).region) * 100 + placesIn(placeOf(place).region).indexOf(place) : 0;
  };
  const depth = (each: T) => {
    const own = each.structure ? structureOf(each.structure) : undefined;
    return own ? depthOf(own.layer) : 0;
  };
  const order = { L: 0, both: 1, R: 2 };
  return lyings
    .map((how) => ({
      how,
      list: list
        .filter((each) => lyingFor(each) === how)
        .sort((a, b) => height(a) - height(b) || depth(a) - depth(b) || order[a.side] - order[b.side]),
    }))
    .filter((group) => group.list.length > 0);
}
