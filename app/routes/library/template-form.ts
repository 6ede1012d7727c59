import { array, boolean, mixed, number, object, string } from "yup";
import { layerKeys, type LayerKey } from "~core/anatomy/layers";
import { isRegion } from "~core/anatomy/regions";
import { forms, type Form } from "~core/light-touch/arc-steps";
import { leastRest, mostInterval } from "~core/series/dates";
import type { TemplateSession } from "~core/series/template";

export const mostSessions = 24;

const isTerritory = (value: unknown): boolean =>
  typeof value === "object" &&
  value !== null &&
  !Array.isArray(value) &&
  Object.entries(value).every(
    ([region, share]) => isRegion(region) && typeof share === "number" && share > 0 && share <= 1,
  );

const sessionSchema = object({
  name: string()
    .trim()
    .required("Name: type what the session is called.")
    .max(40, "Name: at most 40 characters, got “${value}”."),
  ceiling: string<LayerKey>()
    .oneOf([...layerKeys], "Depth: “${value}” is no layer.")
    .required("Depth: choose a layer."),
  intent: string()
    .trim()
    .required("What it is for: type a sentence.")
    .max(160, "What it is for: at most 160 characters."),
  territory: mixed<NonNullable<TemplateSession["territory"]>>()
    .required("Territory: choose at least one.")
    .test("territory", "Territory: a region or its share is not known.", isTerritory)
    .test(
      "some",
      "Territory: choose at least one.",
      (value) => typeof value === "object" && value !== null && Object.keys(value).length > 0,
    ),
  light: boolean().default(false),
  arc: string<Form>()
    .oneOf([...forms], "Arc: “${value}” is not known.")
    .optional(),
});

export const templateSchema = object({
  name: string()
    .trim()
    .required("Name: type what the template is called.")
    .min(3, "Name: at least 3 characters, got “${value}”.")
    .max(60, "Name: at most 60 characters."),
  everyDays: number()
    .transform((value, typed) => (typed === "" || typed === null ? undefined : value))
    .typeError("Days between sessions: type a number.")
    .integer("Days between sessions: whole days, got ${value}.")
    .min(leastRest, `Days between sessions: at least ${leastRest}, got \${value}.`)
    .max(mostInterval, `Days between sessions: at most ${mostInterval}, got \${value}.`)
    .optional(),
  sessions: array(sessionSchema)
    .required("Sessions: at least one.")
    .min(1, "Sessions: at least one.")
    .max(mostSessions, `Sessions: at most ${mostSessions}.`),
});
