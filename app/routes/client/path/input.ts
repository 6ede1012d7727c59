import type { Route } from "./+types/input";
import { inSession } from "~app/server/request/session.server";
import { inputAsked } from "~app/server/client/series.server";

/** What a series would be solved from with other settings: findings of now, and what is left of the hands on its days. */
export const action = ({ params, context }: Route.ActionArgs) =>
  inSession(context, async ({ tx, practitioner, body }) => {
    const found = await inputAsked(tx, practitioner, params.clientId, body.fields);
    return "input" in found
      ? Response.json(found.input)
      : Response.json(found.refused.data, { status: found.refused.init?.status ?? 400 });
  });
