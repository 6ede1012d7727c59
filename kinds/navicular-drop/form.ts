import { number, object, string } from "yup";
import { heights } from "./drop";

const height = (name: string) =>
  number()
    .nullable()
    .typeError(`${name}: type millimetres, got “\${originalValue}”.`)
    .integer(`${name}: whole millimetres, got \${value}.`)
    .min(heights.least, `${name}: at least ${heights.least} mm, got \${value}.`)
    .max(heights.most, `${name}: at most ${heights.most} mm, got \${value}.`)
    .defined(`${name}: type millimetres.`);

/** Both heights of a foot as they are sent; both null takes them back. */
export const dropSchema = object({
  visitId: string().uuid().required(),
  moment: string<"before" | "after">().oneOf(["before", "after"]).required(),
  side: string<"L" | "R">().oneOf(["L", "R"]).required(),
  sitting: height("Sitting"),
  standing: height("Standing").test(
    "both",
    "Standing: a drop needs both heights.",
    (standing, { parent }) => (standing === null) === ((parent as { sitting: unknown }).sitting === null),
  ),
  /** What was shown when this was typed; null: nothing yet. */
  was: object({ sitting: number().required(), standing: number().required() }).nullable().default(undefined),
});
