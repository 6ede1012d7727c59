import { testReading } from "../test/reading";
import fc from "fast-check";
import { metrics } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import { seeded } from "../random";
import { falseDiscovery } from "../statistics/false-discovery";
import { mdc95, semFromIcc, smallestRealChange } from "../statistics/mdc";
import { keptBetween, keptShare, keptWords, type Triple } from "./carry-over";
import { compare } from "./compare";
import { compareMoments } from "./judge";
import type { MomentReadings } from "./moments";
import { summarise } from "./summary";

const tilt = metrics.find((metric) => metric.key === "pelvic-tilt")!;
const reading = (value: number, se = 1, id = "pelvic-tilt.L.left"): Reading =>
  testReading(tilt, value, { side: "L", id, se });

/** SEM = SD·√(1−ICC) and MDC95 = 1.96·√2·SEM: Weir, J Strength Cond Res 19 (2005) 231–240. */
describe("smallest real change", () => {
  it("follows Weir's formulas", () => {
    expect(semFromIcc(10, 0.84)).toBeCloseTo(4, 10);
    expect(mdc95(4)).toBeCloseTo(1.96 * Math.SQRT2 * 4, 2);
    expect(smallestRealChange(3, 4)).toBeCloseTo(1.96 * 5, 2);
    expect(() => semFromIcc(10, 1.2)).toThrow("icc must be within 0 and 1, got 1.2");
  });

  it("calls one in twenty differences, each alone, more than nothing when nothing changed (simulation)", () => {
    // deterministic normal quantiles instead of chance: a fair sample of 400 × 1 differences
    let real = 0;
    const n = 400;
    for (let i = 0; i < n; i++) {
      const z = normalQuantile((i + 0.5) / n) * Math.SQRT2;
      if (compare(reading(10), reading(10 + z)).verdict !== "cannot be told") real++;
    }
    expect(real / n).toBeCloseTo(0.05, 2);
  });
});

/** Acklam's rational approximation of the normal quantile, central part and tails (from memory). */
function normalQuantile(p: number): number {
  let low = -6;
  let high = 6;
  for (let i = 0; i < 80; i++) {
    const mid = (low + high) / 2;
    if (normalCdf(mid) < p) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
function normalCdf(x: number): number {
  let sum = x;
  let term = x;
  for (let k = 1; k < 200; k++) {
    term *= (x * x) / (2 * k + 1);
    sum += term;
  }
  return 0.5 + (sum * Math.exp((-x * x) / 2)) / Math.sqrt(2 * Math.PI);
}

describe("verdicts", () => {
  it("tells nothing of 1° with an own error of ±2.3°", () => {
    const se = 2.3 / (1.96 * Math.SQRT2);
    expect(compare(reading(18, se), reading(17, se))).toMatchObject({
      verdict: "cannot be told",
      direction: undefined,
    });
    expect(compare(reading(18, se), reading(15.6, se))).toMatchObject({ verdict: "clear", direction: "towards" });
    expect(compare(reading(18, se), reading(21, se))).toMatchObject({ verdict: "clear", direction: "away" });
  });

  it("names no direction for a change inside the usual range", () => {
    expect(compare(reading(12, 0.5), reading(6, 0.5))).toMatchObject({
      verdict: "clear",
      direction: undefined,
    });
  });

  it("refuses to compare different metrics", () => {
    expect(() => compare(reading(1), reading(1, 1, "pelvic-tilt.R.right"))).toThrow("only one metric");
  });

  it("never tells more of a smaller change than of a larger one with the same error", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (se, a, b) => {
          const verdict = (by: number) => compare(reading(10, se), reading(10 + by, se)).verdict;
          if (verdict(Math.max(a, b)) === "cannot be told") expect(verdict(Math.min(a, b))).toBe("cannot be told");
        },
      ),
    );
  });

  it("lists clear changes first and leaves out what was measured once", () => {
    const first = [reading(20), reading(5, 1, "a"), reading(5, 1, "b")];
    const second = [reading(12), reading(5.2, 1, "b")];
    expect(compareMoments(first, second).map((change) => [change.id, change.verdict])).toEqual([
      ["pelvic-tilt.L.left", "clear"],
      ["b", "cannot be told"],
    ]);
  });

  it("judges a difference among everything that was looked at: what is clear alone is possible among twenty", () => {
    const among = (others: number) => {
      const ids = Array.from({ length: others }, (_, i) => `other ${i}`);
      const first = [reading(18), ...ids.map((id) => reading(10, 1, id))];
      const second = [reading(18 - 3.2), ...ids.map((id) => reading(10.3, 1, id))];
      return compareMoments(first, second)[0]!;
    };
    expect(among(0).verdict).toBe("clear");
    expect(among(20)).toMatchObject({ id: "pelvic-tilt.L.left", verdict: "possible" });
  });

  it("counts how one stands, and what another marker would see differently", () => {
    const standing = { ...reading(18), seStanding: 2 };
    expect(compare(standing, { ...standing, value: 14 }).band).toBeCloseTo(1.96 * Math.hypot(2, 2), 3);
    const [mine, theirs] = [
      { ...standing, marker: "me" },
      { ...standing, value: 14, marker: "you" },
    ];
    expect(compare(mine, theirs).band).toBeGreaterThan(compare(mine, { ...theirs, marker: "me" }).band);
  });

  it("judges neither marks that were only taken over nor what no single picture can tell", () => {
    const copied = compareMoments([reading(20)], [{ ...reading(12), copied: true }])[0]!;
    expect(copied).toMatchObject({ verdict: "cannot be told", q: 1 });
    expect(copied.unjudged).toMatch(/taken over/);
    // a band of ±28° where 10° would be much
    const wide = compareMoments([reading(60, 10)], [reading(0, 10)])[0]!;
    expect(wide).toMatchObject({ verdict: "cannot be told", direction: undefined });
    expect(wide.unjudged).toMatch(/Not judgeable from one picture/);
  });
});

