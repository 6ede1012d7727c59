import { smallestRealChange } from "../statistics/mdc";
import type { Reading } from "./reading";

/** One metric of both body sides: how far the left differs from the right, and whether that can be told. */
export type SideDifference = {
  left: Reading;
  right: Reading;
  /** Left minus right, in the readings' unit. */
  difference: number;
  /** Smallest difference that can be told from the errors of both (95 %). */
  smallestReal: number;
  verdict: "real" | "unclear";
};

/**
 * Every metric that was taken of both sides by the same method at one moment: knees, feet, blades and heels from one
 * picture, side views from two. Real ones first, then by how clearly they differ. The two sides' errors are taken as
 * independent, which is cautious for two sides of one picture.
 */
export function leftRight(readings: readonly Reading[]): SideDifference[] {
  const kindOf = ({ id }: Reading) => id.replace(/\.[LR]\b/, "").replace(/\.(left|right)$/, "");
  return readings
    .filter(({ side }) => side === "L")
    .flatMap((left): SideDifference[] => {
      const right = readings.find(
        (other) => other.side === "R" && other.method === left.method && kindOf(other) === kindOf(left),
      );
      if (!right) return [];
      const difference = left.value - right.value;
      const smallestReal = smallestRealChange(left.se, right.se);
      const verdict = Math.abs(difference) > smallestReal ? "real" : "unclear";
      return [{ left, right, difference, smallestReal, verdict }];
    })
    .sort(
      (a, b) =>
        Number(b.verdict === "real") - Number(a.verdict === "real") ||
        Math.abs(b.difference) / b.smallestReal - Math.abs(a.difference) / a.smallestReal,
    );
}
