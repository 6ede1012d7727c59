import { arcGate, unwindingGate } from "~core/light-touch/light-gate";
import { unwound, type Unwound } from "~core/light-touch/unwinding";
import type { Client } from "~core/client";
import { stands } from "~core/consent/consent";
import { acting } from "~core/screening/outcome";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import type { Practitioner } from "~data/practitioners";
import type { Visit } from "~data/visits";
import { today } from "~app/server/today.server";
import { hasStarted } from "~data/session-events";
import { inTheWay } from "./may-start.server";
import { judgedOf } from "./screening.server";

/** What stands in the way of light touch at a visit: of all of it, of holds by their technique, of unwinding by part. */
export type LightGate = {
  all: string | undefined;
  holds: Partial<Record<string, string>>;
  unwinding: Partial<Record<Unwound, string>>;
};

export async function lightGateOf(
  tx: Tx,
  client: Client,
  visit: Visit,
  practitioner: Pick<Practitioner, "settings">,
): Promise<LightGate> {
  const judged = await judgedOf(tx, client, practitioner);
  const cautions = acting(judged, today());
  const consent = stands(await consentsOf(tx, client.id), "unwinding", visit.id);
  return {
    all: (await hasStarted(tx, visit.id)) ? undefined : await inTheWay(tx, client, visit, judged),
    holds: arcGate(cautions),
    unwinding: Object.fromEntries(
      unwound.flatMap((part) => {
        const no = unwindingGate(part, cautions, consent);
        return no ? [[part, no]] : [];
      }),
    ),
  };
}
