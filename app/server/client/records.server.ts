import { kindKeys, type KindKey, type RecordOf, type Records } from "~kinds/register";
import { dropsOf } from "~kinds/navicular-drop/store";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import { restrictionsOf } from "~data/findings";
import { currentEntries, historyVersions } from "~data/history";
import { homeCareOf } from "~data/home-care";
import { measurementsOf } from "~data/measurements";
import { ownMeasuresOf } from "~data/own-measures";
import { photosOfClient } from "~data/photos";
import { preferencesOf } from "~data/preferences";
import { scarsOf } from "~data/scars";
import { answersOf } from "~data/screening";
import { eventsOfVisits } from "~data/session-events";
import { skinOf } from "~data/skin";
import { triggerPointsOf } from "~data/trigger-points";
import type { Visit } from "~data/visits";
import { lightOf } from "./light.server";
import { movedOf, tableOf } from "./table.server";

type Load<R> = (tx: Tx, clientId: string, visits: readonly Visit[]) => Promise<readonly R[]>;

/** How the records of each kind are loaded: of the client, or of those of their visits that are asked for. */
const load: { readonly [K in KindKey]: Load<RecordOf<K>> } = {
  historyEntry: async (tx, clientId) => currentEntries(await historyVersions(tx, clientId)),
  screeningAnswer: (tx, clientId) => answersOf(tx, clientId),
  consent: consentsOf,
  wish: async (tx, clientId) => [await preferencesOf(tx, clientId)],
  ownScale: async (tx, clientId) => {
    const { measures, scores } = await ownMeasuresOf(tx, clientId);
    return scores.flatMap((score) => {
      const scale = measures.find(({ id }) => id === score.measureId);
      return scale ? [{ ...score, name: scale.name, kind: scale.kind }] : [];
    });
  },
  photograph: photosOfClient,
  measurement: measurementsOf,
  look: (tx, _, visits) => tableOf(tx, visits),
  range: (tx, _, visits) => movedOf(tx, visits),
  restriction: restrictionsOf,
  skin: skinOf,
  triggerPoint: triggerPointsOf,
  scar: scarsOf,
  navicularDrop: dropsOf,
  lightTouch: lightOf,
  run: async (tx, _, visits) => {
    const logs = await eventsOfVisits(
      tx,
      visits.map(({ id }) => id),
    );
    return visits.flatMap(({ id, ordinal }) => (logs.has(id) ? [{ visit: ordinal, events: logs.get(id)! }] : []));
  },
  homeCare: homeCareOf,
};

/** What is recorded of a client, by kind: of all kinds, or of those that `of` names. */
export async function recordsOf(
  tx: Tx,
  clientId: string,
  visits: readonly Visit[],
  of: readonly KindKey[] = kindKeys,
): Promise<Partial<Records>> {
  const found: Partial<Record<KindKey, readonly unknown[]>> = {};
  // one after the other: a request holds one connection
  for (const key of of) found[key] = await load[key](tx, clientId, visits);
  return found as Partial<Records>;
}
