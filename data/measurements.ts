import type { HandMeasurement } from "../core/measure/by-hand";
import type { HandMethodKey } from "../core/measure/methods";
import type { Moment } from "../core/findings/restriction";
import type { Tx } from "./database";
import { keep } from "./keep";

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

/** Keeps a value where `was` stood so far. null: none, or taken back. */
export async function saveMeasurement(
  tx: Tx,
  visitId: string,
  measured: { moment: Moment; readingId: string; method: HandMethodKey; value: number | null },
  was?: number | null,
): Promise<void> {
  const { moment, readingId, method } = measured;
  const key = { visit_id: visitId, moment, reading_id: readingId, method };
  const row = (value: number | null) => (value === null ? null : { value });
  await keep(tx, "measurement", "measurement", key, was === undefined ? undefined : row(was), row(measured.value));
}