/** Benjamini & Hochberg, J R Stat Soc B 57 (1995) 289–300, section 3.2: 15 p of a trial; four are found at q = 0.05 (from memory). */
describe("false discoveries", () => {
  const published = [
    0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1,
  ];
  it("finds the published four of fifteen, in whatever order they come", () => {
    expect(falseDiscovery(published).filter((q) => q <= 0.05)).toHaveLength(4);
    const turned = [...published].reverse();
    expect(falseDiscovery(turned)).toEqual([...falseDiscovery(published)].reverse());
    expect(() => falseDiscovery([0.2, 1.2])).toThrow("p must be within 0 and 1, got 1.2");
  });

  it("never falls below p, never rises above 1, and keeps the order of p", () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 40 }), (ps) => {
        const qs = falseDiscovery(ps);
        ps.forEach((p, i) => {
          expect(qs[i]! >= p - 1e-12 && qs[i]! <= 1).toBe(true);
          ps.forEach((other, j) => {
            if (p < other) expect(qs[i]!).toBeLessThanOrEqual(qs[j]!);
          });
        });
      }),
    );
  });
});

describe("two views of one thing", () => {
  const head = metrics.find((metric) => metric.key === "craniovertebral")!;
  const angle = (value: number, side: "L" | "R", se = 1) =>
    testReading(head, value, { side, id: `craniovertebral.${side}.${side === "L" ? "left" : "right"}`, se });

  it("are one row with less error than either, weighted by how sure each is", () => {
    const [both] = compareMoments([angle(48, "L"), angle(49, "R", 2)], [angle(52, "L"), angle(54, "R", 2)]);
    expect(both).toMatchObject({ id: "craniovertebral.left+right" });
    expect(both!.difference).toBeCloseTo((4 * 4 + 5) / 5, 10);
    expect(both!.se).toBeCloseTo(1 / Math.sqrt(1 / 2 + 1 / 8), 10);
    expect(both!.parts!.map(({ id }) => id)).toEqual(["craniovertebral.L.left", "craniovertebral.R.right"]);
  });

  it("stay two where they contradict each other, and where only one was taken", () => {
    expect(compareMoments([angle(48, "L"), angle(49, "R")], [angle(56, "L"), angle(42, "R")])).toHaveLength(2);
    expect(compareMoments([angle(30, "L"), angle(60, "R")], [angle(31, "L"), angle(61, "R")])).toHaveLength(2);
    expect(compareMoments([angle(48, "L"), angle(49, "R")], [angle(52, "L")])[0]!.parts).toBeUndefined();
  });

  it("never bring a paired landmark of its own side together", () => {
    const hip = (value: number, side: "L" | "R") =>
      testReading(tilt, value, { side, id: `pelvic-tilt.${side}.${side === "L" ? "left" : "right"}` });
    expect(compareMoments([hip(8, "L"), hip(8, "R")], [hip(9, "L"), hip(9, "R")])).toHaveLength(2);
  });
});

