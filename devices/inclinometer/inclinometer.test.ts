import { lastSecond, type Heard } from "../../core/measure/steady";
import { seeded } from "../../core/random";
import { inclinometerStandIn, standInAngle } from "./inclinometer";

const stream = (seconds: number, seed = 3): Heard[] => {
  const random = seeded(seed);
  return Array.from({ length: Math.round(seconds / 0.08) }, (_, i) => {
    const at = (i + 1) * 0.08;
    return { at, angle: standInAngle(12, at, random) };
  });
};

describe("an inclinometer laid on", () => {
  it("is not steady while it swings, and steady near its angle once at rest", () => {
    expect(lastSecond(stream(0.8))).toBeUndefined();
    expect(lastSecond(stream(1.2))!.steady).toBe(false);
    const rest = lastSecond(stream(3.5))!;
    expect(rest.steady).toBe(true);
    expect(Math.abs(rest.angle - 12)).toBeLessThan(0.3);
  });

  it("takes the mean of the last second alone", () => {
    const heard = Array.from({ length: 40 }, (_, i) => ({ at: i / 10, angle: i < 25 ? 50 : 4 }));
    expect(lastSecond(heard)).toEqual({ angle: 4, spread: 0, steady: true });
    expect(lastSecond([])).toBeUndefined();
  });

  it("does not call two stray angles a second of stillness", () => {
    expect(
      lastSecond([
        { at: 0, angle: 3 },
        { at: 2, angle: 3 },
      ])!.steady,
    ).toBe(false);
  });

  it("tells angles until it is stopped, laid on a little differently each time", () => {
    jest.useFakeTimers();
    const heard: Heard[] = [];
    const stop = inclinometerStandIn(8, seeded(1)).listen((each) => heard.push(each));
    jest.advanceTimersByTime(4000);
    stop();
    const count = heard.length;
    jest.advanceTimersByTime(1000);
    jest.useRealTimers();
    expect(count).toBe(50);
    expect(heard).toHaveLength(50);
    expect(Math.abs(lastSecond(heard)!.angle - 8)).toBeLessThan(3.5);
  });
});
