import type { IsoDay } from "../core/days";
import type { SkinFound } from "../core/findings/skin";
import type { Tx } from "./database";
import { NotFound } from "./errors";
import { compareAndSet } from "./compare-and-set";

export type SkinRecorded = SkinFound & {
  /** When it was recorded (ISO). */
  at: string;
};

/** What a client's skin did, oldest first; removed ones left out. */
export async function skinOf(tx: Tx, clientId: string): Promise<SkinRecorded[]> {
  const rows = await tx("skin_response as s")
    .join("visit as v", "v.id", "s.visit_id")
    .where("s.client_id", clientId)
    .whereNull("s.removed_at")
    .orderBy(["v.ordinal", "s.created_at", "s.id"])
    .select<(SkinFound & { recorded: Date })[]>({
      id: "s.id",
      place: "s.place",
      side: "s.side",
      response: "s.response",
      after: "s.after",
      visit: "v.ordinal",
      on: "v.on_date",
      gone: "s.gone_on",
      recorded: "s.created_at",
    });
  return rows.map(({ recorded, ...row }) => ({ ...row, at: recorded.toISOString() }));
}

export type SkinDraft = Pick<SkinFound, "id" | "place" | "side" | "response" | "after">;

/** Records what the skin did; sent twice it is one. An id that is another client's, or says something else, is refused. */
export async function addSkin(tx: Tx, clientId: string, visitId: string, draft: SkinDraft): Promise<void> {
  const { id, place, side, response, after } = draft;
  const row = { client_id: clientId, visit_id: visitId, place, side, response, after };
  await compareAndSet(tx, "skin", "skin_response", { id }, null, row);
}

async function change(tx: Tx, clientId: string, id: string, to: object): Promise<void> {
  if (!(await tx("skin_response").where({ id, client_id: clientId }).update(to))) throw new NotFound("skin");
}

/** The day the mark was seen gone; null: it is there after all. */
export const setSkinGone = (tx: Tx, clientId: string, id: string, gone: IsoDay | null): Promise<void> =>
  change(tx, clientId, id, { gone_on: gone });

export const setSkinRemoved = (tx: Tx, clientId: string, id: string, removed: boolean): Promise<void> =>
  change(tx, clientId, id, { removed_at: removed ? tx.fn.now() : null });
