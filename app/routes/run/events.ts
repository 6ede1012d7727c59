import type { Route } from "./+types/events";
import { eventKinds } from "~core/session/events";
import { obstaclesOf } from "~app/may-start.server";
import { judgedOf } from "~app/screening.server";
import { inSession, signedIn } from "~app/session.server";
import { getClient } from "~data/clients";
import { appendEvents } from "~data/session-events";
import { getVisit, setVisitStatus } from "~data/visits";
import { parseEvents } from "./parse-events";

export const middleware: Route.MiddlewareFunction[] = [signedIn];

/** Appends events. Ids are the sender's: the same event twice is stored once. */
export function action({ request, params, context }: Route.ActionArgs) {
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await getVisit(tx, params.visitId);
    const events = parseEvents(await request.json(), eventKinds);
    if (!events) return Response.json({ error: "Events: one of them is not well formed." }, { status: 400 });
    // A start that stands alone is refused while something stands in the way. Work that was done meanwhile, out of
    // reach of the network, is on record: it happened.
    const start = events.find((event) => event.kind === "started");
    if (start && events.length === 1 && visit.status === "planned") {
      const client = await getClient(tx, visit.clientId);
      const [obstacle] = await obstaclesOf(tx, client, visit, await judgedOf(tx, client, practitioner));
      if (obstacle) return Response.json({ refused: [start.id], reason: obstacle.sentence }, { status: 409 });
    }
    await appendEvents(tx, visit.id, events);
    if (visit.status === "planned" && events.some((event) => event.kind === "started"))
      await setVisitStatus(tx, visit.id, "open");
    return Response.json({ stored: events.map((event) => event.id) });
  });
}