describe("carry-over", () => {
  const moment = (ordinal: number, when: "before" | "after", value: number, se = 0.2): MomentReadings => ({
    key: `${ordinal}-${when}`,
    ordinal,
    moment: when,
    readings: [reading(value, se)],
    photos: [],
  });
  it("is the share of a large change that was still there, with its interval", () => {
    const kept = keptBetween([moment(1, "before", 20), moment(1, "after", 12), moment(2, "before", 14)], 1)!;
    expect(kept.share).toBeCloseTo(0.75, 2);
    expect(kept.low).toBeLessThan(0.75);
    expect(kept.high).toBeGreaterThan(0.75);
    expect(kept.told).toBe(true);
    expect(keptWords(kept)).toMatch(
      /^About 75 % of the last visit’s change was kept until this one \(\d+ to \d+ %\)\.$/,
    );
  });
  it("cannot be told when the visit changed no more than noise, and is not asked without its three moments", () => {
    const noise = keptBetween(
      [moment(1, "before", 20, 1), moment(1, "after", 19.5, 1), moment(2, "before", 20.2, 1)],
      1,
    )!;
    expect(noise.told).toBe(false);
    expect(keptWords(noise)).toMatch(/cannot be told/);
    expect(keptBetween([moment(1, "before", 20), moment(1, "after", 12)], 1)).toBeUndefined();
  });
  it("covers the true share 95 times in 100 when metrics are independent (simulation)", () => {
    const random = seeded(77);
    let covered = 0;
    const n = 400;
    for (let i = 0; i < n; i++) {
      const triples = Array.from({ length: 20 }, (): Triple => {
        const d = 3 * random.normal();
        return {
          before: random.normal(),
          after: d + random.normal(),
          next: 0.6 * d + random.normal(),
          seBefore: 1,
          seAfter: 1,
          seNext: 1,
        };
      });
      const { low, high } = keptShare(triples, 1)!;
      if (low <= 0.605 && high >= 0.595) covered++;
    }
    expect(covered / n).toBeGreaterThan(0.92);
    expect(covered / n).toBeLessThan(0.98);
  });
});

describe("the summary", () => {
  it("counts what is clear and what is possible, says what chance would bring, and advises only what the interval supports", () => {
    const others = Array.from({ length: 12 }, (_, i) => reading(10, 1, `other ${i}`));
    const changes = compareMoments(
      [reading(20), reading(16, 0.5, "b"), ...others],
      [reading(12), reading(19, 0.5, "b"), ...others],
    );
    const { title, chance, next } = summarise(changes, { share: 0.3, low: 0.2, high: 0.4, told: true });
    expect(title).toBe("Two clear changes, none possible, of 14 figures");
    expect(chance).toBe("Where nothing changed, chance alone would call less than one of 14 possible.");
    expect(next).toMatch(/About 30 % of the last visit’s change was kept.*shorten the interval/);
    expect(summarise(changes, { share: 0.3, low: 0.2, high: 0.7, told: true }).next).not.toMatch(/shorten/);
    expect(summarise([], undefined).title).toBe("Nothing to compare");
  });
});
