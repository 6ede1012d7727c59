import { bonesAfter } from "~core/light-touch/bones";
import type { LightOfVisit } from "~core/light-touch/light-of-visit";
import { lightLines } from "~core/light-touch/light-note";
import { ownHands } from "./looks.server";
import type { Tx } from "~data/database";
import { listeningsOf } from "~data/findings";
import { eventsOfVisits } from "~data/session-events";
import type { Visit } from "~data/visits";

/** What was heard at the stations at each of a client's visits, those without any left out. */
export async function heardOf(
  tx: Tx,
  clientId: string,
  visits: readonly Visit[],
): Promise<Pick<LightOfVisit, "visit" | "heard" | "by">[]> {
  const listenings = await listeningsOf(tx, clientId);
  return visits.flatMap(({ id, ordinal }) => {
    // a second round, blind, says something of the hands and nothing of the client
    const own = listenings.filter(({ visitId, moment }) => visitId === id && moment !== "again");
    return own.length > 0
      ? [
          {
            visit: ordinal,
            heard: Object.fromEntries(own.map((each) => [each.moment, each.stations])),
            by: Object.fromEntries(own.flatMap(({ moment, by }) => (by ? [[moment, by]] : []))),
          },
        ]
      : [];
  });
}

/** Light touch at each of a client's visits, those without any left out. */
export async function lightOf(tx: Tx, clientId: string, visits: readonly Visit[]): Promise<LightOfVisit[]> {
  const logs = await eventsOfVisits(
    tx,
    visits.map(({ id }) => id),
    "table_event",
    ["arc", "bone", "still", "unwind"],
  );
  const all = await heardOf(tx, clientId, visits);
  const hands = logs.size > 0 ? await ownHands(tx) : {};
  return visits.flatMap(({ id, ordinal }) => {
    const events = logs.get(id) ?? [];
    const { heard = {}, by = {} } = all.find(({ visit }) => visit === ordinal) ?? {};
    if (events.length === 0 && Object.keys(heard).length === 0) return [];
    const again = Object.keys(heard.after ?? {}).length;
    return [
      {
        visit: ordinal,
        lines: lightLines(events, again, hands),
        bones: bonesAfter(events).filter(({ moment }) => moment !== "again"),
        heard,
        by,
      },
    ];
  });
}
