import fc from "fast-check";
import { seeded } from "../random";
import { rateOfTaps } from "./rhythm";
import { balanceIndex, overallFreedom, weakest, type Listening } from "./stations";

describe("rate from taps", () => {
  it("is exact for even taps: one every 7.5 s is 8 per minute", () => {
    expect(rateOfTaps([0, 7.5, 15, 22.5])).toEqual({ perMinute: 8, se: 0, cycles: 3 });
  });

  it("asks for three taps, in order", () => {
    expect(rateOfTaps([0, 7])).toBeUndefined();
    expect(() => rateOfTaps([0, 7, 7])).toThrow("taps must ascend, got 7 s then 7 s");
  });

  it("states an error that holds: true rate inside its 95 % band about as often (simulation)", () => {
    const random = seeded(5);
    let inside = 0;
    const runs = 1500;
    for (let i = 0; i < runs; i++) {
      const taps = Array.from({ length: 25 }, (_, k) => 6 * k + 0.4 * random.normal());
      const { perMinute, se } = rateOfTaps(taps)!;
      if (Math.abs(perMinute - 10) < 2.07 * se) inside++; // t with 23 degrees of freedom
    }
    expect(inside / runs).toBeGreaterThan(0.93);
    expect(inside / runs).toBeLessThan(0.97);
  });

  it("does not depend on when tapping began", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 2, max: 12, noNaN: true }), { minLength: 3, maxLength: 20 }),
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        (gaps, shift) => {
          let clock = 0;
          const taps = gaps.map((gap) => (clock += gap));
          expect(rateOfTaps(taps.map((tap) => tap + shift))!.perMinute).toBeCloseTo(rateOfTaps(taps)!.perMinute, 6);
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
});
