import { measurable, readByHand } from "~core/measure/by-hand";
import { readPhoto } from "~core/measure/read-photo";
import type { Reading } from "~core/measure/reading";
import type { View } from "~core/measure/view";
import type { OwnFigures } from "~core/measure/own-figures";
import { standingStudy, type StandingRepeat, type StoodAgain } from "~core/repeatability/standing-study";
import { analyse, type StudyMarking, type StudyResult } from "~core/repeatability/study";
import type { Tx } from "~data/database";
import { measuredAgain } from "~data/measurements";
import { stoodAgain } from "~data/photos";
import { sharedStamp } from "~data/stamps";
import { finishedMarkings, pictureName } from "~data/studies";
import { PracticeCache } from "~app/server/practice-cache.server";

/** What every practitioner's finished studies found together, and their repeated standings, by practitioner. */
export type Studied = Record<string, StudyResult & { standing: StandingRepeat[] }>;

const kept = new PracticeCache<{ stamp: string; studied: Studied }>(50);

/** Everybody's repeat figures in this practice; computed anew only when what the practice shares has changed. */
export async function studied(tx: Tx): Promise<Studied> {
  const stamp = await sharedStamp(tx);
  const made = async () => ({ stamp, studied: await studiedAnew(tx) });
  return (await kept.of(tx, "studied", made, (known) => known.stamp === stamp)).studied;
}

async function studiedAnew(tx: Tx): Promise<Studied> {
  const markings = new Map<string, StudyMarking[]>();
  for (const { studyId, practitionerId, items, item, marks } of await finishedMarkings(tx)) {
    const { view, setup } = items[item]!;
    const list = markings.get(practitionerId) ?? [];
    markings.set(practitionerId, list);
    // the same picture in another study is another occasion
    list.push({ picture: `${studyId} ${pictureName(items[item]!)}`, view, setup, marks });
  }
  const standings = await standingsBy(tx);
  return Object.fromEntries(
    [...new Set([...markings.keys(), ...standings.keys()])].map((who) => {
      const marking = analyse(markings.get(who) ?? []);
      const { metrics, standing } = standingStudy(standings.get(who) ?? []);
      return [who, { ...marking, own: { ...marking.own, standing }, standing: metrics }];
    }),
  );
}

/** Repeated standings that one practitioner marked or measured by hand, each read by the model alone. */
async function standingsBy(tx: Tx): Promise<Map<string, StoodAgain[]>> {
  const groups = new Map<string, { who: string; stood: StoodAgain & { standings: Reading[][] } }>();
  const add = (who: string, view: View, visit: string, readings: Reading[]) => {
    const key = `${who} ${view} ${visit}`;
    const group = groups.get(key) ?? { who, stood: { view, standings: [] } };
    groups.set(key, group);
    group.stood.standings.push(readings);
  };
  for (const photo of await stoodAgain(tx))
    add(photo.markedBy!, photo.view, `${photo.visitId} ${photo.moment}`, readPhoto(photo));
  for (const measured of await measuredAgain(tx)) {
    const view = measurable.find(({ id }) => id === measured.readingId)?.view;
    const reading = readByHand(measured);
    if (view && reading)
      add(measured.measuredBy, view, `${measured.visitId} ${measured.moment} ${reading.id} ${reading.method}`, [
        reading,
      ]);
  }
  const by = new Map<string, StoodAgain[]>();
  for (const { who, stood } of groups.values()) by.set(who, [...(by.get(who) ?? []), stood]);
  return by;
}

/** The figures alone, as the readings need them. */
export async function ownFigures(tx: Tx): Promise<Record<string, OwnFigures>> {
  return Object.fromEntries(Object.entries(await studied(tx)).map(([who, { own }]) => [who, own]));
}
