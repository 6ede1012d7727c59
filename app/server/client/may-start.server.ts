import { stands } from "~core/consent/consent";
import type { Client } from "~core/client";
import { obstacles, type Obstacle } from "~core/screening/may-start";
import { questions, rescreen } from "~core/screening/questions";
import { acting, type Judged } from "~core/screening/outcome";
import { unsafeIn } from "./plan-input.server";
import { dayOf, today } from "~app/server/today.server";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import { answersOf } from "~data/screening";
import { seriesOf } from "~data/series";
import { listVisits, type Visit } from "~data/visits";

/**
 * What stands between a client and starting this visit's session, by what is on record at this moment: the server's clock
 * decides, whatever day the visit was planned for and whenever its start is said to have been pressed.
 */
export async function obstaclesOf(
  tx: Tx,
  client: Client,
  visit: Visit,
  judged: readonly Judged[],
): Promise<Obstacle[]> {
  const consents = await consentsOf(tx, client.id);
  const session = visit.ordinal - 1;
  const broken = unsafeIn(client, await seriesOf(tx, client.id), await listVisits(tx, client.id), judged, {
    session,
    on: today(),
  });
  const answered = await answersOf(tx, client.id);
  return obstacles({
    cautions: acting(judged, today()),
    answered: new Set(answered.map((answer) => answer.question)),
    askedAgain: await askedAgain(tx, client.id, visit.id),
    general: stands(consents, "general", visit.id),
    guardian: stands(consents, "guardian", visit.id),
    broken: broken.filter((violation) => violation.session === session).map((violation) => violation.sentence),
  });
}

/**
 * Whether it is known what changed before this visit: each of its questions was answered for it, or everything that is asked
 * before any hands-on work was answered today.
 */
export async function askedAgain(tx: Tx, clientId: string, visitId: string): Promise<boolean> {
  const forVisit = await answersOf(tx, clientId, { visitId });
  if (rescreen.every(({ key }) => forVisit.some(({ question }) => question === key))) return true;
  const ever = await answersOf(tx, clientId);
  return questions.every(({ key }) => ever.some(({ question, at }) => question === key && dayOf(at) === today()));
}

/** Why a visit's session, or light touch at it, may not begin now; undefined where nothing stands in its way. */
export const inTheWay = async (
  tx: Tx,
  client: Client,
  visit: Visit,
  judged: readonly Judged[],
): Promise<string | undefined> =>
  visit.status === "closed"
    ? "This visit is closed: put right there what was worked."
    : (await obstaclesOf(tx, client, visit, judged))[0]?.sentence;
