import type { Moment } from "../core/findings/restriction";
import type { Rose, Scar, Slide } from "../core/findings/scar";
import { changeSeen } from "./change-seen";
import type { Tx } from "./database";
import { NotFound } from "./errors";
import { compareAndSet } from "./compare-and-set";

export type ScarRecorded = Scar & {
  /** When its state was told last (ISO): what was decided about it before does not count any more. */
  at: string;
  version: number;
};

/** A client's scars in the order they were recorded, each with every test of it; removed ones left out. */
export async function scarsOf(tx: Tx, clientId: string): Promise<ScarRecorded[]> {
  const rows = await tx("scar").where({ client_id: clientId }).whereNull("removed_at").orderBy(["created_at", "id"]);
  const roses = await tx("scar_rose as r")
    .join("visit as v", "v.id", "r.visit_id")
    .where("v.client_id", clientId)
    .orderBy("v.ordinal")
    .select<(Rose & { scarId: string })[]>({
      scarId: "r.scar_id",
      visit: "v.ordinal",
      moment: "r.moment",
      slides: "r.slides",
      lift: "r.lift",
    });
  return rows.map((row): ScarRecorded => ({
    id: row.id,
    version: row.version,
    at: ((row.told_at ?? row.created_at) as Date).toISOString(),
    places: row.places,
    side: row.side,
    line: row.line,
    lengthMm: row.length_mm,
    since: row.since,
    closed: row.closed,
    words: row.words,
    roses: roses.filter(({ scarId }) => scarId === row.id).map(({ scarId: _, ...rose }) => rose),
  }));
}

export type ScarDraft = Omit<Scar, "roses">;

/** Adds a scar; sent twice it is one. An id that is another client's, or says something else already, is refused. */
export async function addScar(tx: Tx, clientId: string, draft: ScarDraft): Promise<void> {
  const { id, places, side, line, lengthMm, since, closed, words } = draft;
  const row = { client_id: clientId, places: [...places], side, line, length_mm: lengthMm, since, closed, words };
  await compareAndSet(tx, "scar", "scar", { id }, null, row);
}

async function ofClient(tx: Tx, clientId: string, id: string): Promise<void> {
  if (!(await tx("scar").where({ id, client_id: clientId }).first("id"))) throw new NotFound("scar");
}

/** Whether it is closed, where it stood at `version` so far: what the gate turns on, and what changes by itself. */
export const setScarClosed = (tx: Tx, clientId: string, id: string, closed: boolean, version: number): Promise<void> =>
  changeSeen(tx, "scar", "scar", { id, client_id: clientId }, version, (now) => now.closed === closed, {
    closed,
    told_at: tx.fn.now(),
  });

export async function setScarRemoved(tx: Tx, clientId: string, id: string, removed: boolean): Promise<void> {
  await ofClient(tx, clientId, id);
  await tx("scar")
    .where({ id })
    .update({ removed_at: removed ? tx.fn.now() : null });
}

export type RoseFelt = { slides: readonly Slide[]; lift: Slide };

/** Records how a client's scar slides at a visit, where `was` stood so far. */
export async function feelScar(
  tx: Tx,
  clientId: string,
  at: { scarId: string; visitId: string; moment: Moment },
  felt: RoseFelt,
  was: RoseFelt | null | undefined,
): Promise<void> {
  if (!(await tx("scar").where({ id: at.scarId, client_id: clientId }).whereNull("removed_at").first("id")))
    throw new NotFound("scar");
  const key = { scar_id: at.scarId, visit_id: at.visitId, moment: at.moment };
  const row = ({ slides, lift }: RoseFelt) => ({ slides: [...slides], lift });
  await compareAndSet(tx, "scar", "scar_rose", key, was ? row(was) : was, row(felt));
}
