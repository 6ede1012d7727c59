import type { Tx } from "../../data/database";
import { compareAndSet } from "../../data/compare-and-set";
import type { Drop, Heights } from "./drop";

const select = {
  visit: "v.ordinal",
  moment: "d.moment",
  side: "d.side",
  sitting: "d.sitting_mm",
  standing: "d.standing_mm",
};

/** How far a client's arches came down at all visits, in the order they were measured. */
export const dropsOf = (tx: Tx, clientId: string): Promise<Drop[]> =>
  tx("navicular_drop as d")
    .join("visit as v", "v.id", "d.visit_id")
    .where("v.client_id", clientId)
    .orderBy(["v.ordinal", "d.created_at"])
    .select<Drop[]>(select);

const row = (heights: Heights | null) => heights && { sitting_mm: heights.sitting, standing_mm: heights.standing };

/** Keeps both heights of a foot where `was` stood so far; null takes them back. */
export const saveDrop = (
  tx: Tx,
  visitId: string,
  { moment, side }: Pick<Drop, "moment" | "side">,
  heights: Heights | null,
  was: Heights | null | undefined,
): Promise<void> =>
  compareAndSet(
    tx,
    "navicular drop",
    "navicular_drop",
    { visit_id: visitId, moment, side },
    was === undefined ? undefined : row(was),
    row(heights),
  );
