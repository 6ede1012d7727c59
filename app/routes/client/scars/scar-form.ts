import { array, boolean, number, object, string, tuple } from "yup";
import { figureBox, figureViews } from "~core/anatomy/figure";
import { places } from "~core/anatomy/places";
import type { Moment } from "~core/findings/restriction";
import type { Slide } from "~core/findings/scar";

const point = tuple([
  number().min(0).max(figureBox.width).required(),
  number().min(0).max(figureBox.height).required(),
] as const).required();

export const scarSchema = object({
  id: string().uuid("The scar's id is not valid.").required("The scar's id is missing."),
  places: array(
    string()
      .oneOf(
        places.map(({ key }) => key),
        "Where: “${value}” is not one of the places.",
      )
      .required(),
  )
    .min(1, "Where: name the place, or draw the scar on the figure.")
    .max(8)
    .required("Where: name the place, or draw the scar on the figure."),
  side: string<"L" | "R" | "both">().oneOf(["L", "R", "both"], "Side: left, right or both.").required(),
  line: object({
    view: string()
      .oneOf([...figureViews])
      .required(),
    points: array(point).min(2).max(60, "The line has more than 60 points: draw it again.").required(),
  })
    .nullable()
    .default(null),
  lengthMm: number()
    .typeError("Length: type millimetres.")
    .required("Length: type millimetres.")
    .integer("Length: whole millimetres, got ${value}.")
    .min(1, "Length: at least 1 mm, got ${value}.")
    .max(2000, "Length: at most 2000 mm, got ${value}."),
  closed: boolean().required("Closed: yes or no."),
  words: string().trim().max(200, "In words: at most 200 characters.").default(""),
});

const slide = number<Slide>()
  .integer()
  .min(0, "Slide: 0 to 3, got ${value}.")
  .max(3, "Slide: 0 to 3, got ${value}.")
  .required();
const felt = object({
  slides: array(slide).length(8, "Slides: eight ways, got ${value}.").required(),
  lift: slide,
});

export const roseSchema = felt.shape({
  id: string().uuid().required(),
  moment: string<Moment>().oneOf(["before", "after"]).required(),
  /** What was shown when this was felt; null: nothing yet. */
  was: felt.nullable().default(undefined),
});
