import { seeded } from "../random";
import { leakOf, type Pattern } from "./patterns";
import type { SignId } from "./signs";

/** How much more probable what was found is if the sign is there than if it is not; 1 says nothing. */
export type Weighed = { sign: SignId; ratio: number };

/** A set holds up to so many patterns. */
export const most = 4;

/**
 * Sets of patterns that may hold together, the weightiest first. `members`: four places a set, indices into `patterns`, −1 where
 * it holds fewer. `share`: of all that was weighed; what is not told is lighter than any that is.
 */
export type Network = {
  patterns: readonly Pattern[];
  count: number;
  members: Int16Array;
  share: Float64Array;
  /** Share of all sets that hold each pattern: 0–1. */
  support: Float64Array;
};

/** Patterns kept for sets of several: those that explain most alone. */
const kept = 22;
/** Sets that are told, and the least share one is told with. */
const told = 1200;
const leastShare = 2e-5;

/** Weight of one sign whose patterns all fail to show it with probability `miss`: 1 where nothing was found. */
const factor = (ratio: number, leak: number, miss: number): number => {
  const absent = (1 - leak) * miss;
  return ratio * (1 - absent) + absent;
};

/** What of the evidence each pattern shows: places in the evidence, and how often. */
const touchesOf = (patterns: readonly Pattern[], evidence: readonly Weighed[]) => {
  const index = new Map(evidence.map(({ sign }, i) => [sign, i]));
  return patterns.map(({ shows }) => {
    const own = [...shows].filter(([sign]) => index.has(sign));
    return { at: Int16Array.from(own, ([sign]) => index.get(sign)!), q: Float64Array.from(own, ([, q]) => q) };
  });
};
type Touches = ReturnType<typeof touchesOf>[number];

/**
 * What explains the findings, by a noisy-OR network of two levels (Pearl, Probabilistic Reasoning in Intelligent Systems, 1988;
 * from memory): a sign is there with probability 1 − (1 − leak)·Π(1 − q) over the patterns that hold. All sets of up to four of
 * the 22 patterns that explain most alone are weighed by what was found; exact but for sets beyond those.
 */
export function networkOf(patterns: readonly Pattern[], evidence: readonly Weighed[]): Network {
  const touches = touchesOf(patterns, evidence);
  const n = evidence.length;
  const ratio = Float64Array.from(evidence, (each) => each.ratio);
  const leak = Float64Array.from(evidence, ({ sign }) => leakOf(sign));
  const base = ratio.map((each, i) => factor(each, leak[i]!, 1));
  const odds = Float64Array.from(patterns, ({ prior }) => prior / (1 - prior));
  const alone = odds.map((own, p) => {
    const { at, q } = touches[p]!;
    let weight = own;
    for (let k = 0; k < at.length; k++) weight *= factor(ratio[at[k]!]!, leak[at[k]!]!, 1 - q[k]!) / base[at[k]!]!;
    return weight;
  });
  const chosen = [...patterns.keys()].sort((a, b) => alone[b]! - alone[a]!).slice(0, kept);
  const size = countOf(chosen.length);
  const weights = new Float64Array(size);
  const packed = new Int16Array(most * size).fill(-1);
  const miss = new Float64Array(n).fill(1);
  const now = base.slice();
  const stack = new Float64Array(most * 2 * Math.max(1, ...touches.map(({ at }) => at.length)));
  const members = new Int16Array(most);
  let count = 1;
  weights[0] = 1;
  const grow = (from: number, depth: number, weight: number, top: number) => {
    for (let c = from; c < chosen.length; c++) {
      const p = chosen[c]!;
      const { at, q } = touches[p]!;
      let next = weight * odds[p]!;
      for (let k = 0; k < at.length; k++) {
        const sign = at[k]!;
        stack[top + 2 * k] = miss[sign]!;
        stack[top + 2 * k + 1] = now[sign]!;
        miss[sign]! *= 1 - q[k]!;
        const own = factor(ratio[sign]!, leak[sign]!, miss[sign]!);
        next *= own / now[sign]!;
        now[sign] = own;
      }
      members[depth] = p;
      weights[count] = next;
      for (let k = 0; k <= depth; k++) packed[most * count + k] = members[k]!;
      count++;
      if (depth + 1 < most) grow(c + 1, depth + 1, next, top + 2 * at.length);
      for (let k = 0; k < at.length; k++) {
        miss[at[k]!] = stack[top + 2 * k]!;
        now[at[k]!] = stack[top + 2 * k + 1]!;
      }
    }
  };
  grow(0, 0, 1, 0);
  let total = 0;
  for (let i = 0; i < count; i++) total += weights[i]!;
  const support = new Float64Array(patterns.length);
  const heavy: number[] = [];
  for (let i = 0; i < count; i++) {
    const share = weights[i]! / total;
    for (let k = most * i; k < most * i + most && packed[k]! >= 0; k++) support[packed[k]!]! += share;
    if (share >= leastShare) heavy.push(i);
  }
  // a pattern that was not weighed with others is told by its odds alone
  for (let p = 0; p < patterns.length; p++) if (!chosen.includes(p)) support[p] = alone[p]! / (total + alone[p]!);
  heavy.sort((a, b) => weights[b]! - weights[a]!);
  heavy.length = Math.min(heavy.length, told);
  const own = new Int16Array(most * heavy.length);
  heavy.forEach((i, at) => own.set(packed.subarray(most * i, most * i + most), most * at));
  return {
    patterns,
    support,
    count: heavy.length,
    members: own,
    share: Float64Array.from(heavy, (i) => weights[i]! / total),
  };
}

