import type { Route } from "./+types/events";
import type { SessionEvent } from "~core/session/events";
import { mostEvents, type Refused } from "~app/event-head";
import { breathe } from "~app/server/breathe.server";
import { inTheWay } from "~app/server/client/may-start.server";
import { judgedOf } from "~app/server/client/screening.server";
import { bodyOf, inSession, signedIn } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { followDays } from "~app/server/client/workspace.server";
import { getClient } from "~data/clients";
import { appendEvents, hasStarted } from "~data/session-events";
import { getVisit, openVisit } from "~data/visits";
import { parseEvent } from "./parse-events";

export const middleware: Route.MiddlewareFunction[] = [signedIn];

/**
 * Appends events, each judged on its own: what is not well formed, or whose id stands for something else, is refused and
 * holds up nothing. A start is refused while something stands in its way by what holds now, whenever it is said to have
 * been pressed; what followed it is refused with it, and kept by its sender until it is settled. Ids are the sender's:
 * the same event twice is stored once.
 */
export async function action({ params, context }: Route.ActionArgs) {
  const events: SessionEvent[] = [];
  const refused: Refused[] = [];
  for (const each of bodyOf(context).list(mostEvents)) {
    const event = parseEvent(each);
    if ("reason" in event) refused.push(event);
    else events.push(event);
    await breathe();
  }
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await getVisit(tx, params.visitId);
    let started = await hasStarted(tx, visit.id);
    const client = await getClient(tx, visit.clientId);
    const gate = started ? undefined : await inTheWay(tx, client, visit, await judgedOf(tx, client, practitioner));
    const sound: SessionEvent[] = [];
    for (const event of events) {
      if (!started && event.kind === "started" && !gate) started = event.id;
      if (started) sound.push(event);
      else refused.push({ id: event.id, reason: gate ?? "The session has not started." });
    }
    const { stored, elsewhere } = await appendEvents(tx, visit.id, sound);
    for (const id of elsewhere) refused.push({ id, reason: "Event: this id stands for something else already." });
    if (started && visit.status === "planned" && stored.includes(started)) {
      await openVisit(tx, visit.id, today(), practitioner.id);
      await followDays(tx, visit.clientId);
    }
    const status = stored.length > 0 || refused.length === 0 ? 200 : gate ? 409 : 422;
    return Response.json({ stored, refused }, { status });
  });
}
