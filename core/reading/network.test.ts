import fc from "fast-check";
import { seeded } from "../random";
import { most, networkOf, supportBy, supportIntervals, without, type Weighed } from "./network";
import { nextChecks, type OpenCheck } from "./next-check";
import { leakOf, patterns, type Pattern } from "./patterns";

/** A pattern made up for a test; its signs are real ones. */
const made = (id: string, prior: number, shows: Record<string, number>): Pattern => ({
  id,
  key: id,
  name: id,
  side: null,
  prior,
  shows: new Map(Object.entries(shows)),
  holds: [],
  before: undefined,
  order: "",
  means: "",
});

/** By the letter: every subset, every sign, nothing left out. */
function byTheLetter(all: readonly Pattern[], evidence: readonly Weighed[]): { sets: number[]; support: number[] } {
  const sets = Array.from({ length: 1 << all.length }, (_, set) => {
    let weight = 1;
    all.forEach(({ prior }, p) => (weight *= set & (1 << p) ? prior : 1 - prior));
    for (const { sign, ratio } of evidence) {
      let absent = 1 - leakOf(sign);
      all.forEach(({ shows }, p) => set & (1 << p) && (absent *= 1 - (shows.get(sign) ?? 0)));
      weight *= ratio * (1 - absent) + absent;
    }
    return weight;
  });
  const total = sets.reduce((sum, weight) => sum + weight, 0);
  return {
    sets: sets.map((weight) => weight / total),
    support: all.map((_, p) => sets.reduce((sum, weight, set) => sum + (set & (1 << p) ? weight : 0), 0) / total),
  };
}

const signs = ["hip-high.L", "at-low-back", "head-forward", "touch:suboccipitals.L", "leans-back"];
const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });
const anyPattern = (id: string) =>
  fc
    .record({
      prior: fc.double({ min: 0.01, max: 0.3, noNaN: true }),
      q: fc.array(share, { minLength: 5, maxLength: 5 }),
      has: fc.integer({ min: 1, max: 31 }),
    })
    .map(({ prior, q, has }) =>
      made(id, prior, Object.fromEntries(signs.flatMap((sign, i) => (has & (1 << i) ? [[sign, q[i]!]] : [])))),
    );
const anyFour = fc.tuple(anyPattern("a"), anyPattern("b"), anyPattern("c"), anyPattern("d"));
const anyEvidence = fc
  .array(fc.double({ min: 0.05, max: 20, noNaN: true }), { minLength: 5, maxLength: 5 })
  .map((ratios) => signs.map((sign, i): Weighed => ({ sign, ratio: ratios[i]! })));

describe("the network", () => {
  it("is Bayes' theorem for one pattern and one sign, by hand", () => {
    // 0.2 × (0.8 + 0.2 × 0.07) for and 0.8 × 0.07 against, where the sign is surely there
    const one = made("a", 0.2, { "hip-high.L": 0.8 });
    const seen = networkOf([one], [{ sign: "hip-high.L", ratio: 1e9 }]).support[0]!;
    const shown = 1 - (1 - 0.07) * 0.2;
    expect(seen).toBeCloseTo((0.2 * shown) / (0.2 * shown + 0.8 * 0.07), 6);
    expect(networkOf([one], []).support[0]).toBeCloseTo(0.2, 12);
  });

  it("agrees with weighing every subset by the letter", () => {
    fc.assert(
      fc.property(anyFour, anyEvidence, (all, evidence) => {
        const network = networkOf(all, evidence);
        const letter = byTheLetter(all, evidence);
        network.support.forEach((each, p) => expect(each).toBeCloseTo(letter.support[p]!, 9));
        for (let i = 0; i < network.count; i++) {
          const own = [...network.members.subarray(most * i, most * i + most)].filter((p) => p >= 0);
          expect(network.share[i]).toBeCloseTo(letter.sets[own.reduce((set, p) => set | (1 << p), 0)]!, 9);
        }
      }),
    );
  });

  it("takes one finding back as if it had never been found", () => {
    fc.assert(
      fc.property(anyFour, anyEvidence, fc.integer({ min: 0, max: 4 }), (all, evidence, i) => {
        const rest = networkOf(
          all,
          evidence.filter((_, k) => k !== i),
        ).support;
        const left = supportBy(networkOf(all, evidence), without(networkOf(all, evidence), evidence[i]!));
        // sets lighter than are told are missing from it
        left.forEach((each, p) => expect(Math.abs(each - rest[p]!)).toBeLessThan(0.01));
      }),
    );
  });

  it("lets one strong cause explain away a weaker one", () => {
    const both = [made("a", 0.1, { "hip-high.L": 0.9, "at-low-back": 0.9 }), made("b", 0.1, { "hip-high.L": 0.6 })];
    const hip = { sign: "hip-high.L", ratio: 10 };
    const alone = networkOf(both, [hip]).support[1]!;
    const explained = networkOf(both, [hip, { sign: "at-low-back", ratio: 10 }]).support[1]!;
    expect(explained).toBeLessThan(alone);
  });

  it("says what it is sure of with an interval that holds it, wider where less was found", () => {
    const evidence = [...patterns.find(({ id }) => id === "tipped-forward")!.shows.keys()].map((sign) => ({
      sign,
      ratio: 8,
    }));
    const network = networkOf(patterns, evidence);
    const at = patterns.findIndex(({ id }) => id === "tipped-forward");
    const { low, high } = supportIntervals(network, evidence)[at]!;
    expect(low).toBeLessThanOrEqual(network.support[at]!);
    expect(high).toBeGreaterThan(0.9);
    const few = evidence.slice(0, 1);
    const band = supportIntervals(networkOf(patterns, few), few)[at]!;
    expect(band.high - band.low).toBeGreaterThan(high - low);
    expect(supportIntervals(network, evidence)).toEqual(supportIntervals(network, evidence));
  });
});

