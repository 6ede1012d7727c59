import { stands } from "~core/consent/consent";
import type { Client } from "~core/client";
import { unsafe } from "~core/series/rules";
import { obstacles, type Obstacle } from "~core/screening/may-start";
import { acting } from "~core/screening/outcome";
import { planInputOf } from "~app/routes/client/plan-input.server";
import { judgedOf } from "~app/screening.server";
import { today } from "~app/today.server";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import type { Practitioner } from "~data/practitioners";
import { answersOf } from "~data/screening";
import { seriesOf } from "~data/series";
import type { Visit } from "~data/visits";

/** What stands between a client and starting this visit's session now, whatever day it was planned for. */
export async function obstaclesOf(
  tx: Tx,
  client: Client,
  visit: Visit,
  practitioner: Pick<Practitioner, "settings">,
): Promise<Obstacle[]> {
  const consents = await consentsOf(tx, client.id);
  const series = await seriesOf(tx, client.id);
  let broken: string[] = [];
  if (series?.plan) {
    const input = await planInputOf(tx, client, series, series.template, series.settings, practitioner);
    const session = visit.ordinal - 1;
    const days = input.days.map((day, s) => (s === session ? today() : day));
    broken = unsafe({ ...input, days }, series.plan.sessions)
      .filter((breach) => breach.session === session)
      .map((breach) => breach.sentence);
  }
  return obstacles({
    cautions: acting(await judgedOf(tx, client, practitioner), today()),
    answered: new Set((await answersOf(tx, client.id)).map((answer) => answer.question)),
    general: stands(consents, "general", visit.id),
    guardian: stands(consents, "guardian", visit.id),
    broken,
  });
}
