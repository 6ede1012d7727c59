import { daysWorked, sessionDays } from "~core/series/dates";
import { addressOf } from "~app/server/request/address.server";
import { today } from "~app/server/today.server";
import type { Tx } from "~data/database";
import { NotFound } from "~data/errors";
import { seriesOf } from "~data/series";
import { listVisits, planVisits, type Visit } from "~data/visits";

/** The visit a request is about: `?visit=5`, or the first that is not closed, or the last. */
export async function visitOf(tx: Tx, clientId: string, request: Request): Promise<{ visit: Visit; visits: Visit[] }> {
  const visits = await listVisits(tx, clientId);
  const asked = addressOf(request).count("visit");
  const visit = asked
    ? visits.find((each) => each.ordinal === asked)
    : (visits.find((each) => each.status !== "closed") ?? visits.at(-1));
  if (!visit) throw new NotFound("visit");
  return { visit, visits };
}

/** A visit by its id, if it is this client's. */
export async function ownVisit(tx: Tx, clientId: string, visitId: unknown): Promise<Visit> {
  const visit = (await listVisits(tx, clientId)).find((each) => each.id === visitId);
  if (!visit) throw new NotFound("visit");
  return visit;
}

/** Moves the visits still planned after one was worked on another day than planned: the series' interval holds on. */
export async function followDays(tx: Tx, clientId: string): Promise<void> {
  const series = await seriesOf(tx, clientId);
  if (!series) return;
  const visits = await listVisits(tx, clientId);
  await planVisits(tx, clientId, sessionDays(daysWorked(visits), series.settings, visits.length, today()));
}
