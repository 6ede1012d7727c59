import { presentIn, supportBy, type Network } from "./network";
import { signId, splitSign, type SignId } from "./signs";

/** Something that could still be looked at: the signs it tells (one, or left and right), its minutes and where it is done. */
export type OpenCheck = { key: string; name: string; signs: readonly SignId[]; minutes: number; page: string };

/** How a check answers: found where it is there, and found where it is not. Common practice. */
const answers = { hit: 0.85, false: 0.12 } as const;

/** What one further check is expected to settle: bits by which the patterns become more certain, and those a minute. */
export type NextCheck = OpenCheck & { bits: number; perMinute: number };

/** Less than this many bits a minute is not worth a minute. */
export const leastWorth = 0.02;

const bitsOf = (p: number): number => (p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)));
const entropy = (support: Float64Array) => {
  let total = 0;
  for (const p of support) total += bitsOf(p);
  return total;
};
/** Sets that answers are weighed by. */
const weighed = 500;

/**
 * Which single further check would settle most: expected fall of the summed entropy of all supports over the check's answers
 * (each sign it tells found or not), for each minute it takes. The best first.
 */
export function nextChecks(network: Network, open: readonly OpenCheck[]): NextCheck[] {
  // the weightiest sets are enough to rank checks by
  const sets = { ...network, count: Math.min(network.count, weighed) };
  const share = network.share.subarray(0, sets.count);
  const all = share.reduce((total, each) => total + each, 0);
  const now = entropy(supportBy(sets, share));
  const own = new Float64Array(sets.count);
  return open
    .map((check): NextCheck => {
      const present = check.signs.map((sign) => presentIn(sets, sign));
      let later = 0;
      for (let answer = 0; answer < 1 << check.signs.length; answer++) {
        own.set(share);
        for (const [k, each] of present.entries())
          for (let i = 0; i < own.length; i++) {
            const found = each[i]! * answers.hit + (1 - each[i]!) * answers.false;
            own[i]! *= answer & (1 << k) ? found : 1 - found;
          }
        let total = 0;
        for (const each of own) total += each;
        later += (total / all) * entropy(supportBy(sets, own));
      }
      const bits = Math.max(0, now - later);
      return { ...check, bits, perMinute: bits / check.minutes };
    })
    .sort((a, b) => b.perMinute - a.perMinute || b.bits - a.bits);
}

const pages = {
  stand: { page: "assess/stand", minutes: 3 },
  table: { page: "assess/table", minutes: 0.5 },
  move: { page: "assess/move", minutes: 1 },
  touch: { page: "assess/touch", minutes: 0.75 },
  points: { page: "assess/points", minutes: 0.75 },
  listen: { page: "assess/listen", minutes: 3 },
  bones: { page: "assess/bones", minutes: 2 },
  intake: { page: "intake", minutes: 0.5 },
} as const;
const doneAt: Record<string, keyof typeof pages> = {
  level: "stand",
  shift: "stand",
  above: "stand",
  below: "stand",
  table: "table",
  short: "move",
  edge: "move",
  touch: "touch",
  point: "points",
  heard: "listen",
  locked: "bones",
  told: "intake",
};

/** Checks of the signs patterns show and nobody looked at yet: the quickest way to tell each. What only words tell is not asked. */
export function openChecks(patterns: Network["patterns"], looked: ReadonlySet<SignId>): OpenCheck[] {
  const open = new Map<string, SignId[]>();
  for (const { shows } of patterns)
    for (const sign of shows.keys()) {
      if (looked.has(sign)) continue;
      const { kind, side } = splitSign(sign);
      const signs = open.get(kind.key) ?? [];
      if (!signs.includes(sign)) signs.push(signId(kind.key, side));
      open.set(kind.key, signs);
    }
  return [...open].flatMap(([key, signs]) => {
    const { kind } = splitSign(signs[0]!);
    const ways = kind.sources.flatMap((source) => doneAt[source.kind] ?? []).map((way) => pages[way]);
    const [quickest] = [...ways].sort((a, b) => a.minutes - b.minutes);
    return quickest ? [{ key, name: kind.name, signs, ...quickest }] : [];
  });
}
