import fc from "fast-check";
import { testReading } from "../test/reading";
import { bringTogether, groupOf, sharesBy, weighted } from "./combine";
import { metrics, type MetricKey } from "./metrics";
import { seUsual, type Reading } from "./reading";
import { stances, stanceOf, pointStance } from "./stance";

const of = (key: MetricKey, value: number, view: string, se = 1): Reading =>
  testReading(
    metrics.find((metric) => metric.key === key)!,
    value,
    { id: `${key}.${view}`, se },
  );

describe("two views of one moment", () => {
  it("weigh by how sure each is: the mean of independent values with the least error", () => {
    expect(sharesBy([1, 2])).toEqual([0.8, 0.2]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 9, noNaN: true }), { minLength: 2, maxLength: 4 }), (errors) => {
        const shares = sharesBy(errors);
        expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 10);
        const se = Math.hypot(...shares.map((share, i) => share * errors[i]!));
        expect(se).toBeLessThanOrEqual(Math.min(...errors) + 1e-9);
        // no other weights do better
        const even = Math.hypot(...errors.map((each) => each / errors.length));
        expect(se).toBeLessThanOrEqual(even + 1e-9);
      }),
    );
  });

  it("are one reading of a midline metric, with less error than either", () => {
    const [one] = bringTogether([of("shoulder-level", 3, "front"), of("shoulder-level", 4, "back")]);
    expect(one).toMatchObject({ id: "shoulder-level.front+back", value: 3.5, side: undefined });
    expect(one!.se).toBeCloseTo(Math.SQRT1_2, 10);
    expect(seUsual(one!)).toBeLessThan(seUsual(of("shoulder-level", 3, "front")));
  });

  it("stay two where they contradict each other, where one was only taken over, and where each has a side of its own", () => {
    expect(bringTogether([of("shoulder-level", -6, "front"), of("shoulder-level", 6, "back")])).toHaveLength(2);
    const copied = { ...of("shoulder-level", 4, "back"), copied: true as const };
    expect(bringTogether([of("shoulder-level", 3, "front"), copied])).toHaveLength(2);
    expect(groupOf(of("pelvic-tilt", 8, "left"))).toBeUndefined();
    expect(bringTogether([of("pelvic-tilt", 8, "left"), of("pelvic-tilt", 8.2, "right")])).toHaveLength(2);
    const byHand = { ...of("shoulder-level", 3, "back"), method: "inclinometer" as const };
    expect(bringTogether([of("shoulder-level", 3, "front"), byHand])).toHaveLength(2);
  });

  it("carry the weights through every part of the error", () => {
    const views = [of("head-shift", 10, "front", 4), of("head-shift", 14, "back", 4)];
    const mean = weighted(views, [0.25, 0.75]);
    expect(mean.value).toBe(13);
    for (const part of ["se", "seRepeat", "seStanding", "seMarking"] as const)
      expect(mean[part]).toBeCloseTo(4 * Math.hypot(0.25, 0.75), 10);
  });

  it("exist for every midline metric: each is taken in two views, and in one unit", () => {
    for (const metric of metrics.filter(({ midline }) => midline)) {
      const same = metrics.filter(({ key }) => key === metric.key);
      expect(new Set(same.flatMap(({ views }) => views)).size).toBe(2);
      expect(new Set(same.map(({ unit }) => unit)).size).toBe(1);
    }
  });
});

describe("how one stands", () => {
  it("is assumed for every metric, smaller than what a series might change", () => {
    for (const { key, unit } of metrics) {
      expect(stances[key].sd).toBeGreaterThan(0);
      expect(stances[key].sd).toBeLessThan(stances[key].plausible / 2);
      expect(stanceOf(key, unit)).toBe(stances[key].sd);
    }
    expect(stanceOf("shoulder-level", "grade")).toBeLessThan(1);
  });

  it("carries the head further than the knee, and both up and down alike", () => {
    expect(pointStance(0.92).across).toBeGreaterThan(2 * pointStance(0.29).across);
    expect(pointStance(0.92).up).toBe(pointStance(0.29).up);
  });
});
