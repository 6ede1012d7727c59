import { addOnce } from "./add-once";
import type { Tx } from "./database";
import { NotFound, Taken } from "./errors";
import { isDeepStrictEqual } from "node:util";
import type { SeriesSettings, StoredPlan } from "./series";

/** A plan kept beside the one in force. */
export type NamedPlan = {
  id: string;
  name: string;
  template: string;
  settings: SeriesSettings;
  plan: StoredPlan;
  at: Date;
};

/** As many as can be looked at side by side. */
export const mostNamed = 6;

const columns = {
  id: "id",
  name: "name",
  template: "template",
  settings: "settings",
  plan: "plan",
  at: "created_at",
} as const;

/** A client's named plans, the first kept first. */
export const namedPlansOf = (tx: Tx, clientId: string): Promise<NamedPlan[]> =>
  tx("named_plan").where({ client_id: clientId }).orderBy(["created_at", "id"]).select<NamedPlan[]>(columns);

export async function namedPlanOf(tx: Tx, clientId: string, id: string): Promise<NamedPlan> {
  const found = await tx("named_plan").where({ client_id: clientId, id }).first<NamedPlan | undefined>(columns);
  if (!found) throw new NotFound("plan");
  return found;
}

/** There are as many as may be. */
export class TooMany extends Error {}

/** Keeps a plan under a name; sent twice, it is kept once. Throws `TooMany` when there are as many as may be. */
export async function keepNamed(tx: Tx, clientId: string, named: Omit<NamedPlan, "at">): Promise<void> {
  // two tabs that both find room do not both fill it
  await tx("client").where({ id: clientId }).forUpdate().first("id");
  const there = await namedPlansOf(tx, clientId);
  // targets and the time it was solved are the server's: whoever sends it again has the same sessions
  const told = ({ name, template, settings, plan }: Omit<NamedPlan, "at">) =>
    JSON.parse(JSON.stringify([name, template, settings, plan.sessions])) as unknown;
  const same = there.find(({ id }) => id === named.id);
  if (same) {
    if (isDeepStrictEqual(told(same), told(named))) return;
    throw new Taken("this plan");
  }
  if (there.length >= mostNamed) throw new TooMany();
  const { id, name, template, settings, plan } = named;
  const values = {
    client_id: clientId,
    name,
    template,
    settings: JSON.stringify(settings),
    plan: JSON.stringify(plan),
  };
  await addOnce(tx, "this plan", "named_plan", { id }, values);
}

export const dropNamed = (tx: Tx, clientId: string, id: string): Promise<number> =>
  tx("named_plan").where({ client_id: clientId, id }).del();
