import { depthOf } from "../anatomy/layers";
import { hasTag, jointsMoved, lightest, placesTouched, regionsTouched } from "../techniques/touches";
import type { Position, Technique } from "../techniques/technique";
import type { Side } from "../units";
import type { Outcome, Scope } from "./outcome";

const all: readonly Position[] = ["prone", "supine", "side", "seated"];

/** What is left of a technique under a set of cautions. */
export type Verdict = {
  /** Why it is out altogether; undefined when it may be done. */
  no: string | undefined;
  /** Highest pressure it may be done at, 0–10, and what lowered it below its usual. */
  cap: number;
  capBy: string | undefined;
  /** Sides it may be done on; both true for work that has no sides. */
  sides: Record<Side, boolean>;
  sideBy: string | undefined;
  /** Positions it may be done in; empty when any of the session's will do. */
  positions: readonly Position[];
};

/** Whether a caution's scope speaks of a technique at all (its side aside). */
export function reaches(scope: Scope | undefined, technique: Technique): boolean {
  if (!scope) return true;
  if (scope.regions && !regionsTouched(technique).some((region) => scope.regions!.includes(region))) return false;
  if (scope.places && !placesTouched(technique).some((place) => scope.places!.includes(place))) return false;
  if (scope.joints && !jointsMoved(technique).some((joint) => scope.joints!.includes(joint))) return false;
  if (scope.tags && !scope.tags.some((tag) => hasTag(technique, tag))) return false;
  if (scope.fromDepth !== undefined && (technique.layer === "LT" || depthOf(technique.layer) < scope.fromDepth))
    return false;
  return scope.fromPressure === undefined || technique.pressure >= scope.fromPressure;
}

const because = (outcome: Outcome) => `${outcome.title.toLowerCase()}: ${uncapital(outcome.reason)}`;
const uncapital = (text: string) => (text.charAt(0).toLowerCase() + text.slice(1)).replace(/\.$/, "");

/**
 * The strictest of what several cautions say about one technique. Adding a caution never gives more: what is out stays
 * out, caps only fall, sides and positions only go. `cautions` are those that act on the day.
 */
export function verdictOn(technique: Technique, cautions: readonly Outcome[]): Verdict {
  let no: string | undefined;
  let cap = technique.pressure;
  let capBy: string | undefined;
  let sideBy: string | undefined;
  const sides = { L: true, R: true };
  const removed = new Set<Position>();
  let positionBy: string | undefined;
  for (const caution of cautions) {
    const here = reaches(caution.scope, technique);
    if (caution.kind === "refer") no ??= because(caution);
    if (caution.kind === "exclude" && here) {
      const side = caution.scope?.side;
      if (side && technique.sided) {
        sides[side] = false;
        sideBy ??= because(caution);
      } else no ??= because(caution);
    }
    if (caution.pressure !== undefined && here && caution.pressure < cap) {
      cap = caution.pressure;
      capBy = because(caution);
    }
    if (caution.withoutMedia?.includes(technique.medium) && here) no ??= because(caution);
    for (const position of caution.without ?? []) {
      removed.add(position);
      positionBy ??= because(caution);
    }
    // where the time face down is short, work that can be done another way is
    if (
      caution.proneMost !== undefined &&
      (technique.positions.length === 0 || technique.positions.some((position) => position !== "prone"))
    )
      removed.add("prone");
  }
  if (!sides.L && !sides.R) no ??= sideBy;
  if (cap < lightest(technique))
    no ??= `it needs at least ${lightest(technique)} of 10 and ${cap} is allowed${capBy ? ` (${capBy})` : ""}`;
  // rising is done from wherever the client lies
  const own =
    technique.positions.length > 0 || removed.size === 0 || technique.pressure === 0 ? technique.positions : all;
  const positions = own.filter((position) => !removed.has(position));
  if (own.length > 0 && positions.length === 0) no ??= positionBy ?? "no position is left for it";
  return { no, cap, capBy, sides, sideBy, positions };
}

/** Time limits of a set of cautions: the shortest of each, undefined when there is none. */
export function timeLimits(cautions: readonly Outcome[]): { prone: number | undefined; table: number | undefined } {
  const least = (values: (number | undefined)[]) =>
    values.reduce<number | undefined>(
      (min, value) => (value === undefined ? min : Math.min(min ?? value, value)),
      undefined,
    );
  return {
    prone: least(cautions.map((caution) => caution.proneMost)),
    table: least(cautions.map((caution) => caution.tableMost)),
  };
}

/** Positions that no caution removes. */
export const positionsLeft = (cautions: readonly Outcome[]): Position[] =>
  all.filter((position) => !cautions.some((caution) => caution.without?.includes(position)));
