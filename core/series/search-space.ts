import { regionKeys } from "../anatomy/regions";
import { stemOf, techniqueOf } from "../techniques/library";
import type { Position, Technique } from "../techniques/technique";
import { solvedRange } from "./arc-minutes";
import { handParts, loadOf } from "../techniques/hand-parts";
import { budgetIn } from "./hands";
import { halves, minutesOf, type PlanInput } from "./plan";
import { complaintNeed, helpsComplaint } from "./complaint";
import {
  candidates,
  coversOf,
  dryAfterOil,
  facing,
  isClosing,
  isGiven,
  isLeftOut,
  isLightBlock,
  isOpening,
  isRising,
  liesIn,
  mostLightBlocks,
  neededCover,
  needsOpened,
  opensRegion,
  positionsIn,
  proneMinutesIn,
  proneOnly,
  regionsWorked,
  repeatsAllowed,
  rulebook,
  strongIn,
  tableMinutesIn,
  verdictIn,
} from "./rulebook";
import { coverageItems, counted, loadCost, positionCostIn, slopePoints, totalLoad } from "./score";
import { sessionsOf } from "./course";
import { leftMore, unevenCost } from "./wishes";

/** The plan's input turned into numbers that are quick to search: times in half minutes, regions and positions in bits. */
export type SearchSpace = {
  /** Sessions from this one on are to be planned. */
  from: number;
  rooms: readonly Room[];
  items: readonly Item[];
  /** How often each technique may still be used, by its number among those that are offered anywhere. */
  usesLeft: Int16Array;
  /** Half minutes of outer work per region in sessions already done. */
  openedBefore: Int32Array;
  /** Regions worked strongly in the last session done, as bits. */
  strongBefore: number;
  /** Half minutes by which front and back may differ over two sessions. */
  band: number;
  /** Points for each half minute by which left and right differ, and by how much the left had more before. */
  uneven: number;
  leftBefore: number;
};

/** What one session offers and what it may hold. */
export type Room = {
  session: number;
  choices: readonly Choice[];
  indexOf: ReadonlyMap<string, number>;
  /** Sets of positions the session may use, the ones that cost least first. */
  stances: readonly Stance[];
  time: number;
  /** What each of `handParts` may take; Infinity where there is no limit. */
  hands: Float64Array;
  prone: number;
  lightBlocks: number;
  /** For each asked-for preparation: the choices of which one has to be there. */
  covers: readonly Int32Array[];
};

export type Kind = "opening" | "middle" | "closing" | "rising";

/** One technique in one session. */
export type Choice = {
  technique: Technique;
  /** The technique's number among those that are offered anywhere: the same in every session. */
  id: number;
  kind: Kind;
  light: boolean;
  locked: boolean;
  /** Sides it is timed on: left, right or both; or the whole. */
  sides: readonly ("L" | "R" | "mid")[];
  /** Half minutes on each of its sides. */
  least: readonly number[];
  most: readonly number[];
  /** Bits of the positions it may be done in; 0 when any will do. */
  positions: number;
  /** Per half minute. */
  load: number;
  /** On each of `handParts`, and which of them it tires at all. */
  hands: Float64Array;
  tires: readonly number[];
  prone: number;
  front: number;
  /** Coverage items it adds to, and by how much per half minute on each of its sides. */
  items: Int32Array;
  doses: readonly Float64Array[];
  /** Preparations it asks for (rows of `Room.covers`), and those it gives. */
  needs: Int32Array;
  gives: Int32Array;
  /** Regions as bits: worked strongly, gone into deep, opened by outer work. */
  strong: number;
  deep: number;
  outer: number;
  /** Choices that cannot stand beside it in any order. */
  against: Int32Array;
};

export type Stance = { bits: number; positions: readonly Position[]; turns: number; cost: number };

/** A thing minutes are given to, worth less in each third; `start` is what sessions already done gave. */
export type Item = {
  third: number;
  /** Points per useful half minute in each third. */
  first: number;
  second: number;
  last: number;
  start: number;
  complaint: boolean;
};

const positionBits: readonly Position[] = ["prone", "supine", "side", "seated"];

/** Points for each half minute that the complaint's own region lacks: more than any other use of the time is worth. */
const complaintWorth = 3;

const bits = (test: (region: (typeof regionKeys)[number]) => boolean): number =>
  regionKeys.reduce((mask, region, i) => (test(region) ? mask | (1 << i) : mask), 0);

/** Places in a list of what passes a test. */
function where<T>(list: readonly T[], test: (each: T) => boolean): number[] {
  const found: number[] = [];
  for (let i = 0; i < list.length; i++) if (test(list[i]!)) found.push(i);
  return found;
}

