import { depthOf } from "../anatomy/layers";
import type { PlaceKey } from "../anatomy/places";
import { regionKeys, type RegionKey } from "../anatomy/regions";
import { partsOf, structureOf, structures } from "../anatomy/structures";
import { techniqueOf } from "../techniques/library";
import type { Technique } from "../techniques/technique";
import type { Target } from "../reading/target";
import type { PlanInput, PlannedSession, Step } from "./plan";
import { workingDepth } from "./rulebook";
import { sessionsOf } from "./course";
import { leftMore, turnsFactor, unevenCost, wishItems } from "./wishes";

/** Share of the score that follows the client's targets; the rest follows the template's arc. */
const targetShare = 0.6;

/** Marginal worth of the first, second and last third of the minutes wanted: more work helps less and less. */
export const slopes = [1, 0.6, 0.3] as const;
const fullWorth = slopes.reduce((sum, slope) => sum + slope / slopes.length, 0);

/** A thing minutes are given to: a target over the series, or a territory of one session. */
export type CoverageItem = {
  id: string;
  /** Points for full coverage; all items together make 100. */
  points: number;
  wanted: number;
  /** Only minutes of this session count; undefined for all. */
  session: number | undefined;
  /** Useful share of a minute on each side. */
  dose: (technique: Technique) => { L: number; R: number; mid: number };
  /** What a useful minute counts in a session, where the order of patterns would have it earlier or later; undefined: 1 in all. */
  when?: ((session: number) => number) | undefined;
};

const positionCost = 0.25;
/** What each position that a session goes through costs, in points. */
export const positionCostIn = (input: PlanInput): number => positionCost * turnsFactor(input);
export const loadCost = 0.004;

/** What a target is made of: its structures, and every place they lie in. */
type Aimed = { structures: ReadonlySet<string>; places: ReadonlySet<PlaceKey>; depth: number };
const aimed = new WeakMap<Target, Aimed>();
function aimedAt(target: Target): Aimed {
  const known = aimed.get(target);
  if (known) return known;
  const keys =
    target.structures?.flatMap(partsOf) ??
    structures.filter(({ region, layer }) => region === target.region && layer === target.layer).map(({ key }) => key);
  const made = {
    structures: new Set(keys),
    places: new Set(keys.flatMap((key) => structureOf(key)!.places)),
    depth: depthOf(target.layer),
  };
  aimed.set(target, made);
  return made;
}

/** What work in the same place is worth to a target when it reaches something else there, by how many layers apart. */
const beside = [0.5, 0.35, 0.1, 0.1, 0.1] as const;

/** Useful share of a minute: of what reaches the target's structure itself, or less of what reaches its place. */
function targetDose(target: Target, technique: Technique): { L: number; R: number; mid: number } {
  const { structures: own, places, depth } = aimedAt(target);
  let share = 0;
  for (const reach of technique.reach) {
    if (own.has(reach.structure)) share = Math.max(share, reach.share);
    else if (reach.places.some((place) => places.has(place))) {
      const apart = Math.abs(depthOf(structureOf(reach.structure)!.layer) - depth);
      share = Math.max(share, reach.share * beside[apart]!);
    }
  }
  if (target.side === "both") return { L: share, R: share, mid: share };
  return { L: target.side === "L" ? share : 0, R: target.side === "R" ? share : 0, mid: share / 2 };
}

/**
 * What a minute counts that serves a target in a session: all of it at the end of the series where the target's order has its
 * place, less by the input's share at the other end. What orders put at both ends is left alone.
 */
function whenOf(target: Target, input: PlanInput, sessions: number): ((session: number) => number) | undefined {
  const ends = new Set(target.sequence?.map(({ when }) => when));
  const { order = 0 } = input;
  if (order === 0 || ends.size !== 1 || sessions < 2) return undefined;
  const first = ends.has("first");
  return (session) => 1 - order * (first ? session / (sessions - 1) : 1 - session / (sessions - 1));
}

/** An item is asked for the same technique in every session and every step. */
function remembered(dose: CoverageItem["dose"]): CoverageItem["dose"] {
  const known = new Map<Technique, ReturnType<CoverageItem["dose"]>>();
  return (technique) => {
    const found = known.get(technique) ?? dose(technique);
    known.set(technique, found);
    return found;
  };
}