/** Subsets of up to four of `n`. */
const countOf = (n: number): number => {
  let [sum, choose] = [1, 1];
  for (let k = 1; k <= Math.min(most, n); k++) sum += choose = (choose * (n - k + 1)) / k;
  return Math.round(sum);
};

/** How probable a sign is, by each of the sets. */
export function presentIn({ patterns, count, members }: Network, sign: SignId): Float64Array {
  const leak = leakOf(sign);
  const missed = Float64Array.from(patterns, ({ shows }) => 1 - (shows.get(sign) ?? 0));
  const present = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    let miss = 1 - leak;
    for (let k = most * i; k < most * i + most && members[k]! >= 0; k++) miss *= missed[members[k]!]!;
    present[i] = 1 - miss;
  }
  return present;
}

/** Support of every pattern where each set counts by `share` (need not add up to 1), by the sets that are told. */
export function supportBy({ patterns, count, members }: Network, share: Float64Array): Float64Array {
  const support = new Float64Array(patterns.length);
  let total = 0;
  for (let i = 0; i < count; i++) {
    const own = share[i]!;
    total += own;
    for (let k = most * i; k < most * i + most && members[k]! >= 0; k++) support[members[k]!]! += own;
  }
  if (total > 0) for (let p = 0; p < support.length; p++) support[p]! /= total;
  return support;
}

/** The shares without what was found of one sign: what the rest says alone. */
export function without(network: Network, { sign, ratio }: Weighed): Float64Array {
  const present = presentIn(network, sign);
  return network.share.map((share, i) => share / (ratio * present[i]! + 1 - present[i]!));
}

/** How uncertain the estimates are: standard deviation of log odds of shares and priors, and of the log of each ratio (of its size). */
const unsure = { q: 0.4, prior: 0.4, ratio: 0.25 };
const draws = 40;
const drawnSets = 120;
const shifted = (p: number, by: number) => {
  const odds = (p / (1 - p)) * Math.exp(by);
  return odds / (1 + odds);
};

/**
 * Middle 90 % of each pattern's support when the trade's estimates and what each finding says are redrawn within their own
 * uncertainty: 40 draws over the 120 weightiest sets, the same for the same findings. What is stated lies in it.
 */
export function supportIntervals(network: Network, evidence: readonly Weighed[]): { low: number; high: number }[] {
  const random = seeded(evidence.length + 17);
  const sets = { ...network, count: Math.min(network.count, drawnSets) };
  const used = [...new Set(sets.members.subarray(0, most * sets.count))].filter((p) => p >= 0);
  const touches = touchesOf(network.patterns, evidence);
  const leak = Float64Array.from(evidence, ({ sign }) => leakOf(sign));
  const found = Array.from({ length: draws }, () => {
    const ratio = Float64Array.from(evidence, (each) =>
      Math.exp(Math.log(each.ratio) * (1 + unsure.ratio * random.normal())),
    );
    const drawn = new Map(
      used.map((p): [number, Touches & { odds: number }] => {
        const { prior } = network.patterns[p]!;
        const { at, q } = touches[p]!;
        const own = shifted(prior, unsure.prior * random.normal());
        return [p, { odds: own / (1 - own), at, q: q.map((each) => shifted(each, unsure.q * random.normal())) }];
      }),
    );
    const miss = new Float64Array(evidence.length).fill(1);
    const weights = new Float64Array(sets.count);
    for (let i = 0; i < sets.count; i++) {
      let weight = 1;
      const own: Touches[] = [];
      for (let k = most * i; k < most * i + most && sets.members[k]! >= 0; k++) {
        const { odds, at, q } = drawn.get(sets.members[k]!)!;
        weight *= odds;
        own.push({ at, q });
        for (let t = 0; t < at.length; t++) miss[at[t]!]! *= 1 - q[t]!;
      }
      // each sign once, though several patterns may show it
      for (const { at } of own)
        for (let t = 0; t < at.length; t++) {
          const sign = at[t]!;
          if (miss[sign] === 1) continue;
          weight *= factor(ratio[sign]!, leak[sign]!, miss[sign]!) / factor(ratio[sign]!, leak[sign]!, 1);
          miss[sign] = 1;
        }
      weights[i] = weight;
    }
    return supportBy(sets, weights);
  });
  return network.patterns.map((_, p) => {
    const own = found.map((each) => each[p]!).sort((a, b) => a - b);
    const stated = network.support[p]!;
    return {
      low: Math.min(stated, own[Math.floor(0.05 * draws)]!),
      high: Math.max(stated, own[Math.ceil(0.95 * draws) - 1]!),
    };
  });
}
