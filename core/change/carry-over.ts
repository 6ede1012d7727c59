import { differ, sameIn, type Unjudged } from "./compare";
import { pairsOf } from "./judge";
import type { MomentReadings } from "./moments";
import type { Reading } from "../measure/reading";

/**
 * Share of a visit's change that was still there when the next one began, from all metrics together: 0 nothing, 1 all of it,
 * above 1 more than the visit had brought. `told` is false when the interval is wider than 60 points: then nothing should
 * be said but that.
 */
export type Kept = { share: number; low: number; high: number; told: boolean };

/** One metric of the three moments: before, after, and before the next visit, with standard errors of each standing. */
export type Triple = { before: number; after: number; next: number; seBefore: number; seAfter: number; seNext: number };

const [lowest, highest] = [-1, 2];
const widest = 0.6;
/** 95 % point of chi-square with one degree of freedom (any table). */
const chiSquare1 = 3.84;
/**
 * How much less the metrics of one body say together than as many independent ones would: they share the way one stands.
 * Found by simulation (bench/results/honest.md).
 */
export const sharedBy = 4;

/** Q(κ): how badly a kept share fits, in squared standard errors. */
export const misfit = (triples: readonly Triple[], share: number): number =>
  triples.reduce((sum, { before, after, next, seBefore, seAfter, seNext }) => {
    const off = next - before - share * (after - before);
    return sum + off ** 2 / (seNext ** 2 + (share * seAfter) ** 2 + ((1 - share) * seBefore) ** 2);
  }, 0);

/**
 * Estimates the kept share κ from all metrics: minimises Q(κ) = Σ (n − κd)² / (σ²_n + κ²σ²_a + (1 − κ)²σ²_b), where d is what
 * the visit changed, n what was left of it at the next one, and σ_b, σ_a, σ_n the errors before, after and before the next;
 * n − κd = e_n − κe_a − (1 − κ)e_b. The interval holds every κ with Q − Q_min ≤ 3.84 · `sharedBy`, within −1 to 2.
 * Undefined without metrics.
 */
export function keptShare(triples: readonly Triple[], shared = sharedBy): Kept | undefined {
  if (triples.length === 0) return undefined;
  const steps = 600;
  const grid = Array.from({ length: steps + 1 }, (_, i) => lowest + ((highest - lowest) * i) / steps);
  const misfits = grid.map((share) => misfit(triples, share));
  const least = Math.min(...misfits);
  const within = grid.filter((_, i) => misfits[i]! - least <= chiSquare1 * shared);
  const [low, high] = [within[0]!, within.at(-1)!];
  return { share: grid[misfits.indexOf(least)]!, low, high, told: high - low <= widest };
}

/** The kept share of visit `ordinal`; undefined when one of its three moments was not measured. */
export function keptBetween(moments: readonly MomentReadings[], ordinal: number): Kept | undefined {
  const at = (visit: number, moment: "before" | "after") =>
    moments.find((each) => each.ordinal === visit && each.moment === moment)?.readings ?? [];
  const [before, after, next] = [at(ordinal, "before"), at(ordinal, "after"), at(ordinal + 1, "before")];
  return keptShare(triplesOf(before, after, next));
}

/** What of three moments was taken of the same metrics by the same methods and can be judged. */
export function triplesOf(before: readonly Reading[], after: readonly Reading[], next: readonly Reading[]): Triple[] {
  const through = before.filter((reading) => sameIn(after, reading) && sameIn(next, reading));
  return pairsOf(through, after).flatMap((pair): Triple[] => {
    const later = pair.unjudged === undefined ? valueLater(pair, next) : undefined;
    if (!later) return [];
    const { first, second } = pair;
    return [
      {
        before: first.value,
        after: second.value,
        next: later.value,
        seBefore: first.seStanding,
        seAfter: second.seStanding,
        seNext: later.se,
      },
    ];
  });
}

/** A pair's metric at the later moment, its views brought together with the same weights. */
function valueLater(pair: Unjudged, later: readonly Reading[]): { value: number; se: number } | undefined {
  const parts = (pair.parts ?? [pair]) as readonly Unjudged[];
  const found = parts.map(({ first }) => sameIn(later, first));
  if (found.some((reading) => !reading || reading.copied)) return undefined;
  const weights = parts.map(({ se }) => 1 / se ** 2);
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const value = found.reduce((sum, reading, i) => sum + (weights[i]! / total) * reading!.value, 0);
  const se = Math.sqrt(found.reduce((sum, reading, i) => sum + ((weights[i]! / total) * reading!.seStanding) ** 2, 0));
  // another marker sees otherwise than the one before
  const disagree = Math.max(...parts.map(({ first }, i) => disagreement(first, found[i]!)));
  return { value, se: Math.hypot(se, disagree) };
}

const disagreement = (one: Reading, other: Reading): number =>
  Math.sqrt(Math.max(0, differ(one, other).se ** 2 - one.seStanding ** 2 - other.seStanding ** 2));

const percent = (share: number) => Math.round(share * 100);

/** "55–90 %" */
export const keptRange = ({ low, high }: Kept): string => `${percent(low)}–${percent(high)} %`;

/** "55 to 90 % of the last visit’s change was kept", or that it cannot be told. */
export function keptWords(kept: Kept): string {
  if (!kept.told) return "How much of the last visit’s change was kept cannot be told.";
  return `About ${percent(kept.share)} % of the last visit’s change was kept until this one (${percent(kept.low)} to ${percent(kept.high)} %).`;
}
