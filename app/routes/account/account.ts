import { redirect } from "react-router";
import type { Route } from "./+types/account";
import { endedCookie, inSession } from "~app/server/request/session.server";
import { saveSettings, signOut, signOutEverywhere } from "~data/practitioners";

export const loader = () => redirect("/");

export function action({ request, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner, token, body }) => {
    const { intent } = body.fields;
    if (intent === "sign-out") {
      await signOut(tx, token);
      return redirect("/sign-in", { headers: { "Set-Cookie": endedCookie(request) } });
    }
    if (intent === "sign-out-everywhere") {
      await signOutEverywhere(tx, practitioner.id);
      return redirect("/sign-in", { headers: { "Set-Cookie": endedCookie(request) } });
    }
    if (intent === "dim") {
      await saveSettings(tx, practitioner.id, { dim: body.fields.dim === "true" });
      return { ok: true };
    }
    throw new Response("Unknown request", { status: 400 });
  });
}
