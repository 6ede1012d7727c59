import type { Client } from "~core/client";
import type { IsoDay } from "~core/days";
import { usualSchool } from "~core/screening/facts";
import { judge, type Judged } from "~core/screening/outcome";
import { screen } from "~core/screening/screen";
import { today } from "~app/today.server";
import type { Tx } from "~data/database";
import { currentEntries, historyVersions } from "~data/history";
import { preferencesOf } from "~data/preferences";
import type { Practitioner } from "~data/practitioners";
import { answersOf, decisionsOf } from "~data/screening";
import type { Visit } from "~data/visits";

/** Every caution about a client with what was decided about it, for every day at once: `acting` picks a day's. */
export async function judgedOf(
  tx: Tx,
  client: Client,
  practitioner: Pick<Practitioner, "settings">,
): Promise<Judged[]> {
  const facts = {
    born: client.born,
    history: currentEntries(await historyVersions(tx, client.id)),
    answers: await answersOf(tx, client.id),
    preferences: await preferencesOf(tx, client.id),
    school: { ...usualSchool, ...practitioner.settings.school },
  };
  return judge(screen(facts), await decisionsOf(tx, client.id));
}

/** The day whose rules hold for a visit: its own, but not one in the past that is still to be worked. */
export const dayOfVisit = (visit: Pick<Visit, "status" | "onDate">): IsoDay =>
  visit.status === "closed" || visit.onDate > today() ? visit.onDate : today();
