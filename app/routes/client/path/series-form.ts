import { array, number, object, string } from "yup";
import { isTechnique } from "~core/techniques/library";
import { earlier, isCourse, longest } from "~core/series/course";
import { leastRest, mostInterval } from "~core/series/dates";
import { wishKeys, type WishKey } from "~core/series/wish-keys";
import { wholeSession, type Lock } from "~core/series/plan";
import { isTemplate } from "~core/series/template";

const whole = (name: string, from: number, to: number) =>
  number()
    .typeError(`${name}: type a number.`)
    .required(`${name}: type a number.`)
    .integer(`${name}: whole numbers only, got \${value}.`)
    .min(from, `${name}: at least ${from}, got \${value}.`)
    .max(to, `${name}: at most ${to}, got \${value}.`);

export const lockSchema = object({
  session: whole("Session", 0, 40),
  technique: string()
    .required()
    .max(120)
    .test(
      "technique",
      "Technique: “${value}” is not in the catalogue.",
      (value, { parent }) => isTechnique(value) || ((parent as Lock).kind === "closed" && value === wholeSession),
    ),
  kind: string<Lock["kind"]>().oneOf(["keep", "leave-out", "closed"]).required(),
  minutes: object({
    L: number().min(0).max(240),
    R: number().min(0).max(240),
    mid: number().min(0).max(240),
  })
    .default(undefined)
    .optional(),
});

export const seriesSchema = object({
  id: string().uuid("The series’ id is not valid.").required("The series’ id is missing."),
  template: string()
    .required("Template: choose one.")
    .max(120)
    .test("template", "Template: “${value}” is not known.", isTemplate),
  settings: object({
    bookedMinutes: whole("Booked minutes", 40, 240),
    thumbBudget: whole("Thumb budget", 0, 200),
    pressureMost: whole("Pressure at most", 1, 10).notRequired().default(undefined),
    startOn: string()
      .matches(/^\d{4}-\d{2}-\d{2}$/, "First session: use year-month-day, got “${value}”.")
      .required("First session: choose a day."),
    intervalDays: whole("Days between sessions", leastRest, mostInterval),
    laterDays: whole("Days between later sessions", leastRest, mostInterval).notRequired().default(undefined),
    weekdays: array(whole("Day of the week", 1, 7))
      .max(7)
      .default(undefined)
      .optional(),
    by: array(string().uuid("Given by: choose somebody.").required()).max(4).default(undefined).optional(),
    course: array(whole("Session of the template", earlier, longest))
      .max(longest)
      .default(undefined)
      .optional(),
    order: number()
      .typeError("Order of patterns: choose one.")
      .min(0, "Order of patterns: at least 0, got ${value}.")
      .max(1, "Order of patterns: at most 1, got ${value}."),
    wishes: array(string<WishKey>().oneOf(wishKeys, "Wishes: “${value}” is none.").required())
      .max(wishKeys.length)
      .default(undefined)
      .optional(),
    locks: array(lockSchema).max(200).default([]),
  })
    .required()
    .test("course", "Sessions: they are not those of the template.", ({ course }, { parent }) => {
      const { template } = parent as { template: unknown };
      return !isTemplate(template) || isCourse({ template, course });
    }),
});

/** What a plan kept beside the one in force is called, and what it is. */
export const namedSchema = seriesSchema.concat(
  object({
    name: string()
      .trim()
      .required("Name: give it one.")
      .max(60, ({ value }: { value: string }) => `Name: 60 letters at most, got ${value.length}.`),
  }),
);

/** What is asked for in the dialog: which series it is, the page knows. */
export const settingsSchema = seriesSchema.omit(["id"]);

const stepSchema = object({
  technique: string().required().test("technique", "Plan: technique “${value}” is not in the catalogue.", isTechnique),
  position: string<"prone" | "supine" | "side" | "seated">()
    .oneOf(["prone", "supine", "side", "seated", null] as never[])
    .nullable()
    .default(null),
  minutes: object({
    L: number().min(0).max(240),
    R: number().min(0).max(240),
    mid: number().min(0).max(240),
  }).required(),
});

/** A plan as the browser sends it; the rule checker judges what it says. */
export const planSchema = object({
  sessions: array(object({ steps: array(stepSchema).max(40).required() }))
    .max(40)
    .required(),
  score: number().required(),
  bound: number().optional(),
  made: object({
    solver: number().integer().required(),
    seed: number().integer().required(),
    moves: number().integer().min(0).required(),
  })
    .optional()
    .default(undefined),
});
