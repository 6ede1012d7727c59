import { number, object, string } from "yup";
import type { Moment } from "~core/findings/restriction";
import { measurable } from "~core/measure/by-hand";
import { handLimits, handMethods, methodsFor, type HandMethodKey } from "~core/measure/methods";
import { unitSign } from "~core/measure/format";
import { mostStandings } from "~core/measure/standings";

const metricOf = (id: string) => measurable.find((each) => each.id === id)?.metric;

/** One measurement by hand: a known metric, a method that can take it, a plausible value or none. */
export const measuredSchema = object({
  visitId: string().uuid().required(),
  /** What was shown when this was typed; null: not taken. */
  was: number().nullable().default(undefined),
  moment: string<Moment>().oneOf(["before", "after"]).required(),
  readingId: string()
    .oneOf(
      measurable.map((each) => each.id),
      "Metric: “${value}” is not measured here.",
    )
    .required(),
  method: string<HandMethodKey>()
    .oneOf(
      handMethods.map((each) => each.key),
      "Method: “${value}” is not known.",
    )
    .required()
    .test("takes", "Method: it does not take this metric.", (method, { parent }) => {
      const metric = metricOf((parent as { readingId: string }).readingId);
      return !metric || methodsFor(metric).some((each) => each.key === method);
    }),
  standing: number().integer().min(1).max(mostStandings, "Standing: from 1 to ${max}, got ${value}.").default(1),
  value: number()
    .nullable()
    .default(null)
    .typeError("Type a number, or leave it empty.")
    .test("plausible", "", (value, context) => {
      const unit = handMethods.find((each) => each.key === (context.parent as { method: string }).method)?.unit;
      if (value === null || value === undefined || !unit) return true;
      const [low, high] = handLimits[unit];
      if (value >= low && value <= high && (unit !== "grade" || Number.isInteger(value))) return true;
      const kind = unit === "grade" ? "Whole grades from" : "From";
      return context.createError({
        message: `${kind} ${low} to ${high}${unit === "grade" ? "" : unitSign({ unit })}, got ${value}.`,
      });
    }),
});
