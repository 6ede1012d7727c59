import { mdc95, semFromIcc } from "./mdc";
import { seeded, seedOf } from "../random";
import { ageOn } from "../client";
import { toDegrees, toRadians, z95 } from "../units";

// Bland & Altman, Lancet 1986;i:307–310, table 1, large Wright peak-flow meter, first and second reading (l/min)
const first = [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427];
const second = [490, 397, 512, 401, 470, 611, 415, 431, 638, 429, 420, 633, 275, 492, 165, 372, 421];

describe("the smallest real change", () => {
  it("is the repeatability coefficient of the published peak flows: about 43 l/min", () => {
    const squares = first.map((value, i) => (value - second[i]!) ** 2);
    const withinSd = Math.sqrt(squares.reduce((sum, value) => sum + value, 0) / (2 * first.length));
    expect(mdc95(withinSd)).toBeGreaterThan(42);
    expect(mdc95(withinSd)).toBeLessThan(44);
  });

  it("needs an agreement between 0 and 1", () => {
    expect(semFromIcc(10, 1)).toBe(0);
    for (const icc of [-0.1, 1.1, NaN]) expect(() => semFromIcc(1, icc)).toThrow(/within 0 and 1/);
  });
});

describe("chance that can be repeated", () => {
  it("is the same for the same seed, and another for another", () => {
    const draw = (seed: number) => Array.from({ length: 5 }, seeded(seed).uniform);
    expect(draw(1)).toEqual(draw(1));
    expect(draw(1)).not.toEqual(draw(2));
    expect(seedOf("Ruben")).toBe(seedOf("Ruben"));
    expect(seedOf("Ruben")).not.toBe(seedOf("ruben"));
    // FNV-1a, 32 bit: the published value for the letter a
    expect(seedOf("a")).toBe(0xe40c292c);
  });

  it("is uniform and normal as it says", () => {
    const random = seeded(7);
    const n = 60_000;
    const uniform = Array.from({ length: n }, random.uniform);
    const normal = Array.from({ length: n }, random.normal);
    const mean = (list: number[]) => list.reduce((sum, value) => sum + value, 0) / n;
    expect(uniform.every((value) => value >= 0 && value < 1)).toBe(true);
    expect(Math.abs(mean(uniform) - 0.5)).toBeLessThan(4 / Math.sqrt(12 * n));
    expect(Math.abs(mean(normal))).toBeLessThan(4 / Math.sqrt(n));
    expect(mean(normal.map((value) => value ** 2))).toBeCloseTo(1, 1);
    expect(normal.filter((value) => Math.abs(value) > z95).length / n).toBeCloseTo(0.05, 2);
  });
});

describe("small measures", () => {
  it.each([
    ["1985-02-17", "2026-02-16", 40],
    ["1985-02-17", "2026-02-17", 41],
    ["2008-02-29", "2026-02-28", 17],
    ["2008-02-29", "2026-03-01", 18],
  ])("someone born %s is on %s aged %i", (born, day, age) => expect(ageOn(born, day)).toBe(age));
  it("does not guess an age", () => expect(ageOn(null, "2026-01-01")).toBeUndefined());
  it("turns angles there and back", () => {
    expect(toDegrees(Math.PI)).toBe(180);
    expect(toRadians(toDegrees(1.234))).toBeCloseTo(1.234, 12);
  });
});
