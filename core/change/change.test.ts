import { testReading } from "../test/reading";
import fc from "fast-check";
import { metrics } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import { mdc95, semFromIcc, smallestRealChange } from "../statistics/mdc";
import { keptBetween } from "./carry-over";
import { compare, compareMoments, kept } from "./compare";
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

  it("calls one in twenty differences real when nothing changed (simulation)", () => {
    // deterministic normal quantiles instead of chance: a fair sample of 400 × 1 differences
    let real = 0;
    const n = 400;
    for (let i = 0; i < n; i++) {
      const z = normalQuantile((i + 0.5) / n) * Math.SQRT2;
      if (compare(reading(10), reading(10 + z)).verdict === "real") real++;
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
  it("calls 1° with an own error of ±2.3° unclear", () => {
    const se = 2.3 / (1.96 * Math.SQRT2);
    expect(compare(reading(18, se), reading(17, se))).toMatchObject({
      verdict: "unclear",
      direction: undefined,
    });
    expect(compare(reading(18, se), reading(15.6, se))).toMatchObject({
      verdict: "real",
      direction: "towards",
    });
    expect(compare(reading(18, se), reading(21, se))).toMatchObject({ verdict: "real", direction: "away" });
  });

  it("names no direction for a change inside the usual range", () => {
    expect(compare(reading(12, 0.5), reading(6, 0.5))).toMatchObject({
      verdict: "real",
      direction: undefined,
    });
  });

  it("refuses to compare different metrics", () => {
    expect(() => compare(reading(1), reading(1, 1, "pelvic-tilt.R.right"))).toThrow("only one metric");
  });

  it("never calls a smaller change real where a larger one with the same error is unclear", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (se, a, b) => {
          const verdict = (by: number) => compare(reading(10, se), reading(10 + by, se)).verdict;
          if (verdict(Math.max(a, b)) === "unclear") expect(verdict(Math.min(a, b))).toBe("unclear");
        },
      ),
    );
  });

  it("lists real changes first and leaves out what was measured once", () => {
    const first = [reading(20), reading(5, 1, "a"), reading(5, 1, "b")];
    const second = [reading(12), reading(5.2, 1, "b")];
    expect(compareMoments(first, second).map((change) => [change.id, change.verdict])).toEqual([
      ["pelvic-tilt.L.left", "real"],
      ["b", "unclear"],
    ]);
  });
});

describe("carry-over", () => {
  const moment = (ordinal: number, when: "before" | "after", value: number): MomentReadings => ({
    key: `${ordinal}-${when}`,
    ordinal,
    moment: when,
    readings: [reading(value)],
    photos: [],
  });
  it("is the share of a real change that was still there", () => {
    expect(kept(reading(20), reading(12), reading(14))).toBeCloseTo(0.75, 10);
    expect(keptBetween([moment(1, "before", 20), moment(1, "after", 12), moment(2, "before", 14)], 1)).toBeCloseTo(
      0.75,
      10,
    );
  });
  it("says nothing when the visit changed nothing real, or a moment is missing", () => {
    expect(kept(reading(20), reading(19), reading(14))).toBeUndefined();
    expect(keptBetween([moment(1, "before", 20), moment(1, "after", 12)], 1)).toBeUndefined();
  });
});

describe("the summary", () => {
  it("counts real changes and what goes the wrong way, and draws the usual consequence from what was kept", () => {
    const changes = compareMoments([reading(20), reading(16, 0.5, "b")], [reading(12), reading(19, 0.5, "b")]);
    const { title, next } = summarise(changes, 0.3);
    expect(title).toBe("Two real changes, one of them away from the usual range");
    expect(next).toMatch(/30% of the last visit’s change was kept.*shorten the interval/);
    expect(summarise([], undefined).title).toBe("Nothing to compare");
  });
});