export function coverageItems(input: PlanInput): CoverageItem[] {
  const sessions = sessionsOf(input);
  const items: CoverageItem[] = wishItems(input, sessions.length);
  // what wishes are worth is taken from all else: together it stays 100
  const rest = 100 - items.reduce((sum, { points }) => sum + points, 0);
  const weights = input.targets.reduce((sum, target) => sum + target.weight, 0);
  const share = weights > 0 ? targetShare : 0;
  for (const target of input.targets)
    items.push({
      id: `target ${target.id}`,
      points: (rest * share * target.weight) / weights,
      wanted: target.wanted,
      session: undefined,
      dose: remembered((technique) => targetDose(target, technique)),
      when: whenOf(target, input, sessions.length),
    });
  sessions.forEach((session, index) => {
    const emphasis = Object.values(session.territory).reduce((sum, value) => sum + value, 0);
    for (const [region, value] of Object.entries(session.territory) as [RegionKey, number][])
      items.push({
        id: `territory ${index} ${region}`,
        points: (rest * (1 - share) * value) / emphasis / sessions.length,
        wanted: (value / emphasis) * 0.75 * input.tableMinutes,
        session: index,
        dose: remembered((technique) => {
          const reach = Math.min(
            1,
            technique.doses.filter((dose) => dose.region === region).reduce((sum, dose) => sum + dose.share, 0),
          );
          // work at the depth the session is for counts fully, lighter work for less
          const depth = 0.7 + 0.3 * Math.min(1, workingDepth(technique) / depthOf(session.ceiling));
          const worth = reach * depth;
          return { L: worth, R: worth, mid: worth };
        }),
      });
  });
  return items.filter((item) => item.points > 0 && item.wanted > 0);
}

/** Worth of covering a share of what is wanted: 0 at 0, 1 from 1 on, concave between. */
export function worthOf(share: number): number {
  const part = 1 / slopes.length;
  return slopes.reduce((sum, slope, i) => sum + slope * Math.max(0, Math.min(part, share - i * part)), 0) / fullWorth;
}

/** Points per useful minute in each third of an item, for the model. */
export const slopePoints = (item: CoverageItem): number[] =>
  slopes.map((slope) => (item.points * slope) / fullWorth / item.wanted);

export const doseOfStep = (step: Step, item: CoverageItem): number => {
  const dose = item.dose(techniqueOf(step.technique));
  return "mid" in step.minutes ? dose.mid * step.minutes.mid : dose.L * step.minutes.L + dose.R * step.minutes.R;
};

/** Useful minutes as they count: by their session, where the order of patterns speaks of the item. */
export function counted(item: CoverageItem, sessions: readonly PlannedSession[]): number {
  if (!item.when) return delivered(item, sessions);
  return sessions.reduce(
    (sum, { steps }, s) => sum + item.when!(s) * steps.reduce((own, step) => own + doseOfStep(step, item), 0),
    0,
  );
}

/** Useful minutes as they are given. */
export function delivered(item: CoverageItem, sessions: readonly PlannedSession[]): number {
  let sum = 0;
  sessions.forEach((session, index) => {
    if (item.session !== undefined && item.session !== index) return;
    for (const step of session.steps) sum += doseOfStep(step, item);
  });
  return sum;
}

export const totalLoad = (technique: Technique): number =>
  Object.values(technique.load).reduce((sum, load) => sum + load, 0);

/** Strain on one part of the practitioner in a session: load × minutes. */
export const strain = (session: PlannedSession, part: keyof Technique["load"]): number =>
  session.steps.reduce((sum, step) => {
    const load = techniqueOf(step.technique).load[part] ?? 0;
    return sum + load * ("mid" in step.minutes ? step.minutes.mid : step.minutes.L + step.minutes.R);
  }, 0);

/** The positions a session goes through, in first use; steps in any position follow the one before. */
export function positionsUsed(session: PlannedSession): string[] {
  return [...new Set(session.steps.map((step) => step.position).filter((position) => position !== null))];
}

/** A plan's score in points of 100: coverage less the cost of turning the client, of tired hands, and of uneven sides where they are wished even. */
export function scoreOf(input: PlanInput, sessions: readonly PlannedSession[]): number {
  let score = 0;
  for (const item of coverageItems(input)) score += item.points * worthOf(counted(item, sessions) / item.wanted);
  score -= unevenCost(input) * Math.abs(leftMore(sessions));
  sessions.forEach((session, index) => {
    if (index < input.done.length) return;
    score -= positionCostIn(input) * positionsUsed(session).length;
    for (const step of session.steps) {
      const minutes = "mid" in step.minutes ? step.minutes.mid : step.minutes.L + step.minutes.R;
      score -= loadCost * totalLoad(techniqueOf(step.technique)) * minutes;
    }
  });
  return score;
}

/** Minutes a session gives to each region and layer, by the shares of its techniques. */
export function minutesByPlace(session: PlannedSession): Map<RegionKey, number[]> {
  const places = new Map<RegionKey, number[]>(regionKeys.map((region) => [region, [0, 0, 0, 0, 0]]));
  for (const step of session.steps) {
    const minutes = "mid" in step.minutes ? step.minutes.mid : step.minutes.L + step.minutes.R;
    const technique = techniqueOf(step.technique);
    // gentle joint movement and light touch do not go as deep as what they reach
    const deepest = Math.max(1, workingDepth(technique));
    for (const dose of technique.doses)
      places.get(dose.region)![Math.min(depthOf(dose.layer), deepest) - 1]! += dose.share * minutes;
  }
  return places;
}
