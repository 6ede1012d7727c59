import { techniqueOf } from "../techniques/library";
import type { Technique } from "../techniques/technique";
import { edited } from "./edit";
import { sessionMinutes, type PlanInput, type PlannedSession } from "./plan";
import { tableMinutesIn, timeRange } from "./rulebook";
import { tableTime } from "./table-time";
import { counted, coverageItems, loadCost, scoreOf, totalLoad, worthOf } from "./score";

/** What a minute is worth at one step: points that one more would buy, and that one less would cost; undefined at an end of its range. */
export type StepPrice = { technique: string; more: number | undefined; less: number | undefined };

/** Where the minutes of a session go, by what they serve. */
export type MinutePrices = {
  steps: StepPrice[];
  /** Minutes at the table that nothing uses. */
  free: number;
  /** The step at which one more minute would buy most, and the one at which a minute serves least. */
  dearest: { technique: string; points: number } | undefined;
  cheapest: { technique: string; points: number } | undefined;
};

const freeIn = (input: PlanInput, planned: PlannedSession, session: number): number =>
  tableMinutesIn(session, input) - tableTime(planned).all;

/**
 * What minutes are worth in a session, by the difference of two scores half a minute a side apart: exact there, and less for each
 * further minute, as more work helps less and less. Whether the table has the minute is another question: `free` says so. Only what
 * a step serves is reckoned anew, so that an edit is answered within a frame.
 */
export function minutePrices(input: PlanInput, sessions: readonly PlannedSession[], session: number): MinutePrices {
  const planned = sessions[session]!;
  const items = coverageItems(input)
    .filter((item) => item.session === undefined || item.session === session)
    .map((item) => ({ item, got: counted(item, sessions), share: item.when?.(session) ?? 1 }));
  const steps = planned.steps.map(({ technique: key, minutes }): StepPrice => {
    const technique = techniqueOf(key);
    const doses = items.map(({ item }) => item.dose(technique));
    const sides = (["L", "R", "mid"] as const).flatMap((side) => {
      const given = side in minutes ? (minutes as Record<string, number>)[side]! : 0;
      return given > 0 ? [{ side, given }] : [];
    });
    const price = (by: 1 | -1): number | undefined => {
      const changes = sides.map(({ side, given }) => {
        const { least, most } = timeRange(technique, session, input, side);
        return { side, by: Math.min(most, Math.max(least, given + by / 2)) - given };
      });
      // a side that is at its end already would make a minute look dearer or cheaper than it is
      if (changes.length === 0 || changes.some((each) => Math.abs(each.by) < 0.5 - 1e-9)) return undefined;
      const longer = changes.reduce((sum, each) => sum + each.by, 0);
      let points = -loadCost * totalLoad(technique) * longer;
      items.forEach(({ item, got, share }, i) => {
        const more = share * changes.reduce((sum, each) => sum + doses[i]![each.side] * each.by, 0);
        if (more !== 0) points += item.points * (worthOf((got + more) / item.wanted) - worthOf(got / item.wanted));
      });
      return points / longer;
    };
    return { technique: key, more: price(1), less: price(-1) };
  });
  const of = (pick: (step: StepPrice) => number | undefined, better: (a: number, b: number) => boolean) =>
    steps.reduce<MinutePrices["dearest"]>((best, step) => {
      const points = pick(step);
      return points !== undefined && (!best || better(points, best.points))
        ? { technique: step.technique, points }
        : best;
    }, undefined);
  return {
    steps,
    free: Math.max(0, freeIn(input, planned, session)),
    dearest: of(
      ({ more }) => more,
      (a, b) => a > b,
    ),
    cheapest: of(
      ({ less }) => less,
      (a, b) => a < b,
    ),
  };
}

/** What a technique would bring to a session and what its minutes would take elsewhere in it. */
export type RoomPrice = {
  /** Points gained or lost, all in all; undefined where its minutes cannot be had from shortening others. */
  points: number | undefined;
  /** Steps that give minutes, those that serve least first. */
  from: string[];
  /** The plan that results; other rules may be broken in it. */
  after: PlannedSession[];
};

/** Adds a technique with its usual minutes, and shortens the steps that serve least for it, one after the other, as far as they go. */
export function roomFor(
  input: PlanInput,
  sessions: readonly PlannedSession[],
  session: number,
  technique: Technique,
  { steps }: MinutePrices,
): RoomPrice {
  let after = edited(input, sessions, { kind: "add", technique: technique.key, session });
  const over = () => freeIn(input, after[session]!, session) < -1e-9;
  const from: string[] = [];
  for (const { technique: key, less } of [...steps].sort((a, b) => (a.less ?? 0) - (b.less ?? 0))) {
    if (less === undefined) continue;
    for (let used = sessionMinutes(after[session]!); over(); used = sessionMinutes(after[session]!)) {
      after = edited(input, after, { kind: "time", technique: key, session, by: -1 });
      if (sessionMinutes(after[session]!) >= used) break;
      if (from.at(-1) !== key) from.push(key);
    }
  }
  return { points: over() ? undefined : scoreOf(input, after) - scoreOf(input, sessions), from, after };
}
