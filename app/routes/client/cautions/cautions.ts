import { data } from "react-router";
import { object, string } from "yup";
import type { Route } from "./+types/cautions";
import { decisionFor, stateOf } from "~core/screening/outcome";
import { judgedOf } from "~app/server/client/screening.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { validate } from "~app/validation";
import { getClient } from "~data/clients";
import { decisionsOf, recordDecision } from "~data/screening";

const decisionSchema = object({
  id: string().uuid().required(),
  outcomeKey: string().required().max(200),
  kind: string<"clearance" | "override" | "withdrawn">().oneOf(["clearance", "override", "withdrawn"]).required(),
  who: string()
    .trim()
    .default("")
    .max(200, "Who cleared it: at most 200 characters.")
    .when("kind", {
      is: "clearance",
      then: (schema) => schema.required("Who cleared it: type a name or a role."),
    }),
  on: string()
    .required("Day of the clearance: choose a day.")
    .matches(/^\d{4}-\d{2}-\d{2}$/, "Day of the clearance: use year-month-day, got “${value}”.")
    .test("past", "Day of the clearance: ${value} is still to come.", (value) => !value || value <= today()),
  seen: string().max(100).default(""),
  what: string()
    .trim()
    .required("Reason: type what was cleared, or why you work against the caution.")
    .min(4, "Reason: “${value}” says too little.")
    .max(2000, "Reason: at most 2000 characters."),
});

export { keepTyped as clientAction } from "~app/ui/keep-typed";

/** Records a clearance, an override or its withdrawal. What kind a caution can be set aside by is the core's rule. */
export function action({ params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, body }) => {
    const client = await getClient(tx, params.clientId);
    const { value, errors } = await validate(decisionSchema, body.fields);
    if (errors) return data({ errors }, { status: 400 });
    const caution = (await judgedOf(tx, client, practitioner)).find((each) => each.key === value.outcomeKey);
    if (!caution)
      return data({ errors: { outcomeKey: "This caution is no longer there. Load the page again." } }, { status: 409 });
    const again = (await decisionsOf(tx, client.id)).some(({ id }) => id === value.id);
    const fits = value.kind === "withdrawn" ? caution.decided !== undefined : decisionFor(caution) === value.kind;
    if (!fits && !again)
      return data(
        { errors: { kind: `A caution that is to ${caution.kind} cannot be set aside by ${value.kind}.` } },
        { status: 400 },
      );
    if (!again && value.seen !== stateOf(caution))
      return data(
        {
          errors: {
            kind: "What this is about was changed or decided meanwhile. Nothing was recorded: load the page again to see it.",
          },
        },
        { status: 409 },
      );
    const { seen: _, ...decision } = value;
    await recordDecision(tx, client.id, {
      ...decision,
      who: value.kind === "clearance" ? value.who : practitioner.name,
      by: practitioner.name,
    });
    return { ok: true };
  });
}
