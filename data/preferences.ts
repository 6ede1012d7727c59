import { usualPreferences, type Preferences } from "../core/screening/facts";
import type { Tx } from "./database";
import { Stale } from "./errors";

/** What a client wants; version 0 while nothing was said. */
export async function preferencesOf(tx: Tx, clientId: string): Promise<Preferences & { version: number }> {
  const row = await tx("preference")
    .where({ client_id: clientId })
    .first<{ wishes: Preferences; version: number } | undefined>();
  return { ...usualPreferences, ...row?.wishes, version: row?.version ?? 0 };
}

export async function savePreferences(tx: Tx, clientId: string, version: number, wishes: Preferences): Promise<void> {
  const values = { wishes: JSON.stringify(wishes) };
  const changed =
    version === 0
      ? await tx("preference")
          .insert({ client_id: clientId, ...values })
          .onConflict(["practice_id", "client_id"])
          .ignore()
          .returning("client_id")
      : await tx("preference").where({ client_id: clientId, version }).update(values).returning("client_id");
  if (changed.length === 0) throw new Stale("preferences");
}
