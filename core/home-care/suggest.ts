import { sideWord } from "../words";
import { partsOf, structureOf } from "../anatomy/structures";
import { depthOf } from "../anatomy/layers";
import type { Target } from "../reading/target";
import type { Outcome } from "../screening/outcome";
import { verdictOn } from "../screening/verdict";
import type { Technique } from "../techniques/technique";
import type { Side } from "../units";
import { exercises, type Exercise } from "./exercises";

/** An exercise for a client: which targets it continues, on which side, or why it is out. */
export type HomeCare = {
  exercise: Exercise;
  /** null: on no side or on both. */
  side: Side | null;
  /** Sides that cautions leave. */
  sides: Readonly<Record<Side, boolean>>;
  /** The weightiest first, with the share of the exercise that reaches each (0–1). */
  serves: { target: Target; share: number }[];
  /** Weight of what it continues that the ones before it do not. */
  worth: number;
  /** Why cautions rule it out. */
  no: string | undefined;
};

/** So many a day are kept up. Common practice. */
export const usualMost = 3;
/** What reaches a layer from above does some good below it; from further off, none worth naming. */
const through = 0.4;
/** Shares that have to meet for an exercise to continue a technique. */
const leastCommon = 0.25;
/** A target that one exercise continues already asks for little more. */
const again = 0.3;

/**
 * How much of an exercise reaches a target (0–1): the share that its structures get; through the layer that lies on them
 * in the same places, a part of it, for nobody reaches inner muscle alone.
 */
export function shareFor(exercise: Exercise, target: Target): number {
  const aims = target.structures?.flatMap(partsOf);
  let best = 0;
  for (const { structure, places, share } of exercise.work.reach) {
    const own = structureOf(structure)!;
    if (aims?.includes(structure)) best = Math.max(best, share);
    else if (aims)
      for (const aim of aims) {
        const below = structureOf(aim)!;
        const over = depthOf(below.layer) - depthOf(own.layer);
        if (over > 0 && over <= 2 && below.places.some((place) => places.includes(place)))
          best = Math.max(best, share * through);
      }
    else if (own.region === target.region && own.layer === target.layer) best = Math.max(best, share);
  }
  return best;
}

/**
 * What a client may do at home, what serves most first: each next one counts what is not served yet. Those that serve
 * nothing come after, those that cautions rule out last, with the reason.
 */
export function homeCareFor(targets: readonly Target[], cautions: readonly Outcome[]): HomeCare[] {
  const left = new Map(targets.map(({ id, weight }) => [id, weight]));
  const all = exercises.map((exercise): HomeCare => {
    const { no, sides } = verdictOn(exercise.work, cautions);
    const serves = targets
      .map((target) => ({ target, share: shareFor(exercise, target) }))
      .filter(({ target, share }) => share > 0 && target.weight > 0)
      .sort((a, b) => b.share * b.target.weight - a.share * a.target.weight);
    const ruled = no ?? (exercise.sided && !sides.L && !sides.R ? "neither side may be worked" : undefined);
    return { exercise, side: sideFor(exercise, serves, sides), sides, serves, worth: 0, no: ruled };
  });
  const may = all.filter(({ no }) => no === undefined);
  const ranked: HomeCare[] = [];
  while (may.length > 0) {
    const worth = ({ serves }: HomeCare) =>
      serves.reduce((sum, { target, share }) => sum + share * (left.get(target.id) ?? 0), 0);
    const best = may.reduce((a, b) => (worth(b) > worth(a) + 1e-9 ? b : a));
    may.splice(may.indexOf(best), 1);
    ranked.push({ ...best, worth: worth(best) });
    for (const { target, share } of best.serves) left.set(target.id, left.get(target.id)! * (1 - share * (1 - again)));
  }
  return [...ranked, ...all.filter(({ no }) => no !== undefined)];
}

/** The side that most of what it serves lies on, if one does; what a caution leaves where it leaves one. */
function sideFor(exercise: Exercise, serves: HomeCare["serves"], may: Readonly<Record<Side, boolean>>): Side | null {
  if (!exercise.sided) return null;
  if (may.L !== may.R) return may.L ? "L" : "R";
  const on = (side: Side) =>
    serves.reduce(
      (sum, { target, share }) => sum + (target.side === side || target.side === "both" ? share * target.weight : 0),
      0,
    );
  const [left, right] = [on("L"), on("R")];
  return left > 2 * right ? "L" : right > 2 * left ? "R" : null;
}

/** Why an exercise may not be given on a side (null: on each), as a sentence; undefined when it may. */
export function notOn({ exercise, sides, no }: HomeCare, side: Side | null): string | undefined {
  if (no !== undefined) return `Not for them: ${no}.`;
  if (!exercise.sided) return undefined;
  const barred = (["L", "R"] as const).filter((each) => (side === null || side === each) && !sides[each]);
  return barred.length > 0
    ? `Not on the ${barred.map((each) => sideWord[each]).join(" or ")}: a caution keeps that side out.`
    : undefined;
}

/** Minutes a day of what is given: both sides where it is done on both. */
export const minutesADay = (
  given: readonly { exercise: Exercise; side: Side | null; dose: { times: number; minutes: number } }[],
): number =>
  given.reduce(
    (sum, { exercise, side, dose }) => sum + dose.times * dose.minutes * (exercise.sided && side === null ? 2 : 1),
    0,
  );

/** Exercises that continue a technique: those that reach the same structures, by the share of both, the most first; three at most. */
export function continuedBy({ reach }: Technique): Exercise[] {
  const own = new Map(reach.map(({ structure, share }) => [structure, share]));
  return exercises
    .map((exercise) => ({
      exercise,
      common: exercise.work.reach.reduce((sum, each) => sum + each.share * (own.get(each.structure) ?? 0), 0),
    }))
    .filter(({ common }) => common >= leastCommon)
    .sort((a, b) => b.common - a.common)
    .slice(0, 3)
    .map(({ exercise }) => exercise);
}
