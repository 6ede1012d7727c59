import type { HandMeasurement } from "../core/measure/by-hand";
import type { HandMethodKey } from "../core/measure/methods";
import type { Moment } from "../core/findings/restriction";
import { once, type Tx } from "./database";
import { compareAndSet } from "./compare-and-set";

const select = (tx: Tx) =>
  tx("measurement as m").join("visit as v", "v.id", "m.visit_id").select({
    ordinal: "v.ordinal",
    moment: "m.moment",
    readingId: "m.reading_id",
    method: "m.method",
    standing: "m.standing",
    value: "m.value",
    measuredBy: "m.measured_by",
  });

/** What was measured by hand at all of a client's visits. */
export const measurementsOf = (tx: Tx, clientId: string): Promise<HandMeasurement[]> =>
  once(tx, `measurementsOf ${clientId}`, async () =>
    select(tx).where("v.client_id", clientId).orderBy(["v.ordinal", "m.created_at"]),
  );

/** Keeps a value where `was` stood so far. null: none, or taken back. `by`: the practitioner who measured. */
export async function saveMeasurement(
  tx: Tx,
  visitId: string,
  measured: { moment: Moment; readingId: string; method: HandMethodKey; standing?: number; value: number | null },
  was?: number | null,
  by: string | null = null,
): Promise<void> {
  const { moment, readingId, method, standing = 1 } = measured;
  const key = { visit_id: visitId, moment, reading_id: readingId, method, standing };
  const row = (value: number | null) => (value === null ? null : { value });
  await compareAndSet(
    tx,
    "measurement",
    "measurement",
    key,
    was === undefined ? undefined : row(was),
    row(measured.value),
  );
  if (measured.value !== null) await tx("measurement").where(key).update({ measured_by: by });
}

/** Values that one practitioner took by one method of more than one standing at one moment. */
const repeated = (tx: Tx, query: ReturnType<Tx>) =>
  query.whereExists(
    tx("measurement as o")
      .select(tx.raw("1"))
      .whereRaw("(o.visit_id, o.moment, o.reading_id, o.method) = (m.visit_id, m.moment, m.reading_id, m.method)")
      .whereRaw("o.measured_by = m.measured_by and o.standing <> m.standing"),
  );

/** A value with where it was taken, so that those of one moment can be told from others. */
export type MeasuredAgain = HandMeasurement & { visitId: string; measuredBy: string };

/** Of all clients, the values of people who stood again. */
export const measuredAgain = (tx: Tx): Promise<MeasuredAgain[]> =>
  repeated(tx, select(tx).select({ visitId: "m.visit_id" })).orderBy(["m.visit_id", "m.moment", "m.standing"]);
