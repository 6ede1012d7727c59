import { falseDiscovery } from "../statistics/false-discovery";
import { differing, pooledDof, verdictOf, verdicts, type Difference, type Verdict } from "../statistics/verdict";
import type { Reading } from "./reading";

/** One metric of both body sides: how far the left differs from the right (left minus right), and whether it can be told. */
export type SideDifference = Difference & { left: Reading; right: Reading; verdict: Verdict };

/**
 * Every metric that was taken of both sides by the same method at one moment: knees, feet, blades and heels from one
 * picture, side views from two. Two pictures are two standings, whose difference is in the error; in one picture both sides
 * stand as they stand. Judged together; clear ones first. The two sides' errors are taken as independent, which is cautious
 * for two sides of one picture.
 */
export function leftRight(readings: readonly Reading[]): SideDifference[] {
  const viewOf = ({ id }: Reading) => id.split(".").at(-1);
  const kindOf = ({ id }: Reading) => id.replace(/\.[LR]\b/, "").replace(/\.(left|right)$/, "");
  const pairs = readings
    .filter(({ side, copied }) => side === "L" && !copied)
    .flatMap((left) => {
      const right = readings.find(
        (other) =>
          other.side === "R" && !other.copied && other.method === left.method && kindOf(other) === kindOf(left),
      );
      if (!right) return [];
      const [a, b] = [left, right].map((reading) => {
        // what of the error is depth stays, and differs from side to side
        const lasting = Math.max(0, reading.se ** 2 - reading.seRepeat ** 2);
        const one = viewOf(left) === viewOf(right) ? reading.seRepeat : reading.seStanding;
        return { se: Math.sqrt(one ** 2 + lasting), dof: reading.dof };
      });
      return [{ left, right, ...differing(left.value - right.value, Math.hypot(a!.se, b!.se), pooledDof([a!, b!])) }];
    });
  const qs = falseDiscovery(pairs.map(({ p }) => p));
  return pairs
    .map((pair, i): SideDifference => ({ ...pair, verdict: verdictOf(pair.p, qs[i]!) }))
    .sort((a, b) => verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) || a.p - b.p);
}
