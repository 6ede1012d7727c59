import { boolean, object, string } from "yup";
import { sensitiveAreas, type SensitiveArea, type Subject } from "~core/consent/consent";

export const subjects: readonly Subject[] = [
  "general",
  "photographs",
  "unwinding",
  "guardian",
  ...(Object.keys(sensitiveAreas) as SensitiveArea[]).map((area) => `area ${area}` as const),
];

/** A consent as it is given or taken back: on screen with a signature, or by word of mouth. */
export const consentSchema = object({
  id: string().uuid().required(),
  visitId: string().uuid().required(),
  subject: string<Subject>()
    .oneOf([...subjects], "Consent: “${value}” is not one we ask for.")
    .required(),
  given: boolean().required(),
  signedBy: string()
    .trim()
    .max(120, "Name: at most 120 characters.")
    .default("")
    .when("given", { is: true, then: (schema) => schema.required("Name: type the name of who agrees.") }),
});
