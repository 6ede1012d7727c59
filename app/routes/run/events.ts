import type { Route } from "./+types/events";
import { eventKinds } from "~core/session/events";
import { inSession, signedIn } from "~app/session.server";
import { appendEvents } from "~data/session-events";
import { getVisit, setVisitStatus } from "~data/visits";
import { parseEvents } from "./parse-events";

export const middleware: Route.MiddlewareFunction[] = [signedIn];

/** Appends events. Ids are the sender's: the same event twice is stored once. */
export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx }) => {
    const visit = await getVisit(tx, params.visitId);
    const events = parseEvents(await request.json(), eventKinds);
    if (!events) return Response.json({ error: "Events: one of them is not well formed." }, { status: 400 });
    await appendEvents(tx, visit.id, events);
    if (visit.status === "planned" && events.some((event) => event.kind === "started"))
      await setVisitStatus(tx, visit.id, "open");
    return Response.json({ stored: events.map((event) => event.id) });
  });
}
