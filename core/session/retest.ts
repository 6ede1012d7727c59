import { structureOf } from "../anatomy/structures";
import { movements, type Movement } from "../move/movements";
import type { Technique } from "../techniques/technique";

/** Ranges that speak of less than this share of a technique's work are not worth a second look for it. */
const leastShare = 0.3;

/**
 * Ranges to take again after a technique, what speaks of most of its work first: those of joints that its structures move, or at
 * half the weight those of the places it works in. None for light touch, which is listened to again.
 */
export function retestsOf({ reach, layer }: Technique): Movement[] {
  if (layer === "LT") return [];
  const sharesOf = (movement: Movement): number[] =>
    reach.map(({ structure, places, share }) => {
      const own = structureOf(structure)!;
      const moves = "moves" in own && own.moves.some(({ joint }) => movement.joints.includes(joint));
      if (moves || movement.joints.includes(structure)) return share;
      return places.some((place) => movement.places.includes(place)) ? share / 2 : 0;
    });
  return movements
    .map((movement) => ({ movement, shares: sharesOf(movement) }))
    .filter(({ shares }) => Math.max(0, ...shares) >= leastShare)
    .map(({ movement, shares }) => ({ movement, all: shares.reduce((sum, share) => sum + share, 0) }))
    .sort((a, b) => b.all - a.all)
    .slice(0, 3)
    .map(({ movement }) => movement);
}
