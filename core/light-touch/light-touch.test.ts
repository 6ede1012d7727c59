import fc from "fast-check";
import { seeded } from "../random";
import { isUsualRate, rateBand, rateOfTaps } from "./rhythm";
import { balanceIndex, compareListening, overallChange, overallFreedom, weakest, type Listening } from "./stations";

describe("rate from taps", () => {
  it("is exact for even taps: one every 7.5 s is 8 per minute", () => {
    expect(rateOfTaps([0, 7.5, 15, 22.5, 30])).toEqual({ perMinute: 8, se: 0, cycles: 4 });
  });

  it("asks for five taps, in order", () => {
    expect(rateOfTaps([0, 7, 14, 21])).toBeUndefined();
    expect(() => rateOfTaps([0, 7, 7])).toThrow("taps must ascend, got 7 s then 7 s");
  });

  it("counts over a tap that was missed, and leaves out a finger that touched twice", () => {
    expect(rateOfTaps([0, 6, 12, 24, 30, 36])!).toMatchObject({ cycles: 6 });
    expect(rateOfTaps([0, 6, 12, 24, 30, 36])!.perMinute).toBeCloseTo(10, 10);
    expect(rateOfTaps([0, 6, 6.3, 12, 18, 24, 30])!.perMinute).toBeCloseTo(10, 1);
    // four taps are left of these five
    expect(rateOfTaps([0, 6, 6.3, 12, 18])).toBeUndefined();
  });

  it("asks about a rate that nobody feels", () => {
    expect(isUsualRate({ perMinute: 8, se: 0, cycles: 5 })).toBe(true);
    expect(isUsualRate({ perMinute: 40, se: 0, cycles: 5 })).toBe(false);
  });

  it.each([
    ["an unsteady finger, 6 taps", 6, 0.4, 0],
    ["an unsteady finger, 25 taps", 25, 0.4, 0],
    ["an uneven rhythm, 6 taps", 6, 0, 0.5],
    ["an uneven rhythm, 12 taps", 12, 0, 0.5],
    ["both", 10, 0.3, 0.4],
  ])(
    "states an error that holds with %s: the true rate is inside its 95 %% band (simulation)",
    (_, n, finger, rhythm) => {
      const random = seeded(5);
      let inside = 0;
      const runs = 1500;
      for (let i = 0; i < runs; i++) {
        let clock = 0;
        const taps = Array.from(
          { length: n },
          () => (clock += 6 + rhythm * random.normal()) + finger * random.normal(),
        );
        const rate = rateOfTaps(taps)!;
        if (Math.abs(rate.perMinute - 10) < rateBand(rate)) inside++;
      }
      // never less than it says; more where finger and rhythm cannot be told apart
      expect(inside / runs).toBeGreaterThan(0.93);
    },
  );

  it("does not depend on when tapping began", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2, max: 12, noNaN: true }), { minLength: 5, maxLength: 20 }),
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        (gaps, shift) => {
          let clock = 0;
          const taps = gaps.map((gap) => (clock += gap));
          expect(rateOfTaps(taps.map((tap) => tap + shift))?.perMinute ?? 0).toBeCloseTo(
            rateOfTaps(taps)?.perMinute ?? 0,
            6,
          );
        },
      ),
    );
  });
});

describe("listening", () => {
  const heard: Listening = {
    heels: { L: { quality: 3, amplitude: 2 }, R: { quality: 2, amplitude: 2 } },
    ribs: { L: { quality: 1, amplitude: 1 }, R: { quality: 0, amplitude: 1 } },
  };
  it("finds where motion is weakest", () => {
    expect(weakest(heard)).toEqual({ station: "ribs", side: "R", freedom: 1 / 6 });
    expect(weakest({})).toBeUndefined();
  });
  it("averages only what was felt", () => {
    expect(overallFreedom(heard)).toBeCloseTo((5 + 4 + 2 + 1) / 24, 10);
    expect(overallFreedom({})).toBeUndefined();
  });
  it("balances between −1 and 1, 0 when nothing moves on either side", () => {
    expect(balanceIndex(0, 0)).toBe(0);
    expect(balanceIndex(3, 1)).toBe(0.5);
    expect(balanceIndex(1, 3)).toBe(-0.5);
  });
  it("is compared hand by hand and judged together: one step of one hand cannot be told, all of them freer can", () => {
    const later: Listening = { heels: { L: { quality: 3, amplitude: 2 }, R: { quality: 3, amplitude: 2 } } };
    expect(compareListening(heard, later).map(({ station, side, verdict }) => [station, side, verdict])).toEqual([
      ["heels", "L", "cannot be told"],
      ["heels", "R", "cannot be told"],
    ]);
    const all = (grade: 1 | 2 | 3): Listening =>
      Object.fromEntries(
        ["heels", "feet", "thighs", "pelvis", "ribs"].map((key) => [
          key,
          { L: { quality: grade, amplitude: grade }, R: { quality: grade, amplitude: grade } },
        ]),
      );
    expect(overallChange(compareListening(all(1), all(2)))).toMatchObject({
      difference: expect.closeTo(1 / 3, 10) as number,
      verdict: "clear",
    });
    expect(overallChange(compareListening(all(2), all(2)))!.verdict).toBe("cannot be told");
    expect(overallChange([])).toBeUndefined();
  });
});
