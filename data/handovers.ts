import { randomUUID } from "node:crypto";
import type { Tx } from "./database";
import { NotFound } from "./errors";

export type Handover = { id: string; clientId: string; visitId: string; at: string };

/** The handover a signed-in session is locked to; undefined while it is free. */
export async function handoverOfSession(tx: Tx, sessionId: string): Promise<Handover | undefined> {
  const row = await tx("auth_session as s")
    .join("handover as h", "h.id", "s.handover_id")
    .where("s.id", sessionId)
    .first<(Omit<Handover, "at"> & { at: Date }) | undefined>({
      id: "h.id",
      clientId: "h.client_id",
      visitId: "h.visit_id",
      at: "h.created_at",
    });
  return row && { ...row, at: row.at.toISOString() };
}

/** Locks a session to one client's questions. */
export async function handOver(tx: Tx, sessionId: string, clientId: string, visitId: string): Promise<string> {
  const id = randomUUID();
  await tx("handover").insert({ id, client_id: clientId, visit_id: visitId });
  const changed = await tx("auth_session").where({ id: sessionId }).update({ handover_id: id });
  if (!changed) throw new NotFound("session");
  return id;
}

/** Frees a session again; the caller has checked the practitioner's password. */
export async function takeBack(tx: Tx, sessionId: string, handoverId: string): Promise<void> {
  await tx("auth_session").where({ id: sessionId, handover_id: handoverId }).update({ handover_id: null });
  await tx("handover").where({ id: handoverId }).update({ ended_at: tx.fn.now() });
}
