import { stands } from "~core/consent/consent";
import type { Client } from "~core/client";
import { obstacles, type Obstacle } from "~core/screening/may-start";
import { acting, type Judged } from "~core/screening/outcome";
import { unsafeIn } from "./plan-input.server";
import { today } from "~app/server/today.server";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import { answersOf } from "~data/screening";
import { seriesOf } from "~data/series";
import { listVisits, type Visit } from "~data/visits";

/** What stands between a client and starting this visit's session now, whatever day it was planned for. */
export async function obstaclesOf(
  tx: Tx,
  client: Client,
  visit: Visit,
  judged: readonly Judged[],
  /** ISO time: by what was on record then. Now when left out. */
  then?: string,
): Promise<Obstacle[]> {
  const consents = (await consentsOf(tx, client.id)).filter(({ at }) => !then || at <= then);
  const session = visit.ordinal - 1;
  const broken = unsafeIn(client, await seriesOf(tx, client.id), await listVisits(tx, client.id), judged, {
    session,
    on: today(),
  });
  return obstacles({
    cautions: acting(judged, today()),
    answered: new Set((await answersOf(tx, client.id, { until: then })).map((answer) => answer.question)),
    general: stands(consents, "general", visit.id),
    guardian: stands(consents, "guardian", visit.id),
    broken: broken.filter((breach) => breach.session === session).map((breach) => breach.sentence),
  });
}
