import type { Route } from "./+types/events";
import type { SessionEvent } from "~core/session/events";
import { mostEvents, type Refused } from "~app/event-head";
import { breathe } from "~app/server/breathe.server";
import { obstaclesOf } from "~app/server/client/may-start.server";
import { judgedOf } from "~app/server/client/screening.server";
import { bodyOf, inSession, letGo, signedIn } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { followDays } from "~app/server/client/workspace.server";
import { getClient } from "~data/clients";
import { appendEvents, hasStarted } from "~data/session-events";
import { getVisit, openVisit } from "~data/visits";
import { parseEvent } from "./parse-events";

export const middleware: Route.MiddlewareFunction[] = [signedIn];

/**
 * Appends events, each judged on its own: what is not well formed, or whose id stands for something else, is refused and
 * holds up nothing. A start is refused while something stands in its way by what was on record at its own moment: a yes
 * that came while the table was out of reach does not undo a session that had begun. Ids are the sender's: the same
 * event twice is stored once.
 */
export async function action({ params, context }: Route.ActionArgs) {
  const sent = bodyOf(context).json;
  if (!Array.isArray(sent)) return Response.json({ error: "Events: a list is needed." }, { status: 400 });
  if (sent.length > mostEvents)
    return Response.json({ error: `Events: at most ${mostEvents} at a time, got ${sent.length}.` }, { status: 413 });
  const events: SessionEvent[] = [];
  const refused: Refused[] = [];
  for (const each of sent as unknown[]) {
    const event = parseEvent(each);
    if ("reason" in event) refused.push(event);
    else events.push(event);
    await breathe();
  }
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await getVisit(tx, params.visitId);
    const client = await getClient(tx, visit.clientId);
    let started = await hasStarted(tx, visit.id);
    /** What stands in the way of a start now, unless nothing did when it was pressed. */
    const inTheWay = async (at: string): Promise<string | undefined> => {
      const obstacle = async (then?: string) =>
        (await obstaclesOf(tx, client, visit, await judgedOf(tx, client, practitioner, then), then))[0]?.sentence;
      return (await obstacle()) && (await obstacle(new Date(at).toISOString()));
    };
    let gate: string | undefined;
    const sound: SessionEvent[] = [];
    for (const event of events) {
      if (event.kind === "started" && !started) {
        gate = visit.status === "planned" ? await inTheWay(event.at) : undefined;
        if (gate) {
          refused.push({ id: event.id, reason: gate });
          continue;
        }
        started = event.id;
      }
      if (started) sound.push(event);
      else refused.push({ id: event.id, reason: gate ?? "The session has not started." });
    }
    const { stored, elsewhere } = await appendEvents(tx, visit.id, sound);
    for (const id of elsewhere) refused.push({ id, reason: "Event: this id stands for something else already." });
    if (started && visit.status === "planned" && stored.includes(started)) {
      await openVisit(tx, visit.id, today());
      await followDays(tx, client.id);
    }
    const status = gate ? 409 : stored.length === 0 && refused.length > 0 ? 422 : 200;
    const answer = Response.json({ stored, refused, ...(gate ? { reason: gate } : {}) }, { status });
    // what was sound is kept although something else was refused
    if (status >= 400 && stored.length > 0) await letGo(context);
    return answer;
  });
}
