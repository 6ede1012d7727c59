import fc from "fast-check";
import { rangeStandIn, shareAt } from "../../devices/inclinometer/range";
import { seeded } from "../random";
import { hear, silence } from "./hold-still";

/** What is taken of angles heard at 50 a second. */
function takes(angles: (at: number) => number | undefined, seconds: number): number[] {
  let hearing = silence;
  const list: number[] = [];
  for (let i = 1; i <= seconds * 50; i++) {
    const angle = angles(i / 50);
    if (angle === undefined) continue;
    const next = hear(hearing, { at: i / 50, angle });
    hearing = next.hearing;
    if (next.take !== undefined) list.push(next.take);
  }
  return list;
}

describe("holding still", () => {
  it("takes the end of a range once each time it is reached, and nothing at rest", () => {
    expect(takes((at) => 70 * shareAt(at), 12)).toHaveLength(3);
    for (const take of takes((at) => 70 * shareAt(at), 12)) expect(take).toBeCloseTo(70, 0);
    expect(takes(() => 1, 10)).toEqual([]);
    // never still: nothing is taken
    expect(takes((at) => 40 + 20 * Math.sin(3 * at), 20)).toEqual([]);
  });

  it("lives with jitter, drift and angles that are missing, and is off by little", () => {
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 170 }), fc.integer({ min: 0, max: 1e6 }), (truth, seed) => {
        const random = seeded(seed);
        const list = takes(
          (at) => (random.uniform() < 0.04 ? undefined : truth * shareAt(at) + 0.04 * at + 0.2 * random.normal()),
          12,
        );
        expect(list).toHaveLength(3);
        for (const take of list) expect(Math.abs(take - truth)).toBeLessThan(1.5);
      }),
      { numRuns: 60 },
    );
  });

  it("begins the second anew after the device was silent", () => {
    // held for 0.8 s, gone for 1 s, held for 0.8 s: no whole second was heard
    const held = (at: number) => (at < 0.8 || (at > 1.8 && at < 2.6) ? 50 : undefined);
    expect(takes(held, 4)).toEqual([]);
  });

  it("hears the stand-in fifty times a second", () => {
    jest.useFakeTimers();
    const heard: number[] = [];
    const stop = rangeStandIn(60, seeded(1)).listen(({ angle }) => heard.push(angle));
    jest.advanceTimersByTime(4000);
    stop();
    jest.advanceTimersByTime(1000);
    jest.useRealTimers();
    expect(heard.length).toBeGreaterThan(180);
    expect(heard.length).toBeLessThan(200);
    expect(Math.max(...heard)).toBeGreaterThan(50);
  });
});