describe("the next best check", () => {
  const entropy = (support: readonly number[]) =>
    support.reduce((sum, p) => sum - p * Math.log2(p) - (1 - p) * Math.log2(1 - p), 0);
  /** Both answers of one sign by the letter. */
  const expected = (all: readonly Pattern[], evidence: readonly Weighed[], { signs: told }: OpenCheck): number => {
    const sign = told[0]!;
    const now = byTheLetter(all, evidence);
    const present = now.sets.reduce((sum, weight, set) => {
      let absent = 1 - leakOf(sign);
      all.forEach(({ shows }, p) => set & (1 << p) && (absent *= 1 - (shows.get(sign) ?? 0)));
      return sum + weight * (1 - absent);
    }, 0);
    const found = present * 0.85 + (1 - present) * 0.12;
    const after = (ratio: number) => entropy(byTheLetter(all, [...evidence, { sign, ratio }]).support);
    return entropy(now.support) - found * after(0.85 / 0.12) - (1 - found) * after(0.15 / 0.88);
  };
  const open = signs
    .slice(2)
    .map((sign): OpenCheck => ({ key: sign, name: sign, signs: [sign], minutes: 1, page: "" }));

  it("is the one that trying every answer of every check by the letter names", () => {
    fc.assert(
      fc.property(anyFour, anyEvidence, (all, evidence) => {
        const looked = evidence.slice(0, 2);
        const found = nextChecks(networkOf(all, looked), open);
        for (const check of found) expect(check.bits).toBeCloseTo(Math.max(0, expected(all, looked, check)), 2);
        const best = Math.max(...open.map((check) => expected(all, looked, check)));
        expect(expected(all, looked, found[0]!)).toBeGreaterThan(best - 0.005);
      }),
      { numRuns: 40 },
    );
  });

  it("prefers what tells as much in less time", () => {
    const two = [made("a", 0.2, { "head-forward": 0.8 }), made("b", 0.2, { "leans-back": 0.8 })];
    const [first] = nextChecks(networkOf(two, []), [
      { key: "one", name: "", signs: ["head-forward"], minutes: 3, page: "" },
      { key: "two", name: "", signs: ["leans-back"], minutes: 0.5, page: "" },
    ]);
    expect(first!.key).toBe("two");
  });
});

describe("random clients", () => {
  it("are no trouble: supports stay between 0 and 1, whatever was found", () => {
    const random = seeded(3);
    const all = [...new Set(patterns.flatMap(({ shows }) => [...shows.keys()]))];
    for (let client = 0; client < 20; client++) {
      const evidence = all.map((sign) => ({ sign, ratio: Math.exp(3 * random.normal()) }));
      for (const each of networkOf(patterns, evidence).support) {
        expect(each).toBeGreaterThanOrEqual(0);
        expect(each).toBeLessThanOrEqual(1 + 1e-12);
      }
    }
  });
});
