import type { Marks, PhotoSetup } from "../core/measure/calibration";
import type { View } from "../core/measure/view";
import { addOnce } from "./add-once";
import type { Tx } from "./database";
import { NotFound } from "./errors";

/** A picture in a study: one that ships with the product, or an earlier one of a client. */
export type StudySource = { kind: "set"; key: string } | { kind: "photo"; id: string; clientId: string };

/** One picture to be marked; what is needed to read it is kept with the study, whatever becomes of the picture. */
export type StudyItem = { source: StudySource; view: View; setup: PhotoSetup };

export type Study = {
  id: string;
  practitionerId: string;
  items: StudyItem[];
  finishedAt: Date | null;
  createdAt: Date;
};

/** Names the picture of an item: the same for every pass over it. */
export const pictureName = ({ source }: StudyItem): string => (source.kind === "set" ? source.key : source.id);

const columns = {
  id: "id",
  practitionerId: "practitioner_id",
  items: "items",
  finishedAt: "finished_at",
  createdAt: "created_at",
} as const;

/** A practitioner's studies, latest first. */
export const studiesOf = (tx: Tx, practitionerId: string): Promise<Study[]> =>
  tx("study").where({ practitioner_id: practitionerId }).orderBy("created_at", "desc").select<Study[]>(columns);

export async function getStudy(tx: Tx, practitionerId: string, id: string): Promise<Study> {
  const study = await tx("study").where({ id, practitioner_id: practitionerId }).first<Study | undefined>(columns);
  if (!study) throw new NotFound("study");
  return study;
}

/** Begins a study under an id made by the client; beginning it twice makes one. */
export async function beginStudy(
  tx: Tx,
  id: string,
  practitionerId: string,
  items: readonly StudyItem[],
): Promise<void> {
  const values = { practitioner_id: practitionerId, items: JSON.stringify(items) };
  await addOnce(tx, "this study", "study", { id }, values);
}

/** The markings of a study so far, by the place of their item. */
export async function markingsOf(tx: Tx, studyId: string): Promise<Map<number, Marks>> {
  const rows = await tx("study_marking")
    .where({ study_id: studyId })
    .orderBy("item")
    .select<{ item: number; marks: Marks }[]>("item", "marks");
  return new Map(rows.map(({ item, marks }) => [item, marks]));
}

/**
 * Keeps how an item was marked, once: a blind marking is not corrected afterwards. The study is finished with its last
 * one, and takes no more then. Returns whether it is finished.
 */
export async function keepMarking(tx: Tx, study: Study, item: number, marks: Marks): Promise<boolean> {
  if (!study.items[item]) throw new NotFound("item");
  // its figures are in use: a tab that was left open does not change them
  if (study.finishedAt) return true;
  const key = { study_id: study.id, item };
  await addOnce(tx, "this picture", "study_marking", key, { marks: JSON.stringify(marks) });
  const done = (await markingsOf(tx, study.id)).size === study.items.length;
  if (done && !study.finishedAt) await finishStudy(tx, study.id);
  return done;
}

/** Ends a study early: what was marked twice counts. */
export async function finishStudy(tx: Tx, id: string): Promise<void> {
  await tx("study").where({ id }).update({ finished_at: tx.fn.now() });
}

/** Takes a study back: its figures are used no more. */
export async function deleteStudy(tx: Tx, practitionerId: string, id: string): Promise<void> {
  const gone = await tx("study").where({ id, practitioner_id: practitionerId }).del();
  if (!gone) throw new NotFound("study");
}

/** Every finished study's markings of everybody in the practice, in one question. */
export async function finishedMarkings(
  tx: Tx,
): Promise<{ studyId: string; practitionerId: string; items: StudyItem[]; item: number; marks: Marks }[]> {
  return tx("study_marking as m")
    .join("study as s", "s.id", "m.study_id")
    .whereNotNull("s.finished_at")
    .orderBy(["s.id", "m.item"])
    .select({
      studyId: "s.id",
      practitionerId: "s.practitioner_id",
      items: "s.items",
      item: "m.item",
      marks: "m.marks",
    });
}
