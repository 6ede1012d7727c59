import type { Rhythm } from "../core/series/dates";
import type { WishKey } from "../core/series/wish-keys";
import type { Lock, Plan } from "../core/series/plan";
import { once, type Tx } from "./database";
import { Stale } from "./errors";

/** What the practitioner chose for a series; targets come from the findings when it is solved. */
export type SeriesSettings = Rhythm & {
  bookedMinutes: number;
  thumbBudget: number;
  /** Who gives it: one, or several in turn, by their ids; series of earlier days do not say. */
  by?: string[];
  /** A lower ceiling of pressure than the client's own, of 10. */
  pressureMost?: number;
  /** How much the usual order of patterns weighs, 0–1; series of earlier days have none. */
  order?: number;
  wishes?: WishKey[];
  locks: Lock[];
  /** Which sessions of the template, where that is not one after the other. */
  course?: number[];
};

export type StoredPlan = Plan & {
  /** The targets the plan was solved for, so that its reasons stay those of its day. */
  targets: import("../core/reading/target").Target[];
  solvedAt: string;
};

export type Series = {
  id: string;
  clientId: string;
  template: string;
  settings: SeriesSettings;
  plan: StoredPlan | null;
  version: number;
};

const columns = {
  id: "id",
  clientId: "client_id",
  template: "template",
  settings: "settings",
  plan: "plan",
  version: "version",
} as const;

export const seriesOf = (tx: Tx, clientId: string): Promise<Series | undefined> =>
  once(tx, `series ${clientId}`, () => tx("series").where({ client_id: clientId }).first<Series | undefined>(columns));

/**
 * Saves a client's series. `version` 0 means there was none when the page was loaded; any other must still be the
 * stored one, or somebody else changed it meanwhile.
 */
export async function saveSeries(
  tx: Tx,
  series: {
    id: string;
    clientId: string;
    template: string;
    settings: SeriesSettings;
    plan: StoredPlan | null;
    version: number;
  },
): Promise<void> {
  const values = {
    template: series.template,
    settings: JSON.stringify(series.settings),
    plan: series.plan ? JSON.stringify(series.plan) : null,
  };
  if (series.version === 0) {
    const added = await tx("series")
      .insert({ id: series.id, client_id: series.clientId, ...values })
      .onConflict(["practice_id", "client_id"])
      .ignore()
      .returning("id");
    if (added.length === 0) throw new Stale("series");
    return;
  }
  const changed = await tx("series").where({ client_id: series.clientId, version: series.version }).update(values);
  if (!changed) throw new Stale("series");
}
