import type { Evidence } from "./evidence";
import { most, networkOf, presentIn, supportBy, supportIntervals, without, type Network } from "./network";
import { nextChecks, leastWorth, openChecks, type NextCheck } from "./next-check";
import { leakOf, patterns as allPatterns, type Pattern } from "./patterns";
import { signWords, splitSign, type SignId } from "./signs";

/** One finding's part in a pattern's support: by how much its log odds would fall without it. */
export type Piece = { evidence: Evidence; share: number };

export type Suggestion = {
  pattern: Pattern;
  /** 0–1, with the middle 90 % of what the estimates leave open. */
  support: number;
  low: number;
  high: number;
  for: Piece[];
  against: Piece[];
  /** Signs it often shows that nobody looked at. */
  notLooked: { sign: SignId; name: string }[];
  /** Patterns that explain the same findings, so that one makes the other less needed. */
  competes: string[];
};

export type BodyReading = {
  /** With support of a tenth and more, the best first. */
  suggestions: Suggestion[];
  /** Findings that are there and that nothing explains well. */
  unexplained: Evidence[];
  /** Patterns that tie for the first place: their intervals overlap and they are two explanations of one thing. */
  tied: boolean;
};

/** Supports below this are not shown. */
export const leastSupport = 0.1;
const leastShare = 0.15;
/** A sign is taken to be there when it is found this many times more probable than not. */
const there = 1.5;

/**
 * What explains a client's findings: suggestions with what speaks for and against each and what fits nothing. `excluded`: patterns the practitioner ruled out. It suggests; it diagnoses nothing.
 */
export function readBody(
  evidence: readonly Evidence[],
  excluded: ReadonlySet<string> = new Set(),
  all: readonly Pattern[] = allPatterns,
): BodyReading {
  const patterns = all.filter(({ id }) => !excluded.has(id));
  const network = networkOf(patterns, evidence);
  const intervals = supportIntervals(network, evidence);
  const shown = patterns
    .map((_, p) => p)
    .filter((p) => network.support[p]! >= leastSupport)
    .sort((a, b) => network.support[b]! - network.support[a]!);
  const logit = (p: number) => Math.log(p / (1 - p));
  const clamp = (p: number) => Math.min(1 - 1e-9, Math.max(1e-9, p));
  const whole = supportBy(network, network.share);
  const speaking = evidence.filter(({ ratio }) => Math.abs(Math.log(ratio)) > 0.1);
  const rests = shown.length === 0 ? [] : speaking.map((each) => supportBy(network, without(network, each)));
  const looked = new Set(evidence.map(({ sign }) => sign));
  const suggestions = shown.map((p): Suggestion => {
    const pattern = patterns[p]!;
    const pieces = speaking
      .map((each, i): Piece => ({
        evidence: each,
        share: logit(clamp(whole[p]!)) - logit(clamp(rests[i]![p]!)),
      }))
      .sort((a, b) => Math.abs(b.share) - Math.abs(a.share));
    return {
      pattern,
      support: network.support[p]!,
      ...intervals[p]!,
      // what speaks for it is what it shows; what it does not show tells by making another one likelier
      for: pieces.filter(({ share, evidence: { sign } }) => share >= leastShare && pattern.shows.has(sign)),
      against: pieces.filter(({ share }) => share <= -leastShare),
      notLooked: [...pattern.shows]
        .filter(([sign, q]) => q >= 0.4 && !looked.has(sign))
        .sort((a, b) => b[1] - a[1])
        .map(([sign]) => ({ sign, name: signWords(sign) })),
      competes: shown
        .filter((other) => other !== p && competing(network, p, other))
        .map((other) => patterns[other]!.name),
    };
  });
  const [first, second] = suggestions;
  return {
    suggestions,
    unexplained: unexplained(network, evidence),
    tied: Boolean(first && second && second.high >= first.low && first.competes.includes(second.pattern.name)),
  };
}

/** The further checks that would settle most, the best first; none where nothing more is worth its minutes. */
export function nextBest(evidence: readonly Evidence[], excluded: ReadonlySet<string> = new Set()): NextCheck[] {
  const patterns = allPatterns.filter(({ id }) => !excluded.has(id));
  const looked = new Set(evidence.map(({ sign }) => sign));
  return nextChecks(networkOf(patterns, evidence), openChecks(patterns, looked)).filter(
    ({ perMinute }) => perMinute >= leastWorth,
  );
}

/** Whether two patterns hold together less than half as often as they would if they had nothing to do with each other. */
function competing({ count, members, share, support }: Network, one: number, two: number): boolean {
  let both = 0;
  for (let i = 0; i < count; i++) {
    const own = members.subarray(most * i, most * i + most);
    if (own.includes(one) && own.includes(two)) both += share[i]!;
  }
  return both < 0.5 * support[one]! * support[two]!;
}

const spoken: ReadonlySet<string> = new Set(["told", "words", "at"]);

/** What was looked at and is there, and by the sets is mostly left to chance. */
function unexplained(network: Network, evidence: readonly Evidence[]): Evidence[] {
  return evidence.filter(({ sign, ratio }) => {
    // what they do and what they told asks for no explanation: it may be one
    if (ratio < there || splitSign(sign).kind.sources.every(({ kind }) => spoken.has(kind))) return false;
    const leak = leakOf(sign);
    const present = presentIn(network, sign);
    let [seen, chance] = [0, 0];
    for (let i = 0; i < network.count; i++) {
      const own = present[i]!;
      const here = (network.share[i]! * ratio * own) / (ratio * own + 1 - own);
      seen += here;
      chance += (here * leak) / own;
    }
    return chance > 0.5 * seen;
  });
}
