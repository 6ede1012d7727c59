import type { BoneEvent } from "../core/light-touch/bones";
import type { Listening } from "../core/light-touch/stations";
import type { TableEvent } from "../core/table/answers";
import { addOnce } from "./add-once";
import type { Tx } from "./database";
import { eventsOfVisits } from "./session-events";

const lookedAgain = (tx: Tx) =>
  tx("table_event").whereRaw("body->>'moment' = 'again'").distinct<{ visit_id: string }[]>("visit_id");

/** What was answered at the table and felt of bones at the visits at which somebody looked again, blind: one log a visit. */
export async function logsLookedAgain(tx: Tx): Promise<(TableEvent | BoneEvent)[][]> {
  const visits = (await lookedAgain(tx)).map(({ visit_id: id }) => id);
  const logs = await eventsOfVisits(tx, visits, "table_event", ["answer", "bone"]);
  return [...logs.values()] as (TableEvent | BoneEvent)[][];
}

/** Everything that was listened to twice before the work: both rounds of each visit. */
export async function listenedAgain(tx: Tx): Promise<{ first: StoredRound; second: StoredRound; visitId: string }[]> {
  const rows = await tx("listening")
    .whereIn("visit_id", tx("listening").where({ moment: "again" }).select("visit_id"))
    .whereIn("moment", ["before", "again"])
    .select<({ visitId: string; moment: string } & StoredRound)[]>({
      visitId: "visit_id",
      moment: "moment",
      stations: "stations",
      by: "practitioner_id",
    });
  return rows.flatMap((second) => {
    const first = rows.find(({ visitId, moment }) => visitId === second.visitId && moment === "before");
    return second.moment === "again" && first ? [{ first, second, visitId: second.visitId }] : [];
  });
}
type StoredRound = { stations: Listening; by: string | null };

/** How drawings were graded: by practitioner and study, grades by the place of their drawing in its order. */
export async function layLooks(
  tx: Tx,
  practitionerId?: string,
): Promise<{ practitionerId: string; studyId: string; grades: Map<number, number>; begun: Date }[]> {
  const rows = await tx("lay_look")
    .modify((query) => practitionerId && void query.where({ practitioner_id: practitionerId }))
    .orderBy(["practitioner_id", "created_at", "study_id", "item"])
    .select<{ practitionerId: string; studyId: string; item: number; grade: number; begun: Date }[]>({
      practitionerId: "practitioner_id",
      studyId: "study_id",
      item: "item",
      grade: "grade",
      begun: "created_at",
    });
  const studies = new Map<
    string,
    { practitionerId: string; studyId: string; grades: Map<number, number>; begun: Date }
  >();
  for (const { practitionerId: who, studyId, item, grade, begun } of rows) {
    const key = `${who} ${studyId}`;
    const study = studies.get(key) ?? { practitionerId: who, studyId, grades: new Map<number, number>(), begun };
    studies.set(key, study);
    study.grades.set(item, grade);
  }
  return [...studies.values()];
}

/** Keeps how a drawing was graded, once: a blind look is not corrected afterwards. */
export async function keepLayLook(
  tx: Tx,
  practitionerId: string,
  studyId: string,
  item: number,
  grade: number,
): Promise<void> {
  const key = { practitioner_id: practitionerId, study_id: studyId, item };
  await addOnce(tx, "this drawing", "lay_look", key, { grade });
}

/** Takes a study of drawings back: it counts no more. */
export async function deleteLayLooks(tx: Tx, practitionerId: string, studyId: string): Promise<void> {
  await tx("lay_look").where({ practitioner_id: practitionerId, study_id: studyId }).del();
}
