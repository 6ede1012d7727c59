import type { Moment } from "../core/findings/restriction";
import type { PointFelt, TriggerPoint } from "../core/findings/trigger-point";
import type { Tx } from "./database";
import { NotFound } from "./errors";
import { compareAndSet } from "./compare-and-set";

/** A client's trigger points in the order they were found, each with all that was felt at it; removed ones left out. */
export async function triggerPointsOf(tx: Tx, clientId: string): Promise<TriggerPoint[]> {
  const rows = await tx("trigger_point")
    .where({ client_id: clientId })
    .whereNull("removed_at")
    .orderBy(["created_at", "id"]);
  const felt = await tx("trigger_point_felt as f")
    .join("visit as v", "v.id", "f.visit_id")
    .where("v.client_id", clientId)
    .orderBy("v.ordinal")
    .select<(PointFelt & { pointId: string })[]>({
      pointId: "f.point_id",
      visit: "v.ordinal",
      moment: "f.moment",
      tenderness: "f.tenderness",
      reproduced: "f.reproduced",
      held: "f.held",
    });
  return rows.map((row): TriggerPoint => ({
    id: row.id,
    structure: row.structure,
    side: row.side,
    at: row.at,
    area: row.area,
    referral: row.referral.over,
    felt: felt.filter(({ pointId }) => pointId === row.id).map(({ pointId: _, ...each }) => each),
  }));
}

export type PointDraft = Omit<TriggerPoint, "felt">;

/** Adds a trigger point; sent twice it is one. An id that is another client's, or says something else already, is refused. */
export async function addTriggerPoint(tx: Tx, clientId: string, draft: PointDraft): Promise<void> {
  const { id, structure, side, at, area, referral } = draft;
  await compareAndSet(tx, "trigger point", "trigger_point", { id }, null, {
    client_id: clientId,
    structure,
    side,
    at,
    area,
    referral: { over: [...referral] },
  });
}

export async function setPointRemoved(tx: Tx, clientId: string, id: string, removed: boolean): Promise<void> {
  const changed = await tx("trigger_point")
    .where({ id, client_id: clientId })
    .update({ removed_at: removed ? tx.fn.now() : null });
  if (!changed) throw new NotFound("trigger point");
}

export type Pressed = Pick<PointFelt, "tenderness" | "reproduced" | "held">;

/** Records what a client's point feels like at a visit, where `was` stood so far. */
export async function feelPoint(
  tx: Tx,
  clientId: string,
  at: { pointId: string; visitId: string; moment: Moment },
  felt: Pressed,
  was: Pressed | null | undefined,
): Promise<void> {
  if (!(await tx("trigger_point").where({ id: at.pointId, client_id: clientId }).whereNull("removed_at").first("id")))
    throw new NotFound("trigger point");
  const key = { point_id: at.pointId, visit_id: at.visitId, moment: at.moment };
  const { tenderness, reproduced, held } = felt;
  await compareAndSet(tx, "trigger point", "trigger_point_felt", key, was, { tenderness, reproduced, held });
}
