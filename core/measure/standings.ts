import type { Reading } from "./reading";
import { modelDof } from "../statistics/pooled-ratio";
import { differs } from "./standing-error";

/**
 * Standings that can be averaged: a body stands, steps off and stands again, up to three times in the same minutes before
 * the same camera.
 */
export const mostStandings = 3;

/** What of a reading's variance differs from standing to standing, and what stays. */
function split(reading: Reading): { own: number; stays: number } {
  const own = reading.parts
    // a dot stays where it was stuck: where it was found to lie is the same in every standing
    .filter((part) => differs(part) && !(reading.dotted && part.cause === "placing"))
    .reduce((sum, { variance }) => sum + variance, 0);
  return { own, stays: Math.max(0, reading.seRepeat ** 2 - own) };
}

/**
 * How many metrics of one body say as much about its standing as one independent one: they sway together. Found by
 * simulation, as for the kept share.
 */
const swayTogether = 6;

/**
 * How differently this person stood on this day, as a multiple of what was expected (1: as expected), from all metrics of
 * all standings, shrunk towards the practice's: √((ν·r² + ν₀) / (ν + ν₀)), with ν₀ = 10 and ν the metrics' degrees of freedom
 * divided by 6, because one body sways in all of them at once.
 */
export function steadiness(standings: readonly (readonly Reading[])[]): { ratio: number; dof: number } {
  let [sum, dof] = [0, 0];
  for (const first of standings[0] ?? []) {
    const same = standings.map((list) => list.find(({ id, method }) => id === first.id && method === first.method));
    if (same.some((reading) => !reading) || same.length < 2) continue;
    const values = same.map((reading) => reading!.value);
    const mean = values.reduce((total, value) => total + value, 0) / values.length;
    const squares = values.reduce((total, value) => total + (value - mean) ** 2, 0);
    sum += squares / expected(first);
    dof += values.length - 1;
  }
  const counted = dof / swayTogether;
  const raw = dof === 0 ? 1 : sum / dof;
  return { ratio: Math.sqrt((counted * raw + modelDof) / (counted + modelDof)), dof: counted };
}

/** Variance of one standing of a reading beyond what stays: marking it, and how one stands. */
export const expected = (reading: Reading): number => {
  const { own, stays } = split(reading);
  return Math.max(own, reading.seStanding ** 2 - stays);
};

/**
 * The readings of one view's standings as one reading each: their mean over those that have the metric. Its error is smaller
 * by what differs between them and not by what stays (camera, depth). One standing is itself.
 */
export function averaged(standings: readonly (readonly Reading[])[]): Reading[] {
  if (standings.length < 2) return [...(standings[0] ?? [])];
  const { ratio, dof } = steadiness(standings);
  const ids = new Map<string, Reading[]>();
  for (const reading of standings.flat()) {
    if (reading.copied) continue;
    const key = `${reading.id} ${reading.method}`;
    ids.set(key, [...(ids.get(key) ?? []), reading]);
  }
  return [...ids.values()].map((list) => {
    const [first] = list as [Reading];
    const k = list.length;
    if (k === 1) return first;
    const mean = (of: (reading: Reading) => number) => list.reduce((sum, reading) => sum + of(reading), 0) / k;
    const own = mean((reading) => split(reading).own);
    const stays = mean((reading) => split(reading).stays);
    const depth = mean(({ se, seRepeat }) => Math.max(0, se ** 2 - seRepeat ** 2));
    const once = mean(expected) * ratio ** 2;
    return {
      ...first,
      value: mean(({ value }) => value),
      se: Math.sqrt(own / k + stays + depth),
      seRepeat: Math.sqrt(own / k + stays),
      seStanding: Math.sqrt(once / k + stays),
      seMarking: mean(({ seMarking }) => seMarking) / Math.sqrt(k),
      dof: first.dof + dof,
      parts: first.parts.map((part) =>
        differs(part) && !(first.dotted && part.cause === "placing") ? { ...part, variance: part.variance / k } : part,
      ),
      standings: k,
    };
  });
}

/** How much narrower (0–1) the band of a change gets when both moments are the mean of `k` standings instead of one. */
export function narrower(reading: Reading, k: number): number {
  const { stays } = split(reading);
  return 1 - Math.sqrt((expected(reading) / k + stays) / (expected(reading) + stays));
}
