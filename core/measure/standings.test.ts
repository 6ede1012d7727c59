import { seeded } from "../random";
import { testReading } from "../test/reading";
import { metrics } from "./metrics";
import type { Reading } from "./reading";
import { averaged, narrower, steadiness } from "./standings";

const level = metrics.find(({ key }) => key === "shoulder-level")!;
/** One standing's metric: marking 0.6, camera 0.3, stance 0.8. */
const stood = (value: number, id = "shoulder-level.front"): Reading =>
  testReading(level, value, {
    id,
    se: Math.hypot(0.6, 0.3, 0.4),
    seRepeat: Math.hypot(0.6, 0.3),
    seStanding: Math.hypot(0.6, 0.3, 0.8),
    seMarking: 0.6,
    dof: 10,
    parts: [
      { cause: "placing", variance: 0.36 },
      { cause: "depth", variance: 0.16 },
      { cause: "camera", variance: 0.09 },
    ],
  });

describe("several standings of one body", () => {
  it("are one as they are, and the mean of two or three with what differs divided by their number", () => {
    expect(averaged([[stood(3)]])).toEqual([stood(3)]);
    const [mean] = averaged([[stood(2)], [stood(3)], [stood(4)]]);
    expect(mean).toMatchObject({ value: 3, standings: 3 });
    // camera and depth stay, marking and stance are thirds; nothing told that this body stands otherwise than expected
    expect(mean!.seRepeat).toBeCloseTo(Math.sqrt(0.36 / 3 + 0.09), 10);
    expect(mean!.se).toBeCloseTo(Math.sqrt(0.36 / 3 + 0.09 + 0.16), 10);
    expect(mean!.seStanding).toBeCloseTo(Math.sqrt(1 / 3 + 0.09), 1);
    expect(mean!.parts.find(({ cause }) => cause === "camera")!.variance).toBe(0.09);
  });

  it("leave a metric that one of them lacks to the others, and copied marks out", () => {
    const [a, b] = averaged([[stood(2), stood(9, "other")], [stood(4)]]);
    expect([a!.value, a!.standings, b!.value, b!.standings]).toEqual([3, 2, 9, 1]);
    expect(averaged([[stood(2)], [{ ...stood(8), copied: true }]])[0]).toMatchObject({ value: 2, standings: 1 });
  });

  it("say how steadily this one stood, shrunk towards what was expected", () => {
    const day = (amount: number) => {
      const random = seeded(9);
      return Array.from({ length: 3 }, () =>
        Array.from({ length: 20 }, (_, i) => stood(amount * random.normal(), `metric ${i}`)),
      );
    };
    expect(steadiness([[stood(1)]])).toEqual({ ratio: 1, dof: 0 });
    const [still, usual, restless] = [0.1, 1, 3].map((amount) => steadiness(day(amount)).ratio);
    expect(still!).toBeLessThan(0.9);
    expect(usual!).toBeGreaterThan(0.85);
    expect(usual!).toBeLessThan(1.15);
    expect(restless!).toBeGreaterThan(1.5);
    // a restless day widens the band of every metric
    expect(averaged(day(3))[0]!.seStanding).toBeGreaterThan(averaged(day(1))[0]!.seStanding);
  });

  it("have an error that holds: the usual value lies in the band of the mean of three (simulation)", () => {
    const random = seeded(4);
    let inside = 0;
    const n = 2000;
    for (let i = 0; i < n; i++) {
      const camera = 0.3 * random.normal();
      const [mean] = averaged(
        Array.from({ length: 3 }, () => [stood(camera + Math.hypot(0.6, 0.8) * random.normal())]),
      );
      if (Math.abs(mean!.value) < 1.96 * mean!.seStanding) inside++;
    }
    expect(inside / n).toBeGreaterThan(0.93);
    expect(inside / n).toBeLessThan(0.97);
  });

  it("pay by what differs between them: 42 % narrower at most for three", () => {
    expect(narrower(stood(1), 1)).toBe(0);
    expect(narrower(stood(1), 3)).toBeGreaterThan(0.3);
    expect(narrower(stood(1), 3)).toBeLessThan(1 - 1 / Math.sqrt(3));
  });
});
