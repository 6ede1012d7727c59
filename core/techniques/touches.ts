import { jointsAt } from "../anatomy/joints";
import { regionsOf, type PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { SafetyTag } from "./safety-tags";
import type { Technique } from "./technique";

export const hasTag = (technique: Technique, tag: SafetyTag): boolean => technique.tags.includes(tag);

const touched = new WeakMap<Technique, readonly PlaceKey[]>();
/** Every place a technique's hands reach, however briefly: what an excluded area is judged by. */
export function placesTouched(technique: Technique): readonly PlaceKey[] {
  const known = touched.get(technique) ?? [...new Set(technique.reach.flatMap(({ places }) => places))];
  touched.set(technique, known);
  return known;
}

/** The regions of these places. */
export const regionsTouched = (technique: Technique): RegionKey[] => regionsOf(placesTouched(technique));

const joints = new WeakMap<Technique, readonly string[]>();
/** The joints a technique moves, every one where it reaches unless named: what a rule about a joint is judged by. */
export function jointsMoved(technique: Technique): readonly string[] {
  const known = joints.get(technique) ?? technique.joints ?? jointsAt(placesTouched(technique));
  joints.set(technique, known);
  return known;
}

/**
 * The lightest pressure a technique can still be done at: two points under its usual, one where it has to reach
 * inner muscle or a joint. Below that it is another technique. Common practice.
 */
export function lightest(technique: Technique): number {
  const inner = technique.layer === "DM" || technique.layer === "AR";
  return technique.layer === "LT" ? 0 : Math.max(0, technique.pressure - (inner ? 1 : 2));
}
