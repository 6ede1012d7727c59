import { measurePath } from "../../core/light-touch/unwinding";
import { seeded } from "../../core/random";
import { motionStandIn, standInPath, type Moved } from "./motion";

describe("a limb that is followed", () => {
  it.each([
    [6, 4],
    [3, 3],
    [0, 2],
    [9, 5],
  ])("goes round %i times and rests at %i places, and that is what is read from its path", (loops, positions) => {
    for (const seed of [1, 2, 3])
      expect(measurePath(standInPath(loops, positions, seeded(seed)))).toEqual({ loops, positions });
  });

  it("tells its places in time until it is stopped", () => {
    jest.useFakeTimers();
    const heard: Moved[] = [];
    const stop = motionStandIn(1, 2, seeded(1)).listen((moved) => heard.push(moved));
    jest.advanceTimersByTime(2000);
    stop();
    const count = heard.length;
    jest.advanceTimersByTime(2000);
    jest.useRealTimers();
    expect(count).toBeGreaterThan(10);
    expect(heard).toHaveLength(count);
  });
});
