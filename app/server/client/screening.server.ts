import type { Client } from "~core/client";
import type { IsoDay } from "~core/days";
import { usualSchool, type School } from "~core/screening/facts";
import { rangeCautions, scarCautions, skinCautions } from "~core/screening/found";
import { judge, type Judged } from "~core/screening/outcome";
import { screen } from "~core/screening/screen";
import { partOf } from "~app/server/cached-loader.server";
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
export function judgedOf(tx: Tx, client: Client, practitioner: Pick<Practitioner, "settings">): Promise<Judged[]> {
  const school = { ...usualSchool, ...practitioner.settings.school };
  return partOf(tx, client.id, `judged ${client.version} ${JSON.stringify(school)}`, () =>
    judgedBy(tx, client, school),
  );
}

async function judgedBy(tx: Tx, client: Client, school: School): Promise<Judged[]> {
  const facts = {
    born: client.born,
    history: currentEntries(await historyVersions(tx, client.id)),
    answers: await answersOf(tx, client.id),
    preferences: await preferencesOf(tx, client.id),
    school,
  };
  const found = [
    ...(await scarsOf(tx, client.id)).flatMap((scar) =>
      scarCautions(scar).map((caution) => ({ ...caution, factAt: scar.at })),
    ),
    ...(await skinOf(tx, client.id)).flatMap((skin) =>
      skinCautions(skin).map((caution) => ({ ...caution, factAt: skin.at })),
    ),
    // its day is part of its key: a later finding needs a decision of its own
    ...rangeCautions(await movedOf(tx, await listVisits(tx, client.id))).map((caution) => ({
      ...caution,
      factAt: "",
    })),
  ];
  const decisions = await decisionsOf(tx, client.id);
  return judge([...screen(facts), ...found], decisions);
}

/** The day whose rules hold for a visit: its own, but not one in the past that is still to be worked. */
export const dayOfVisit = (visit: Pick<Visit, "status" | "onDate">): IsoDay =>
  visit.status === "closed" || visit.onDate > today() ? visit.onDate : today();
