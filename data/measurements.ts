import type { HandMeasurement } from "../core/measure/by-hand";
import type { HandMethodKey } from "../core/measure/methods";
import type { Moment } from "../core/findings/restriction";
import type { Tx } from "./database";

/** What was measured by hand at all of a client's visits. */
export async function measurementsOf(tx: Tx, clientId: string): Promise<HandMeasurement[]> {
  return tx("measurement as m")
    .join("visit as v", "v.id", "m.visit_id")
    .where("v.client_id", clientId)
    .orderBy(["v.ordinal", "m.created_at"])
    .select<HandMeasurement[]>({
      ordinal: "v.ordinal",
      moment: "m.moment",
      readingId: "m.reading_id",
      method: "m.method",
      value: "m.value",
    });
}

/** Keeps a value; measuring the same again by the same method corrects it. `value` null takes it back. */
export async function saveMeasurement(
  tx: Tx,
  visitId: string,
  measured: { moment: Moment; readingId: string; method: HandMethodKey; value: number | null },
): Promise<void> {
  const { moment, readingId, method } = measured;
  const key = { visit_id: visitId, moment, reading_id: readingId, method };
  if (measured.value === null) {
    await tx("measurement").where(key).del();
    return;
  }
  await tx("measurement")
    .insert({ ...key, value: measured.value })
    .onConflict(["practice_id", "visit_id", "moment", "reading_id", "method"])
    .merge({ value: measured.value });
}
