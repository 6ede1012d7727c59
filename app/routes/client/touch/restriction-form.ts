import { number, object, string } from "yup";
import { layerKeys } from "~core/anatomy/layers";
import { regionKeys } from "~core/anatomy/regions";
import { structureOf } from "~core/anatomy/structures";
import { directions, qualities, type Moment } from "~core/findings/restriction";

const whole = (name: string, from: number, to: number) =>
  number()
    .typeError(`${name}: type a number.`)
    .required(`${name}: choose ${from} to ${to}.`)
    .integer(`${name}: whole numbers only, got \${value}.`)
    .min(from, `${name}: at least ${from}.`)
    .max(to, `${name}: at most ${to}, got \${value}.`);

export const gradingSchema = object({
  id: string().uuid("The restriction's id is not valid.").required("The restriction's id is missing."),
  moment: string<Moment>().oneOf(["before", "after"], "Moment: before or after.").required("Moment: before or after."),
  grade: whole("Grade", 0, 3),
  tenderness: whole("Tenderness", 0, 10),
  /** What was shown when this was chosen; null: nothing yet. */
  was: object({ grade: number().required(), tenderness: number().required() }).nullable().default(undefined),
});

export const restrictionSchema = object({
  id: string().uuid("The restriction's id is not valid.").required("The restriction's id is missing."),
  region: string()
    .oneOf([...regionKeys], "Region: “${value}” is not one of the regions.")
    .required("Region: choose one."),
  structure: string()
    .required("Structure: choose one.")
    .test(
      "known",
      "Structure: “${value}” is not a structure of this region.",
      (value, { parent }) => structureOf(value)?.region === (parent as { region: string }).region,
    ),
  side: string().oneOf(["L", "R", "both"], "Side: left, right or both.").required("Side: left, right or both."),
  layer: string()
    .oneOf([...layerKeys], "Layer: “${value}” is not a layer.")
    .required("Layer: choose one."),
  quality: string()
    .oneOf([...qualities], "Quality: “${value}” is not one of the words.")
    .required("Quality: choose one."),
  bind: string()
    .oneOf(["", ...directions], "Direction of bind: “${value}” is not a direction.")
    .default(""),
  ease: string()
    .oneOf(["", ...directions], "Direction of ease: “${value}” is not a direction.")
    .default(""),
});

const felt = object({ grade: number().required(), tenderness: number().required() });

export const ungradeSchema = object({
  id: string().uuid("The restriction's id is not valid.").required("The restriction's id is missing."),
  moment: string<Moment>().oneOf(["before", "after"], "Moment: before or after.").required("Moment: before or after."),
  /** What was shown when it was taken back. */
  was: felt.required("What is taken back is missing."),
});

export const splitSchema = restrictionSchema.pick(["id", "region", "structure", "side", "layer"]).shape({
  from: string().uuid("The line's id is not valid.").required("The line's id is missing."),
  visit: whole("From visit", 2, 400),
});
