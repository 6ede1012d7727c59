import type { Route } from "./+types/events";
import type { TableEvent } from "~core/table/answers";
import { mostEvents, type Refused } from "~app/event-head";
import { bodyOf, inSession } from "~app/session.server";
import { ownVisit } from "~app/routes/client/workspace.server";
import { appendEvents } from "~data/session-events";
import { parseAnswer } from "./parse-answer";

/** Appends what was pressed at the table, each judged on its own. Ids are the sender's: the same event twice is stored once. */
export async function action({ params, context }: Route.ActionArgs) {
  const sent = bodyOf(context).json;
  if (!Array.isArray(sent)) return Response.json({ error: "Events: a list is needed." }, { status: 400 });
  if (sent.length > mostEvents)
    return Response.json({ error: `Events: at most ${mostEvents} at a time, got ${sent.length}.` }, { status: 413 });
  const sound: TableEvent[] = [];
  const refused: Refused[] = [];
  for (const each of sent as unknown[]) {
    const event = parseAnswer(each);
    if ("reason" in event) refused.push(event);
    else sound.push(event);
  }
  return inSession(context, async ({ tx }) => {
    const visit = await ownVisit(tx, params.clientId, params.visitId);
    const { stored, elsewhere } = await appendEvents(tx, visit.id, sound, "table_event");
    for (const id of elsewhere) refused.push({ id, reason: "Event: this id stands for something else already." });
    const status = stored.length === 0 && refused.length > 0 ? 422 : 200;
    return Response.json({ stored, refused }, { status });
  });
}
