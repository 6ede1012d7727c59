import { nameOf, type PlaceKey } from "~core/anatomy/places";
import type { RegionKey } from "~core/anatomy/regions";

const before = { L: "left ", R: "right ", both: "both " } as const;

/** A place as it is typed, so that it is read again as the same: "left wrist", "low back". */
export const placeWords = (place: {
  region: RegionKey | null;
  places?: readonly PlaceKey[];
  side: "L" | "R" | "both" | null;
}): string => (place.region ? `${place.side ? before[place.side] : ""}${nameOf(place.region, place.places)}` : "");