export function searchSpace(input: PlanInput): SearchSpace {
  const sessions = sessionsOf(input);
  const from = input.done.length;
  const coverage = coverageItems(input);
  const items: Item[] = coverage.map((item) => {
    const [first, second, last] = slopePoints(item);
    const third = item.wanted / 3;
    return { third, first: first!, second: second!, last: last!, start: counted(item, input.done), complaint: false };
  });
  const used = new Map<string, number>();
  // worked minutes are no half minutes: they are added up before they are cut to any
  const openedMinutes = new Float64Array(regionKeys.length);
  for (const step of input.done.flatMap((session) => session.steps)) {
    used.set(stemOf(step.technique), (used.get(stemOf(step.technique)) ?? 0) + 1);
    regionKeys.forEach((region, r) => {
      if (opensRegion(techniqueOf(step.technique), region)) openedMinutes[r]! += minutesOf(step.minutes);
    });
  }
  const ids = new Map<string, number>();
  const usesLeft: number[] = [];
  const rooms = sessions.slice(from).map((_, i): Room => {
    const session = from + i;
    const kept = new Set(
      input.locks.filter((lock) => lock.session === session && lock.kind === "keep").map((lock) => lock.technique),
    );
    const techniques = candidates(input, session).filter((technique) => !isLeftOut(technique, session, input));
    // the complaint's own region is one more item to be covered, in this session only
    const need = halves(complaintNeed(session, input));
    let complaint = -1;
    if (need > 0) {
      complaint = items.length;
      items.push({ third: need, first: complaintWorth, second: 0, last: 0, start: 0, complaint: true });
    }
    const numberOf = new Map(techniques.map((technique, c) => [technique, c]));
    const covers: number[][] = [];
    const needs = techniques.map((technique) =>
      neededCover(technique) === 0
        ? []
        : regionsWorked(technique).map((region) => {
            const group = coversOf(technique, region, input).flatMap((cover) => numberOf.get(cover) ?? []);
            return covers.push(group) - 1;
          }),
    );
    const gives = techniques.map((): number[] => []);
    covers.forEach((group, g) => group.forEach((c) => gives[c]!.push(g)));
    const choices = techniques.map((technique, c): Choice => {
      const verdict = verdictIn(technique, session, input);
      const sides = technique.sided ? (["L", "R"] as const).filter((side) => verdict.sides[side]) : ["mid" as const];
      const own: number[] = [];
      const doses: number[][] = sides.map(() => []);
      coverage.forEach((item, n) => {
        if (item.session !== undefined && item.session !== session) return;
        const dose = item.dose(technique);
        if (!sides.some((side) => dose[side] > 0)) return;
        own.push(n);
        const share = item.when?.(session) ?? 1;
        sides.forEach((side, k) => doses[k]!.push((share * dose[side]) / 2));
      });
      if (complaint >= 0 && helpsComplaint(technique, input)) {
        own.push(complaint);
        sides.forEach((_, k) => doses[k]!.push(1));
      }
      const facingSide = facing(technique);
      const ranges = sides.map((side) => solvedRange(technique, session, input, side));
      const id = ids.get(technique.stem) ?? ids.size;
      ids.set(technique.stem, id);
      usesLeft[id] = Math.max(0, repeatsAllowed(technique, sessions.length) - (used.get(technique.stem) ?? 0));
      return {
        technique,
        id,
        kind: isOpening(technique)
          ? "opening"
          : isRising(technique)
            ? "rising"
            : isClosing(technique)
              ? "closing"
              : "middle",
        light: isLightBlock(technique),
        locked: kept.has(technique.key) || isGiven(technique, session, input),
        sides,
        least: ranges.map(({ least }) => halves(least)),
        most: ranges.map(({ most }) => halves(most)),
        positions: verdict.positions.reduce((mask, position) => mask | (1 << positionBits.indexOf(position)), 0),
        load: (loadCost * totalLoad(technique)) / 2,
        hands: Float64Array.from(handParts, (part) => loadOf(technique, part) / 2),
        tires: where(handParts, (part) => loadOf(technique, part) > 0),
        prone: proneOnly(technique, session, input) && !isRising(technique) ? 0.5 : 0,
        front: facingSide === "front" ? 1 : facingSide === "back" ? -1 : 0,
        items: Int32Array.from(own),
        doses: doses.map((each) => Float64Array.from(each)),
        needs: Int32Array.from(needs[c]!),
        gives: Int32Array.from(gives[c]!),
        strong: bits((region) => strongIn(technique, region)),
        deep: needsOpened(technique) ? bits((region) => regionsWorked(technique).includes(region)) : 0,
        outer: bits((region) => opensRegion(technique, region)),
        against: Int32Array.from(
          where(techniques, (other) => dryAfterOil(technique, other) || dryAfterOil(other, technique)),
        ),
      };
    });
    return {
      session,
      choices,
      indexOf: new Map(choices.map(({ technique }, c) => [technique.key, c])),
      stances: stancesOf(positionsIn(session, input), positionCostIn(input)),
      time: Math.floor(2 * tableMinutesIn(session, input) + 1e-9),
      hands: Float64Array.from(handParts, (part) => budgetIn(part, session, input)),
      prone: proneMinutesIn(session, input),
      lightBlocks: mostLightBlocks(session, input),
      covers: covers.map((group) => Int32Array.from(group)),
    };
  });
  const last = input.done.at(-1);
  return {
    from,
    rooms,
    items,
    usesLeft: Int16Array.from(usesLeft),
    openedBefore: Int32Array.from(openedMinutes, halves),
    strongBefore: bits((region) => last?.steps.some((step) => strongIn(techniqueOf(step.technique), region)) ?? false),
    uneven: unevenCost(input) / 2,
    leftBefore: 2 * leftMore(input.done),
    band: 2 * rulebook.frontBack * 2 * input.tableMinutes,
  };
}

/** Every checkPlan set of positions, least turning first: the first that serves all steps is the best for them. */
function stancesOf(allowed: readonly Position[], positionCost: number): Stance[] {
  const stances: (Stance & { lies: number })[] = [];
  for (let mask = 1; mask < 1 << positionBits.length; mask++) {
    const positions = positionBits.filter((_, i) => mask & (1 << i));
    if (positions.length > rulebook.mostPositions || positions.some((position) => !allowed.includes(position)))
      continue;
    const lies = positions.reduce((sum, position) => sum + liesIn(position), 0);
    stances.push({
      bits: mask,
      positions,
      lies,
      turns: halves(rulebook.turn * (lies - 1)),
      cost: positionCost * positions.length,
    });
  }
  return stances.sort((a, b) => a.lies - b.lies || a.cost - b.cost);
}
