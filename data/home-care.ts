import type { HomeDose } from "../core/home-care/exercises";
import type { Side } from "../core/units";
import type { Tx } from "./database";
import { compareAndSet } from "./compare-and-set";

export type HomeBody = HomeDose & { side: Side | null };
/** What was given at a visit. */
export type Given = { ordinal: number; exercise: string; body: HomeBody };

/** What a client was given at all visits, in the order of visits. */
export const homeCareOf = (tx: Tx, clientId: string): Promise<Given[]> =>
  tx("home_care as h")
    .join("visit as v", "v.id", "h.visit_id")
    .where("v.client_id", clientId)
    .orderBy(["v.ordinal", "h.created_at"])
    .select<Given[]>({ ordinal: "v.ordinal", exercise: "h.exercise", body: "h.body" });

/** Keeps what is given where `was` stood so far; null takes it back. */
export const saveHomeCare = (
  tx: Tx,
  visitId: string,
  exercise: string,
  body: HomeBody | null,
  was?: HomeBody | null,
): Promise<void> =>
  compareAndSet(
    tx,
    "home care",
    "home_care",
    { visit_id: visitId, exercise },
    was === undefined || was === null ? was : { body: was },
    body && { body },
  );
