import fc from "fast-check";
import { movementOf, movements } from "~core/move/movements";
import { asymmetries, compareRanges, rangeOf, type Taken } from "~core/move/ranges";
import { at, dial, scaleFor, wedge } from "./routes/client/move/dial-layout";
import { comparedWords, differenceWords, rangeName, rangeWords } from "~core/move/words";

describe("the dial of a range", () => {
  it("holds whatever was measured, with the reference in view", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...movements),
        fc.array(fc.integer({ min: -40, max: 400 }), { maxLength: 6 }),
        (movement, values) => {
          const scale = scaleFor(movement, values);
          for (const value of [...values, movement.reference]) {
            expect(scale.away(value)).toBeLessThan(90);
            for (const side of ["L", "R", null] as const) {
              const [x, y] = at(side, scale.away(value), dial.r);
              expect(x).toBeGreaterThanOrEqual(0);
              expect(x).toBeLessThanOrEqual(dial.width);
              expect(y).toBeGreaterThanOrEqual(0);
              expect(y).toBeLessThanOrEqual(dial.height);
            }
          }
        },
      ),
    );
  });

  it("goes further the larger a value is, and mirrors the sides", () => {
    const scale = scaleFor(movementOf("neck-rotation"), [70]);
    expect(scale.away(30)).toBeLessThan(scale.away(70));
    const [left, right] = [at("L", 40, 100), at("R", 40, 100)];
    expect(left[0] + right[0]).toBeCloseTo(2 * dial.cx, 9);
    expect(left[1]).toBeCloseTo(right[1], 9);
    expect(left[0]).toBeLessThan(dial.cx);
  });

  it("draws a piece between two values as a closed outline", () => {
    expect(wedge("L", 10, 20, 50, 60)).toMatch(/^M.*L.*A60 60 0 0 0.*L.*A50 50 0 0 1.*Z$/);
    expect(wedge("R", 10, 20, 50, 60)).toMatch(/^M.*L.*A60 60 0 0 1.*L.*A50 50 0 0 0.*Z$/);
    // what has no side lies where the right does
    expect(wedge(null, 10, 20, 50, 60)).toBe(wedge("R", 10, 20, 50, 60));
  });
});

describe("the words of a range", () => {
  const of = (values: number[], change: Partial<Taken> = {}) =>
    rangeOf({
      moment: "before",
      movement: "neck-rotation",
      side: "L",
      drive: "active",
      values,
      endFeel: null,
      pain: null,
      ...change,
    });
  it("say value, error and how it ended", () => {
    expect(rangeWords(of([62]))).toBe("left 62 ±5.9° active");
    expect(rangeWords(of([62], { drive: "passive", endFeel: "hard", pain: 3 }))).toBe(
      "left 62 ±5.9° passive, hard, pain 3",
    );
    expect(rangeWords(of([38], { movement: "jaw-opening", side: null, pain: 0 }))).toBe("38 ±3.9 mm active");
    expect(rangeName(of([62], { side: "R", drive: "passive" }))).toBe("Neck, turning, right, passive");
  });
  it("say a difference with its band, and what may be said of it", () => {
    const [change] = compareRanges([of([52, 54, 53])], [of([69, 70, 68])]);
    expect(comparedWords(change!)).toBe("53 → 69, +16 ±4.7° (clear, nearer to the reference)");
    expect(comparedWords(compareRanges([of([69, 70, 68])], [of([52, 54, 53])])[0]!)).toMatch(/−16 .*clear, not nearer/);
    expect(comparedWords(compareRanges([of([60])], [of([62])])[0]!)).toMatch(/cannot be told\)$/);
    const [sides] = asymmetries([of([70]), of([60], { side: "R" })]);
    expect(differenceWords(sides!, sides!.left)).toMatch(/^\+10 ±8\.\d°$/);
  });
});
