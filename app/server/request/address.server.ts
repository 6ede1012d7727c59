import { isDay, type IsoDay } from "~core/days";
import { isId } from "~app/event-head";
import { textFault } from "~app/storable";

/** So long is no word that anybody looks for. */
const mostText = 200;

const refuse = (sentence: string) => new Response(sentence, { status: 400, statusText: "Bad address" });

/** What an address says after its “?”, read in one place: a value that is none of its kind is answered 400 with a sentence. */
export function addressOf(request: Request) {
  const search = new URL(request.url).searchParams;
  const read =
    <T>(fits: (text: string) => T | undefined, kind: string) =>
    (name: string): T | undefined => {
      const text = search.get(name);
      if (text === null || text === "") return undefined;
      const value = textFault(text) ? undefined : fits(text);
      if (value === undefined) throw refuse(`${name}: ${kind} is needed.`);
      return value;
    };
  return {
    /** Words, cut off where nobody reads on. */
    text: read((text) => text.slice(0, mostText), "text"),
    /** A day between 1900 and 2199 (ISO). */
    day: read(
      (text): IsoDay | undefined => (/^(19|20|21)\d\d-/.test(text) && isDay(text) ? text : undefined),
      "a day as year-month-day",
    ),
    id: read((text) => (isId(text) ? text : undefined), "an id"),
    /** A whole number from 1 to 9999. */
    count: read((text) => (/^[1-9]\d{0,3}$/.test(text) ? Number(text) : undefined), "a number from 1 to 9999"),
    is: (name: string, value: string): boolean => search.get(name) === value,
  };
}
