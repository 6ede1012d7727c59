import { isDay } from "~core/days";
import { object, string } from "yup";
import { isPlace, placeOf, type PlaceKey } from "~core/anatomy/places";
import { skinAfter, skinResponses, type SkinAfter, type SkinResponse } from "~core/findings/skin";
import { today } from "~app/server/today.server";
import type { Side } from "~core/units";

export const skinSchema = object({
  id: string().uuid("The id of what the skin did is not valid.").required("The id of what the skin did is missing."),
  place: string<PlaceKey>()
    .required("Place: choose one.")
    .test("known", "Place: “${value}” is not one of the places.", (value) => isPlace(value)),
  side: string<Side>()
    .oneOf(["L", "R", null] as never[], "Side: left or right, got “${value}”.")
    .nullable()
    .default(null)
    .test("fits", "Side: a place on the mid-line has none, every other has left or right.", (side, { parent }) => {
      const { place } = parent as { place: string };
      return !isPlace(place) || placeOf(place).midline === (side === null);
    }),
  response: string<SkinResponse>()
    .oneOf([...skinResponses], "Skin: “${value}” is not one of the words.")
    .required("Skin: choose what it did."),
  after: string<SkinAfter>()
    .oneOf([...skinAfter], "After: by hand or an instrument, got “${value}”.")
    .required("After: by hand or an instrument."),
});

export const skinGoneSchema = object({
  id: string().uuid("The id of what the skin did is not valid.").required("The id of what the skin did is missing."),
  gone: string()
    .nullable()
    .test("day", "Gone: use year-month-day, got “${value}”.", (value) => !value || isDay(value))
    .test("past", "Gone: ${value} is still to come.", (value) => !value || value <= today())
    .default(null),
});
