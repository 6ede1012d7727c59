import type { Route } from "./+types/jobs";
import { object, string } from "yup";
import { inSession } from "~app/server/request/session.server";
import { validate } from "~app/validation";
import { getClient } from "~data/clients";
import { jobsOf, stop, tryAgain } from "~data/jobs";

/** How far what was asked for this client is: for whoever waits for it. */
export const loader = ({ params, context }: Route.LoaderArgs) =>
  inSession(context, async ({ tx }) => {
    const { id } = await getClient(tx, params.clientId);
    return Response.json({ jobs: await jobsOf(tx, id) });
  });

const decision = object({
  id: string().uuid("The job's id is not valid.").required("The job's id is missing."),
  intent: string<"stop" | "again">()
    .oneOf(["stop", "again"], "A job is stopped or tried again.")
    .required("A job is stopped or tried again."),
});

/** Stops a job for good, or tries one again that could not be done. */
export const action = ({ params, context }: Route.ActionArgs) =>
  inSession(context, async ({ tx, body: { fields } }) => {
    const { value, errors } = await validate(decision, fields);
    if (errors) return Response.json({ error: Object.values(errors)[0] }, { status: 400 });
    const { id } = await getClient(tx, params.clientId);
    await (value.intent === "stop" ? stop : tryAgain)(tx, id, value.id);
    return Response.json({ ok: true });
  });
