import type { Route } from "./+types/again";
import { enterWith } from "~app/server/request/sign-in.server";

/** Signs in again from a page whose sign-in has ended: nothing of the page is loaded anew. */
export async function action({ request, context }: Route.ActionArgs) {
  const { error, status, headers } = await enterWith(request, context);
  return error === undefined ? Response.json({ ok: true }, { headers }) : Response.json({ error }, { status });
}
