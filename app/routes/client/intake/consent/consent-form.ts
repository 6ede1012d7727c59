import { boolean, number, object, string } from "yup";
import { sensitiveAreaKeys } from "~core/anatomy/sensitive";
import type { Subject } from "~core/consent/consent";

export const subjects: readonly Subject[] = [
  "general",
  "photographs",
  "unwinding",
  "guardian",
  ...sensitiveAreaKeys.map((area) => `area ${area}` as const),
];

/** The last word on the same matter that whoever answers has before their eyes; 0: none. */
export const seenSchema = number()
  .integer("Seen: a whole number.")
  .min(0, "Seen: 0 or more.")
  .max(Number.MAX_SAFE_INTEGER)
  .required("Seen: say which answer was there before.");

/** A consent as it is given or taken back: on screen with a signature, or by word of mouth. */
export const consentSchema = object({
  id: string().uuid().required(),
  visitId: string().uuid().required(),
  subject: string<Subject>()
    .oneOf([...subjects], "Consent: “${value}” is not one we ask for.")
    .required(),
  given: boolean().required(),
  seen: seenSchema,
  signedBy: string()
    .trim()
    .max(120, "Name: at most 120 characters.")
    .default("")
    .when("given", { is: true, then: (schema) => schema.required("Name: type the name of who agrees.") }),
});
