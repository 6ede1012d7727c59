import fc from "fast-check";
import { movements } from "./movements";
import { rangeOf, type Taken } from "./ranges";
import { lastEdges, lastRanges, shortNow, shortOf, type VisitMoved } from "./short";

const taken = (movement: string, side: Taken["side"], values: number[], rest: Partial<Taken> = {}): Taken => ({
  moment: "before",
  movement,
  side,
  drive: "active",
  values,
  endFeel: null,
  pain: null,
  ...rest,
});
const at = (visit: number, ...ranges: Taken[]): VisitMoved => ({ visit, ranges, edges: [] });

describe("a range that is short", () => {
  it("misses 85 % of the mean, or is behind the other side by more than five degrees", () => {
    const range = (value: number) => rangeOf(taken("neck-rotation", "L", [value, value, value]));
    expect(shortOf(range(79), range(80))).toBeUndefined();
    expect(shortOf(range(60), undefined)).toMatchObject({ against: "the reference", by: 8 });
    expect(shortOf(range(72), range(90))).toMatchObject({ against: "the other side", by: 13 });
    // short of both: the surer one is named
    expect(shortOf(range(40), range(60))!.against).toBe("the reference");
  });

  it("is the other way round for the floor to the fingertips", () => {
    const range = (value: number) => rangeOf(taken("finger-floor", null, [value]));
    expect(shortOf(range(-20), undefined)).toBeUndefined();
    expect(shortOf(range(180), undefined)).toMatchObject({ by: 80, against: "the reference" });
  });

  it("is surer the shorter it is, and the oftener it was taken", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 5 }), (below, times) => {
        const sure = (value: number, n: number) =>
          shortOf(rangeOf(taken("leg-raise", "L", Array<number>(n).fill(value))), undefined)?.sure ?? 0;
        const value = 0.85 * 80 - below;
        expect(sure(value - 1, times)).toBeGreaterThanOrEqual(sure(value, times));
        expect(sure(value, times + 1)).toBeGreaterThanOrEqual(sure(value, times));
      }),
    );
  });

  it("is judged as it was last taken, passive before active, and held against the other side of the same moment only", () => {
    const earlier = at(1, taken("leg-raise", "L", [40]), taken("leg-raise", "R", [80]));
    const worked = at(2, taken("leg-raise", "L", [72], { moment: "after" }));
    expect(shortNow([earlier]).map(({ range }) => range.taken.side)).toEqual(["L"]);
    expect(shortNow([earlier, worked])).toEqual([]);
    expect(lastRanges([worked, earlier]).map(({ taken: each }) => each.values[0])).toEqual([72, 80]);
    const passive = at(2, taken("leg-raise", "L", [79], { drive: "passive" }));
    expect(shortNow([earlier, passive])).toEqual([]);
  });

  it("of an edge test the latest of each leg stands", () => {
    const angles = (thigh: number) => ({ thigh, knee: 90, drift: 0 });
    const list = lastEdges([
      { visit: 2, ranges: [], edges: [{ moment: "before", side: "L", angles: angles(3) }] },
      {
        visit: 1,
        ranges: [],
        edges: [
          { moment: "before", side: "L", angles: angles(20) },
          { moment: "before", side: "R", angles: angles(9) },
        ],
      },
    ]);
    expect(list.map(({ taken: { side, angles: found } }) => [side, found.thigh])).toEqual([
      ["L", 3],
      ["R", 9],
    ]);
  });

  it("is within the limits of every movement that is measured", () => {
    for (const movement of movements) {
      const [low, high] = movement.limits;
      const value = movement.lessIsMore ? high : Math.max(low, 0);
      const side = movement.sided ? ("L" as const) : null;
      expect(shortOf(rangeOf(taken(movement.key, side, [value])), undefined)!.sure).toBeGreaterThan(0.9);
    }
  });
});
