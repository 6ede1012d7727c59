import { drawnAgain } from "~core/repeatability/lay-figures";
import { lookedAgain, roundsOf, type LookedAgain, type LookRepeat } from "~core/repeatability/table-rounds";
import { bonesAfter } from "~core/light-touch/bones";
import type { OwnHands } from "~core/light-touch/own-hands";
import { feltAgain, handRounds, type FeltAgain, type HandRounds } from "~core/repeatability/hand-rounds";
import { answersAfter } from "~core/table/answers";
import type { OwnLooks } from "~core/table/own-looks";
import type { Tx } from "~data/database";
import { layLooks, listenedAgain, logsLookedAgain } from "~data/looks";
import { sharedStamp } from "~data/stamps";
import { PracticeCache } from "~app/server/practice-cache.server";

/** What every practitioner's second looks found, at clients and at drawings, by practitioner. */
type Looked = Record<string, { looks: LookRepeat[]; own: OwnLooks; hands: HandRounds }>;

const kept = new PracticeCache<{ stamp: string; looked: Looked }>(50);

/** Everybody's looks in this practice; computed anew only when what the practice shares has changed. */
export async function lookedBy(tx: Tx): Promise<Looked> {
  const stamp = await sharedStamp(tx);
  const made = async () => ({ stamp, looked: await lookedAnew(tx) });
  return (await kept.of(tx, "looked", made, (known) => known.stamp === stamp)).looked;
}

async function lookedAnew(tx: Tx): Promise<Looked> {
  const people = new Map<string, Record<"clients" | "drawings", LookedAgain[]> & { hands: FeltAgain[] }>();
  const of = (who: string) => {
    const own = people.get(who) ?? { clients: [], drawings: [], hands: [] };
    people.set(who, own);
    return own;
  };
  for (const log of await logsLookedAgain(tx)) {
    for (const pair of lookedAgain(answersAfter(log))) if (pair.by) of(pair.by).clients.push(pair);
    const bones = bonesAfter(log);
    for (const who of new Set(bones.flatMap(({ by }) => by ?? [])))
      of(who).hands.push(
        feltAgain(
          {},
          {},
          bones.filter(({ by }) => by === who),
        ),
      );
  }
  // two rounds of different hands say nothing of either
  for (const { first, second } of await listenedAgain(tx))
    if (first.by && first.by === second.by) of(first.by).hands.push(feltAgain(first.stations, second.stations, []));
  for (const { practitionerId, studyId, grades } of await layLooks(tx))
    of(practitionerId).drawings.push(...drawnAgain(studyId, grades));
  return Object.fromEntries(
    [...people].map(
      ([who, { clients, drawings, hands }]) =>
        [who, { ...roundsOf(clients, drawings), hands: handRounds(hands) }] as const,
    ),
  );
}

/** The errors alone, as the table needs them. */
export async function ownLooks(tx: Tx): Promise<Record<string, OwnLooks>> {
  return Object.fromEntries(Object.entries(await lookedBy(tx)).map(([who, { own }]) => [who, own]));
}

/** What is known of everybody's hands in light touch. */
export async function ownHands(tx: Tx): Promise<Record<string, OwnHands>> {
  return Object.fromEntries(Object.entries(await lookedBy(tx)).map(([who, { hands }]) => [who, hands.own]));
}
