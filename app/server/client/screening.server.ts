import type { Client } from "~core/client";
import type { IsoDay } from "~core/days";
import { usualSchool, type School } from "~core/screening/facts";
import { rangeCautions, scarCautions, skinCautions } from "~core/screening/found";
import { judge, type Judged } from "~core/screening/outcome";
import { screen } from "~core/screening/screen";
import { partOf } from "~app/server/known.server";
import { today } from "~app/server/today.server";
import type { Tx } from "~data/database";
import { currentEntries, historyVersions } from "~data/history";
import { preferencesOf } from "~data/preferences";
import type { Practitioner } from "~data/practitioners";
import { answersOf, decisionsOf } from "~data/screening";
import { scarsOf } from "~data/scars";
import { skinOf } from "~data/skin";
import { listVisits, type Visit } from "~data/visits";
import { movedOf } from "./table.server";

/** Every caution about a client with what was decided about it, for every day at once: `acting` picks a day's. */
export function judgedOf(
  tx: Tx,
  client: Client,
  practitioner: Pick<Practitioner, "settings">,
  /** ISO time: by what was on record then. Now when left out. */
  then?: string,
): Promise<Judged[]> {
  const school = { ...usualSchool, ...practitioner.settings.school };
  if (then) return judgedBy(tx, client, school, then);
  return partOf(tx, client.id, `judged ${client.version} ${JSON.stringify(school)}`, () =>
    judgedBy(tx, client, school),
  );
}

async function judgedBy(tx: Tx, client: Client, school: School, then?: string): Promise<Judged[]> {
  const known = <T extends { at: string }>(list: readonly T[]) => list.filter(({ at }) => !then || at <= then);
  const facts = {
    born: client.born,
    history: currentEntries(known(await historyVersions(tx, client.id))),
    answers: await answersOf(tx, client.id, { until: then }),
    preferences: await preferencesOf(tx, client.id),
    school,
  };
  const found = [
    ...known(await scarsOf(tx, client.id)).flatMap((scar) =>
      scarCautions(scar).map((caution) => ({ ...caution, factAt: scar.at })),
    ),
    ...known(await skinOf(tx, client.id)).flatMap((skin) =>
      skinCautions(skin).map((caution) => ({ ...caution, factAt: skin.at })),
    ),
    // its day is part of its key: a later finding needs a decision of its own
    ...rangeCautions(await movedOf(tx, await listVisits(tx, client.id), then)).map((caution) => ({
      ...caution,
      factAt: "",
    })),
  ];
  const decisions = known(await decisionsOf(tx, client.id));
  return judge([...screen(facts), ...found], decisions);
}

/** The day whose rules hold for a visit: its own, but not one in the past that is still to be worked. */
export const dayOfVisit = (visit: Pick<Visit, "status" | "onDate">): IsoDay =>
  visit.status === "closed" || visit.onDate > today() ? visit.onDate : today();
