import { stands } from "~core/consent/consent";
import { isSideView, type View } from "~core/measure/view";
import { consentsOf } from "~data/consents";
import type { Tx } from "~data/database";
import { picturesOfPractice } from "~data/photos";
import { studySet } from "~data/study-set";
import type { StudyItem } from "~data/studies";

export const sources = ["set", "earlier"] as const;
export type Source = (typeof sources)[number];
export const viewKinds = ["front", "back", "side"] as const;
export type ViewKind = (typeof viewKinds)[number];
export const kindOf = (view: View): ViewKind => (isSideView(view) ? "side" : (view as "front" | "back"));

/** The pictures a study may show: those that ship, and the latest of clients whose consent to photographs stands. */
export async function picturesFor(tx: Tx): Promise<Record<Source, StudyItem[]>> {
  const set = studySet().map(({ key, view, setup }): StudyItem => ({ source: { kind: "set", key }, view, setup }));
  const earlier: StudyItem[] = [];
  const consents = new Map<string, Awaited<ReturnType<typeof consentsOf>>>();
  for (const { id, clientId, visitId, view, setup } of await picturesOfPractice(tx, 120)) {
    const known = consents.get(clientId) ?? (await consentsOf(tx, clientId));
    consents.set(clientId, known);
    if (stands(known, "photographs", visitId) === true)
      earlier.push({ source: { kind: "photo", id, clientId }, view, setup });
  }
  return { set, earlier };
}
