import { sideBehind } from "../words";
import { placeOf, type PlaceKey } from "../anatomy/places";
import { plusDays, type IsoDay } from "../days";
import type { Side } from "../units";

/** What the skin did under the work. Pale is blood pressed out; spots and bruise are blood outside its vessels. */
export const skinResponses = ["pink", "pale", "spots", "bruise"] as const;
export type SkinResponse = (typeof skinResponses)[number];
export const skinWords: Record<SkinResponse, string> = {
  pink: "pink",
  pale: "pale",
  spots: "small red spots",
  bruise: "a bruise",
};

/** What worked there: hands, or an instrument's edge. */
export const skinAfter = ["hands", "edge"] as const;
export type SkinAfter = (typeof skinAfter)[number];
export const afterWords: Record<SkinAfter, string> = { hands: "work by hand", edge: "an instrument" };

/** What the skin of one place did at a visit, and since when it is gone. */
export type SkinFound = {
  id: string;
  place: PlaceKey;
  /** None for a place on the mid-line. */
  side: Side | null;
  response: SkinResponse;
  after: SkinAfter;
  /** The visit it was seen at, and its day. */
  visit: number;
  on: IsoDay;
  /** Seen gone on this day; null: not yet. */
  gone: IsoDay | null;
};

/** Days a marked place rests at least: 48 hours, common practice; check local codes. */
export const leastRest = 2;

/**
 * Whether the place rests: spots and bruises always, and anything but paleness after an instrument. A hand's pinkness fades
 * within the visit.
 */
export const asksRest = ({ response, after }: Pick<SkinFound, "response" | "after">): boolean =>
  response === "spots" || response === "bruise" || (response === "pink" && after === "edge");

/**
 * Until when a place rests: the first day it may be worked again, or null while the mark is not seen gone. Undefined: it
 * does not rest.
 */
export function restsUntil(found: Pick<SkinFound, "response" | "after" | "on" | "gone">): IsoDay | null | undefined {
  if (!asksRest(found)) return undefined;
  if (found.gone === null) return null;
  const least = plusDays(found.on, leastRest);
  return found.gone > least ? found.gone : least;
}

export const skinPlace = ({ place, side }: Pick<SkinFound, "place" | "side">): string =>
  `${placeOf(place).name.toLowerCase()}${side ? sideBehind[side] : ""}`;
