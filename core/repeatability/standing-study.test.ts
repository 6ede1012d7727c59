import { metrics } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import { seeded } from "../random";
import { testReading } from "../test/reading";
import { isUsed, standingStudy, type StoodAgain } from "./standing-study";

const level = metrics.find(({ key }) => key === "shoulder-level")!;
/** Expected of one standing: 1 (marking 0.6 and stance 0.8); camera 0.3 stays. */
const stood = (value: number): Reading =>
  testReading(level, value, {
    id: "shoulder-level.front",
    seRepeat: Math.hypot(0.6, 0.3),
    seStanding: Math.hypot(1, 0.3),
    parts: [
      { cause: "placing", variance: 0.36 },
      { cause: "camera", variance: 0.09 },
    ],
  });
const people = (n: number, amount: number, seed = 3): StoodAgain[] => {
  const random = seeded(seed);
  return Array.from({ length: n }, () => {
    const usual = 5 * random.normal();
    return { view: "front", standings: [1, 2, 3].map(() => [stood(usual + amount * random.normal())]) };
  });
};

describe("a standing study", () => {
  it("finds how differently people stand in one's own hands, whatever they differ by from each other", () => {
    const [found] = standingStudy(people(200, 1.5)).metrics;
    expect(found).toMatchObject({ key: "shoulder-level.front", dof: 400 });
    expect(found!.own).toBeCloseTo(1.5, 0);
    expect(found!.expected).toBeCloseTo(1, 10);
    expect(found!.used).toBeGreaterThan(1.35);
  });

  it("is used from five pairs on, pooled with what is assumed, and lowers it, too, where people stand still", () => {
    const few = standingStudy(people(2, 0.3));
    expect(few.metrics.map(isUsed)).toEqual([false]);
    expect(few.metrics[0]!.used).toBeCloseTo(1, 10);
    const still = standingStudy(people(20, 0.3));
    expect(still.metrics.map(isUsed)).toEqual([true]);
    expect(still.metrics[0]!.used).toBeLessThan(0.6);
    expect(still.standing["shoulder-level.front"]).toMatchObject({ dof: 40 });
  });

  it("leaves out who stood once", () => {
    expect(standingStudy([{ view: "front", standings: [[stood(1)]] }])).toEqual({ metrics: [], standing: {} });
    expect(standingStudy([{ view: "front", standings: [[stood(1)], []] }]).metrics).toEqual([]);
  });
});
