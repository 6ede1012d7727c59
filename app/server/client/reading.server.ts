import type { Client } from "~core/client";
import { evidenceOf, type Evidence, type Known } from "~core/reading/evidence";
import { chosenTargets, inSequence, leastForWork, withPatterns, type Choice } from "~core/reading/pattern-targets";
import { patterns } from "~core/reading/patterns";
import type { NextCheck } from "~core/reading/next-check";
import { nextBest, readBody, type BodyReading } from "~core/reading/reading";
import type { Target } from "~core/reading/target";
import { targetsFrom } from "~core/reading/targets";
import { bonesAfter } from "~core/light-touch/bones";
import { oneEach } from "~core/measure/reading";
import { heardOf } from "./light.server";
import { momentsOfClient } from "./readings.server";
import { PracticeCache } from "~app/server/practice-cache.server";
import { movedOf, tableOf } from "./table.server";
import { choicesOf } from "~data/choices";
import type { Tx } from "~data/database";
import { restrictionsOf } from "~data/findings";
import { currentEntries, historyVersions } from "~data/history";
import { eventsOfVisits } from "~data/session-events";
import { triggerPointsOf } from "~data/trigger-points";
import type { Visit } from "~data/visits";

/** All that is known of a client now, as the reading takes it: of each metric its latest reading. */
export async function knownOf(tx: Tx, client: Client, visits: readonly Visit[]): Promise<Known> {
  const latest = new Map(
    (await momentsOfClient(tx, client.id)).flatMap(({ readings }) =>
      oneEach(readings).map((reading) => [reading.id, reading] as const),
    ),
  );
  const logs = await eventsOfVisits(
    tx,
    visits.map(({ id }) => id),
    "table_event",
    ["bone"],
  );
  return {
    readings: [...latest.values()],
    table: await tableOf(tx, visits),
    moved: await movedOf(tx, visits),
    restrictions: await restrictionsOf(tx, client.id),
    points: await triggerPointsOf(tx, client.id),
    heard: await heardOf(tx, client.id, visits),
    bones: visits.map(({ id, ordinal }) => ({
      visit: ordinal,
      felt: bonesAfter(logs.get(id) ?? []).filter(({ moment }) => moment !== "again"),
    })),
    // what is denied, not settled or somebody else's speaks for nothing
    told: currentEntries(await historyVersions(tx, client.id)).flatMap(({ condition, words, stance = "has" }) =>
      condition && stance === "has" ? [{ condition, words }] : [],
    ),
    words: [client.complaint, ...(client.furtherComplaints ?? []).map(({ words }) => words), client.occupation].join(
      ". ",
    ),
    complaintRegion: client.complaintRegion,
  };
}

const signs = [...new Set(patterns.flatMap(({ shows }) => [...shows.keys()]))];

const kept = new PracticeCache<{ findings: string; body: BodyReading; next: () => NextCheck[] }>(200);

/** What the findings suggest together, what was decided of it, and the targets that follow. */
export type ReadingOfClient = {
  evidence: Evidence[];
  body: BodyReading;
  /** What to look at next; weighed when it is asked for. */
  next: () => NextCheck[];
  choices: Choice[];
  /** Patterns that ask for work: supported well enough, or taken up. */
  working: ReadonlySet<string>;
  targets: (Target & { turned?: true })[];
};

export async function readingOf(tx: Tx, client: Client, visits: readonly Visit[]): Promise<ReadingOfClient> {
  const known = await knownOf(tx, client, visits);
  const choices = await choicesOf(tx, client.id);
  const chosen = (as: "out" | "taken") =>
    new Set(choices.flatMap(({ key, body }) => (body.kind === "pattern" && body.as === as ? [key] : [])));
  const [excluded, taken] = [chosen("out"), chosen("taken")];
  const evidence = evidenceOf(known, signs);
  // weighed anew only where what was found, or ruled out, is another
  const findings = JSON.stringify([[...excluded].sort(), evidence]);
  const { body, next } = await kept.of(
    tx,
    client.id,
    () => {
      let checks: NextCheck[] | undefined;
      return {
        findings,
        body: readBody(evidence, excluded),
        next: () => (checks ??= nextBest(evidence, excluded)),
      };
    },
    (last) => last.findings === findings,
  );
  const working = body.suggestions.filter(({ pattern, support }) => support >= leastForWork || taken.has(pattern.id));
  const found = targetsFrom(known.restrictions, known.readings, known.table, known.moved, known.heard);
  return {
    evidence,
    body,
    next,
    choices,
    working: new Set(working.map(({ pattern }) => pattern.id)),
    targets: inSequence(chosenTargets(withPatterns(found, working), choices), working),
  };
}
