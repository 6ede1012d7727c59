import type { RestrictionDraft } from "./findings";
import { addRestriction } from "./findings";
import type { Tx } from "./database";
import { NotFound } from "./errors";

type Over = { visit_id: string; moment: string };

/** A line of the client's that is neither removed nor joined to another, held fast. */
async function ownLine(tx: Tx, clientId: string, id: string): Promise<Record<string, unknown>> {
  const row = await tx("restriction")
    .where({ id, client_id: clientId })
    .whereNull("removed_at")
    .whereNull("joined_to")
    .forUpdate()
    .first();
  if (!row) throw new NotFound("restriction");
  return row;
}

/**
 * Joins a line to another of the same client: its gradings go over where the other has none of that visit and moment. Joined
 * twice it is joined once.
 */
export async function joinLines(tx: Tx, clientId: string, id: string, into: string): Promise<void> {
  if (id === into) throw new NotFound("restriction");
  const [already] = await tx("restriction").where({ id, client_id: clientId, joined_to: into }).select("id");
  if (already) return;
  // always in the same order: two who join the same lines do not wait for each other
  for (const each of [id, into].sort()) await ownLine(tx, clientId, each);
  const gone = await tx("restriction_grade as g")
    .where("g.restriction_id", id)
    .whereNotExists(
      tx("restriction_grade as o")
        .where("o.restriction_id", into)
        .whereRaw("o.visit_id = g.visit_id and o.moment = g.moment")
        .select(tx.raw("1")),
    )
    .select<Over[]>("g.visit_id", "g.moment");
  await move(tx, gone, id, into);
  await tx("restriction")
    .where({ id })
    .update({ joined_to: into, went_over: JSON.stringify(gone) });
}

/** Takes a line apart from the one it was joined to: what went over comes back, as it is by now. */
export async function separateLine(tx: Tx, clientId: string, id: string): Promise<void> {
  const row = await tx("restriction")
    .where({ id, client_id: clientId })
    .forUpdate()
    .first<{ joined_to: string | null; went_over: Over[] } | undefined>("joined_to", "went_over");
  if (!row) throw new NotFound("restriction");
  if (row.joined_to === null) return;
  await move(tx, row.went_over, row.joined_to, id);
  await tx("restriction").where({ id }).update({ joined_to: null, went_over: null });
}

/**
 * Splits a line: from a visit on it was another structure, whose line begins with those gradings. Undone by joining the new
 * line to the old one. Sent twice it is split once.
 */
export async function splitLine(
  tx: Tx,
  clientId: string,
  id: string,
  fresh: Pick<RestrictionDraft, "id" | "structure" | "region" | "layer" | "side">,
  fromVisit: number,
): Promise<void> {
  const row = await ownLine(tx, clientId, id);
  const { quality, bind, ease } = row as Pick<RestrictionDraft, "quality" | "bind" | "ease">;
  await addRestriction(tx, clientId, { ...fresh, quality, bind, ease });
  const later = await tx("restriction_grade as g")
    .join("visit as v", "v.id", "g.visit_id")
    .where("g.restriction_id", id)
    .where("v.ordinal", ">=", fromVisit)
    .select<Over[]>("g.visit_id", "g.moment");
  await move(tx, later, id, fresh.id);
}

async function move(tx: Tx, gradings: readonly Over[], from: string, to: string): Promise<void> {
  for (const { visit_id, moment } of gradings)
    await tx("restriction_grade").where({ restriction_id: from, visit_id, moment }).update({ restriction_id: to });
}
