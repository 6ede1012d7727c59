import { array, boolean, number, object, string, tuple } from "yup";
import { figureBox, figureViews } from "~core/anatomy/figure";
import { places, type PlaceKey } from "~core/anatomy/places";
import { structureOf } from "~core/anatomy/structures";
import type { Moment } from "~core/findings/restriction";

const point = tuple([
  number().min(0).max(figureBox.width).required(),
  number().min(0).max(figureBox.height).required(),
] as const).required();
const view = string()
  .oneOf([...figureViews])
  .required();

export const pointSchema = object({
  id: string().uuid("The point's id is not valid.").required("The point's id is missing."),
  structure: string()
    .required("Structure: name it, or choose one where the point lies.")
    .test("known", "Structure: “${value}” is not one of the structures.", (value) => structureOf(value) !== undefined),
  side: string<"L" | "R" | "both">().oneOf(["L", "R", "both"], "Side: left, right or both.").required(),
  at: object({ view, point }).nullable().default(null),
  area: object({
    view,
    points: array(point).min(3).max(80, "The area has more than 80 corners: draw it again.").required(),
  })
    .nullable()
    .default(null),
  referral: array(
    object({
      place: string<PlaceKey>()
        .oneOf(
          places.map(({ key }) => key),
          "Felt at: “${value}” is not one of the places.",
        )
        .required(),
      side: string<"L" | "R">()
        .oneOf(["L", "R", null] as never[])
        .nullable()
        .default(null),
    }),
  )
    .max(40)
    .default([]),
});

const pressed = object({
  tenderness: number()
    .typeError("Tenderness: choose 0 to 10.")
    .required("Tenderness: choose 0 to 10.")
    .integer("Tenderness: whole numbers, got ${value}.")
    .min(0, "Tenderness: at least 0, got ${value}.")
    .max(10, "Tenderness: at most 10, got ${value}."),
  reproduced: boolean().nullable().default(null),
  held: number()
    .integer("Held: whole seconds, got ${value}.")
    .min(0, "Held: at least 0 s, got ${value}.")
    .max(3600, "Held: at most an hour, got ${value} s.")
    .nullable()
    .default(null),
});

export const pressedSchema = pressed.shape({
  id: string().uuid().required(),
  moment: string<Moment>().oneOf(["before", "after"]).required(),
  /** What was shown when this was felt; null: nothing yet. */
  was: pressed.nullable().default(undefined),
});
