import type { Route } from "./+types/record";
import { exportIn } from "~kinds/register";
import { recordsOf } from "~app/server/client/records.server";
import { inSession } from "~app/server/request/session.server";
import { today } from "~app/server/today.server";
import { getClient } from "~data/clients";
import { listVisits } from "~data/visits";

/** What is recorded of a client, kind by kind, as plain rows: a file to keep. Pictures, plans and decisions are not in it. */
export function loader({ params, context }: Route.LoaderArgs) {
  return inSession(context, async ({ tx }) => {
    const client = await getClient(tx, params.clientId);
    const visits = await listVisits(tx, client.id);
    const kinds = exportIn(await recordsOf(tx, client.id, visits));
    return Response.json(
      {
        format: "Ember Path record, version 1",
        writtenOn: today(),
        client,
        visits: visits.map(({ ordinal, onDate, status, closingNote }) => ({
          visit: ordinal,
          onDate,
          status,
          closingNote,
        })),
        records: Object.fromEntries(kinds.map(({ key, name, rows }) => [key, { name, rows }])),
      },
      { headers: { "Content-Disposition": `attachment; filename="record-${today()}.json"` } },
    );
  });
}
