import type { Client, ClientDraft } from "../core/client";
import { addOnce } from "./add-once";
import { changeSeen } from "./change-seen";
import { once, type Tx } from "./database";
import { NotFound, Stale } from "./errors";

const columns = {
  id: "id",
  name: "name",
  born: "born",
  occupation: "occupation",
  complaint: "complaint",
  complaintRegion: "complaint_region",
  furtherComplaints: "further_complaints",
  statureMm: "stature_mm",
  build: "build",
  pressureCeiling: "pressure_ceiling",
  archivedAt: "archived_at",
  version: "version",
} as const;

const toRow = (draft: ClientDraft) => ({
  name: draft.name,
  born: draft.born,
  occupation: draft.occupation,
  complaint: draft.complaint,
  complaint_region: draft.complaintRegion,
  further_complaints: JSON.stringify(draft.furtherComplaints ?? []),
  further_words: (draft.furtherComplaints ?? []).map(({ words }) => words).join(" "),
  stature_mm: draft.statureMm,
  build: draft.build ?? "middle",
  pressure_ceiling: draft.pressureCeiling,
});

export type ClientListed = Client & {
  lastVisit: string | null;
  nextVisit: string | null;
  visitsDone: number;
  visitsPlanned: number;
};

/** How many clients a page of the list holds. */
export const clientsAPage = 50;

/** The words of a text as the database cuts them (`023-words`). */
const wordsIn = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[\s!-/:-@[-`{-~]+/)
    .filter(Boolean)
    .map((word) => word.slice(0, 60));

/**
 * A page of the clients in whose name, occupation or complaint every word of `search` begins a word, by name; archived ones only
 * when asked. `after` is the last client of the page before. `more`: there is another page.
 */
export async function listClients(
  tx: Tx,
  { search = "", archived = false, after }: { search?: string; archived?: boolean; after?: string | undefined } = {},
): Promise<{ clients: ClientListed[]; more: boolean }> {
  const query = tx("client as c")
    .select(Object.fromEntries(Object.entries(columns).map(([key, column]) => [key, `c.${column}`])))
    .select({
      lastVisit: "n.last",
      nextVisit: "n.next",
      visitsDone: "n.done",
      visitsPlanned: "n.planned",
    })
    .joinRaw(
      `cross join lateral (
         select max(on_date) filter (where status <> 'planned') as last, min(on_date) filter (where status = 'planned') as next,
                (count(*) filter (where status = 'closed'))::int as done, count(*)::int as planned
         from visit v where v.practice_id = c.practice_id and v.client_id = c.id) n`,
    )
    .orderByRaw("lower(c.name), c.id")
    .limit(clientsAPage + 1);
  if (archived) query.whereNotNull("c.archived_at");
  else query.whereNull("c.archived_at");
  for (const word of wordsIn(search).slice(0, 8))
    query.whereIn(
      "c.id",
      tx("client_word").select("client_id").where("word", ">=", word).where("word", "<", `${word}\u{10ffff}`),
    );
  if (after !== undefined) {
    const { name } = await getClient(tx, after);
    query.whereRaw("(lower(c.name), c.id) > (lower(?), ?::uuid)", [name, after]);
  }
  const rows = (await query) as ClientListed[];
  return { clients: rows.slice(0, clientsAPage), more: rows.length > clientsAPage };
}

export async function getClient(tx: Tx, id: string): Promise<Client> {
  const row = await once(tx, `client ${id}`, () => tx("client").where({ id }).first<Client | undefined>(columns));
  if (!row) throw new NotFound("client");
  return row;
}

/** Saves a new client under an id the caller made: sending the same one twice makes one client (`Taken` where it says something else). Whether it was new. */
export async function createClient(tx: Tx, id: string, draft: ClientDraft): Promise<boolean> {
  return addOnce(tx, "this client", "client", { id }, toRow(draft));
}

export async function updateClient(tx: Tx, id: string, version: number, draft: ClientDraft): Promise<void> {
  const changed = await tx("client").where({ id, version }).update(toRow(draft));
  if (changed) return;
  await getClient(tx, id);
  throw new Stale("client");
}

/** Archives a client who stands at `version`, or brings them back. */
export const setArchived = (tx: Tx, id: string, archived: boolean, version: number): Promise<void> =>
  changeSeen(tx, "client", "client", { id }, version, (now) => (now.archived_at !== null) === archived, {
    archived_at: archived ? tx.fn.now() : null,
  });
