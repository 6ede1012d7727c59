import { drawnAgain } from "~core/repeatability/lay-figures";
import { lookedAgain, roundsOf, type LookedAgain, type LookRepeat } from "~core/repeatability/table-rounds";
import { answersAfter } from "~core/table/answers";
import type { OwnLooks } from "~core/table/own-looks";
import type { Tx } from "~data/database";
import { layLooks, logsLookedAgain, looksKey } from "~data/looks";
import { PracticeCache } from "./practice-cache.server";

/** What every practitioner's second looks found, at clients and at drawings, by practitioner. */
type Looked = Record<string, { looks: LookRepeat[]; own: OwnLooks }>;

const kept = new PracticeCache<Looked>(50);

/** Everybody's looks in this practice; computed anew only when what they rest on has changed. */
export async function lookedBy(tx: Tx): Promise<Looked> {
  const key = await looksKey(tx);
  if (key === "") return {};
  return kept.of(tx, key, async () => {
    const people = new Map<string, Record<"clients" | "drawings", LookedAgain[]>>();
    const of = (who: string) => {
      const own = people.get(who) ?? { clients: [], drawings: [] };
      people.set(who, own);
      return own;
    };
    for (const log of await logsLookedAgain(tx))
      for (const pair of lookedAgain(answersAfter(log))) if (pair.by) of(pair.by).clients.push(pair);
    for (const { practitionerId, studyId, grades } of await layLooks(tx))
      of(practitionerId).drawings.push(...drawnAgain(studyId, grades));
    return Object.fromEntries(
      [...people].map(([who, { clients, drawings }]) => [who, roundsOf(clients, drawings)] as const),
    );
  });
}

/** The errors alone, as the table needs them. */
export async function ownLooks(tx: Tx): Promise<Record<string, OwnLooks>> {
  return Object.fromEntries(Object.entries(await lookedBy(tx)).map(([who, { own }]) => [who, own]));
}
