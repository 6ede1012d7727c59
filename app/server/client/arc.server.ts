import type { Client } from "~core/client";
import { lightGateOf, type LightGate } from "./light-gate.server";
import type { Tx } from "~data/database";
import { listeningsOf } from "~data/findings";
import type { Practitioner } from "~data/practitioners";
import { logOf, type PressedEvent } from "~data/session-events";
import type { Visit } from "~data/visits";

/** What an arc is worked with at a visit: its log so far, what stands in its way, at how many stations was listened. */
export type ArcOfVisit = {
  events: PressedEvent[];
  gate: LightGate;
  listened: Record<"before" | "after", number>;
};

export async function arcOfVisit(
  tx: Tx,
  client: Client,
  visit: Visit,
  practitioner: Pick<Practitioner, "settings">,
): Promise<ArcOfVisit> {
  const heard = (await listeningsOf(tx, client.id)).filter((each) => each.visitId === visit.id);
  const count = (moment: "before" | "after") =>
    Object.values(heard.find((each) => each.moment === moment)?.stations ?? {}).filter(
      (station) => station.L ?? station.R,
    ).length;
  return {
    events: await logOf(tx, "table_event", visit.id),
    gate: await lightGateOf(tx, client, visit, practitioner),
    listened: { before: count("before"), after: count("after") },
  };
}
