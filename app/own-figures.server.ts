import type { OwnFigures } from "~core/measure/own-figures";
import { analyse, type StudyMarking, type StudyResult } from "~core/repeatability/study";
import type { Tx } from "~data/database";
import { finishedKey, finishedMarkings, pictureName } from "~data/studies";
import { PracticeCache } from "./practice-cache.server";

/** What every practitioner's finished studies found together, by practitioner. */
export type Studied = Record<string, StudyResult>;

const kept = new PracticeCache<Studied>(50);

/** Everybody's repeat figures in this practice; computed anew only when a study was finished or taken back. */
export async function studied(tx: Tx): Promise<Studied> {
  const key = await finishedKey(tx);
  if (key === "") return {};
  return kept.of(tx, key, async () => {
    const markings = new Map<string, StudyMarking[]>();
    for (const { studyId, practitionerId, items, item, marks } of await finishedMarkings(tx)) {
      const { view, setup } = items[item]!;
      const list = markings.get(practitionerId) ?? [];
      markings.set(practitionerId, list);
      // the same picture in another study is another occasion
      list.push({ picture: `${studyId} ${pictureName(items[item]!)}`, view, setup, marks });
    }
    return Object.fromEntries([...markings].map(([who, list]) => [who, analyse(list)]));
  });
}

/** The figures alone, as the readings need them. */
export async function ownFigures(tx: Tx): Promise<Record<string, OwnFigures>> {
  return Object.fromEntries(Object.entries(await studied(tx)).map(([who, { own }]) => [who, own]));
}
