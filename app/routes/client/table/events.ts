import type { Route } from "./+types/events";
import { mostEvents, type Refused } from "~app/event-head";
import { bodyOf, inSession } from "~app/session.server";
import { ownVisit } from "~app/routes/client/workspace.server";
import { appendEvents, type PressedEvent } from "~data/session-events";
import { parsePressed } from "./parse-pressed";

/** Appends what was found at the table and moved, each judged on its own. Ids are the sender's: the same event twice is stored once. */
export async function action({ params, context }: Route.ActionArgs) {
  const sent = bodyOf(context).json;
  if (!Array.isArray(sent)) return Response.json({ error: "Events: a list is needed." }, { status: 400 });
  if (sent.length > mostEvents)
    return Response.json({ error: `Events: at most ${mostEvents} at a time, got ${sent.length}.` }, { status: 413 });
  const sound: PressedEvent[] = [];
  const refused: Refused[] = [];
  for (const each of sent as unknown[]) {
    const event = parsePressed(each);
    if ("reason" in event) refused.push(event);
    else sound.push(event);
  }
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await ownVisit(tx, params.clientId, params.visitId);
    const { stored, elsewhere } = await appendEvents(tx, visit.id, sound, "table_event", practitioner.id);
    for (const id of elsewhere) refused.push({ id, reason: "Event: this id stands for something else already." });
    const status = stored.length === 0 && refused.length > 0 ? 422 : 200;
    return Response.json({ stored, refused }, { status });
  });
}
