import { placeOf, placesIn, type PlaceKey } from "../anatomy/places";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";
import { latestGrade, type Grade, type Restriction } from "./restriction";
import type { Since } from "./since-last";

/** A place on one side of the body, or in its middle. */
export const spotKey = (place: PlaceKey, side: Side | null): string => `${place} ${side ?? "mid"}`;

/** Every place a restriction lies in, on each of its sides. */
export function spotsOf({ structure, region, side }: Pick<Restriction, "structure" | "region" | "side">): string[] {
  const places = structureOf(structure)?.places ?? placesIn(region);
  return places.flatMap((place) => {
    if (placeOf(place).midline) return [spotKey(place, null)];
    return (side === "both" ? (["L", "R"] as const) : [side]).map((each) => spotKey(place, each));
  });
}

/** How stuck a place is: the worst that was felt there last, and how many visits ago that was. */
export type Heat = { grade: Grade; age: number; restriction: Restriction };

/**
 * The worst grade of every place, seen from a visit: of each restriction the latest grade counts; of those equally stuck the
 * one felt last. Places where nothing was felt, or all is free by now, are not in it.
 */
export function heatOf(restrictions: readonly Restriction[], visit: number): Map<string, Heat> {
  const heat = new Map<string, Heat>();
  for (const restriction of restrictions) {
    const latest = latestGrade(restriction);
    if (!latest || latest.grade === 0) continue;
    const own: Heat = { grade: latest.grade, age: Math.max(0, visit - latest.visit), restriction };
    for (const spot of spotsOf(restriction)) {
      const there = heat.get(spot);
      if (!there || own.grade > there.grade || (own.grade === there.grade && own.age < there.age)) heat.set(spot, own);
    }
  }
  return heat;
}

/** The largest change of every place among differences, the worse one where two are as large; what is new counts as worse. */
export function changeOf(differences: readonly Since[]): Map<string, Since> {
  const change = new Map<string, Since>();
  const by = ({ from, to }: Since) => to - (from?.grade ?? 0);
  for (const each of differences)
    for (const spot of spotsOf(each.restriction)) {
      const there = change.get(spot);
      const [size, known] = [Math.abs(by(each)), there ? Math.abs(by(there)) : -1];
      if (size > known || (size === known && by(each) > by(there!))) change.set(spot, each);
    }
  return change;
}
