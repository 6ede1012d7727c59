import { mixed, number, object, string } from "yup";
import { structureOf } from "~core/anatomy/structures";
import { mostWeight, type Choice } from "~core/reading/pattern-targets";
import { patternOf } from "~core/reading/patterns";

const weight = number()
  .typeError("Weight: type a number.")
  .required("Weight: type a number.")
  .min(0, "Weight: at least 0, got ${value}.")
  .max(mostWeight, `Weight: at most ${mostWeight}, got \${value}.`);

const bodies = {
  pattern: object({
    kind: string().required(),
    as: string().oneOf(["out", "taken"], "Pattern: ruled out or taken up.").required("Pattern: ruled out or taken up."),
  }),
  target: object({ kind: string().required(), weight }),
  own: object({
    kind: string().required(),
    structure: string()
      .required("Structure: choose one.")
      .test("known", "Structure: “${value}” is not known.", (key) => structureOf(key ?? "") !== undefined),
    side: string().oneOf(["L", "R", "both"], "Side: left, right or both.").required("Side: left, right or both."),
    weight,
    minutes: number()
      .required("Minutes: type a number.")
      .min(1, "Minutes: at least 1.")
      .max(120, "Minutes: at most 120."),
  }),
};
const kinds = Object.keys(bodies) as (keyof typeof bodies)[];

const body = mixed<Choice["body"]>().test("body", "Decision: it is not well formed.", (value, context) => {
  if (value === null || value === undefined) return true;
  const kind = kinds.find((each) => each === (value as { kind?: unknown }).kind);
  if (!kind) return context.createError({ message: "Decision: of a pattern, a target or one’s own." });
  try {
    bodies[kind].noUnknown().validateSync(value, { strict: true });
    return true;
  } catch (error) {
    return context.createError({ message: (error as Error).message });
  }
});

/** A decision as it is sent: what it is about, what it says (null: taken back), and what stood there before. */
export const choiceSchema = object({
  key: string()
    .required("Decision: what it is about is missing.")
    .max(120, "Decision: its key is too long.")
    .test("pattern", "Pattern: “${value}” is not known.", (key, { parent }) => {
      const sent = (parent as { body?: { kind?: string } | null }).body;
      return sent?.kind !== "pattern" || patternOf(key ?? "") !== undefined;
    }),
  body: body.nullable().default(null),
  was: body.nullable().optional(),
});
