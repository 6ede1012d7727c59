import type { Route } from "./+types/events";
import { holdOf } from "~core/light-touch/arc-steps";
import { mostEvents, type Refused } from "~app/event-head";
import { lightGateOf, type LightGate } from "~app/server/client/light-gate.server";
import { bodyOf, inSession } from "~app/server/request/session.server";
import { ownVisit } from "~app/server/client/workspace.server";
import { getClient } from "~data/clients";
import { appendEvents, type PressedEvent } from "~data/session-events";
import { parsePressed } from "./parse-pressed";

/** Hands are laid on by it: only then what stands in the way is asked about, and nothing that was begun is stopped in writing. */
const beginsLightTouch = ({ kind, body }: PressedEvent): boolean =>
  (kind === "arc" && body.press === "phase" && body.phase === 0) ||
  (kind === "unwind" && body.press === "begun") ||
  (kind === "still" && body.press === "on");

function inTheWay(event: PressedEvent, gate: LightGate): string | undefined {
  if (!beginsLightTouch(event)) return undefined;
  if (gate.all) return gate.all;
  if (event.kind === "arc" && event.body.press === "phase") return gate.holds[holdOf(event.body.hold)!.technique];
  if (event.kind === "unwind" && event.body.press === "begun") return gate.unwinding[event.body.part];
  return event.kind === "still" ? gate.holds["lt-still-point"] : undefined;
}

/** Appends what was found at the table and moved, each judged on its own. Ids are the sender's: the same event twice is stored once. */
export async function action({ params, context }: Route.ActionArgs) {
  const sound: PressedEvent[] = [];
  const refused: Refused[] = [];
  for (const each of bodyOf(context).list(mostEvents)) {
    const event = parsePressed(each);
    if ("reason" in event) refused.push(event);
    else sound.push(event);
  }
  return inSession(context, async ({ tx, practitioner }) => {
    const visit = await ownVisit(tx, params.clientId, params.visitId);
    const begins = sound.some(beginsLightTouch);
    const gate = begins ? await lightGateOf(tx, await getClient(tx, params.clientId), visit, practitioner) : undefined;
    const may = sound.filter((event) => {
      const reason = gate && inTheWay(event, gate);
      if (reason) refused.push({ id: event.id, reason });
      return !reason;
    });
    const { stored, elsewhere } = await appendEvents(tx, visit.id, may, "table_event", practitioner.id);
    for (const id of elsewhere) refused.push({ id, reason: "Event: this id stands for something else already." });
    const status = stored.length === 0 && refused.length > 0 ? 422 : 200;
    return Response.json({ stored, refused }, { status });
  });
}
