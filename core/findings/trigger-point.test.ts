import fc from "fast-check";
import { placesCovered } from "../anatomy/covered";
import { figureBox, figureViews, middleOf, placesSeen, type Point } from "../anatomy/figure";
import { compareTenderness, feltInOrder, referralWords, type PointFelt } from "./trigger-point";

const felt = (visit: number, moment: PointFelt["moment"], tenderness: number): PointFelt => ({
  visit,
  moment,
  tenderness,
  reproduced: null,
  held: null,
});

describe("an area drawn on the figure", () => {
  it("lies over the very place it was drawn around, on its own side", () => {
    for (const view of figureViews)
      for (const { place, side, points } of placesSeen(view))
        expect(placesCovered(view, points)[0]).toEqual({ place, side });
  });

  it("lies over both sides when it crosses the mid-line", () => {
    const belt: Point[] = [
      [60, 100],
      [140, 100],
      [140, 160],
      [60, 160],
    ];
    const covered = placesCovered("back", belt);
    expect(covered.filter(({ place }) => place === "blade").map(({ side }) => side)).toEqual(
      expect.arrayContaining(["L", "R"]),
    );
    expect(covered.some(({ place }) => place === "buttock")).toBe(false);
  });

  it("counts for the place a dot or a thin stroke lies in, and for none beside the body", () => {
    const blade = placesSeen("back").find(({ place, side }) => place === "blade" && side === "R")!;
    const [x, y] = middleOf(blade.points);
    expect(placesCovered("back", [[x, y]])).toEqual([{ place: "blade", side: "R" }]);
    expect(placesCovered("back", [[2, 2], [3, 2], [3, 3]])).toEqual([]); // prettier-ignore
    expect(placesCovered("back", [])).toEqual([]);
  });

  it("is named the same mirrored, but for its sides (any triangle)", () => {
    const corner = fc.tuple(
      fc.integer({ min: 0, max: figureBox.width }),
      fc.integer({ min: 0, max: figureBox.height }),
    );
    fc.assert(
      fc.property(corner, corner, corner, (a, b, c) => {
        const mirrored = [a, b, c].map(([x, y]): Point => [figureBox.width - x, y]);
        const swap = { L: "R", R: "L" } as const;
        const names = (list: ReturnType<typeof placesCovered>) =>
          list.map(({ place, side }) => `${place} ${side}`).sort();
        // a mid-line place is drawn as one outline: nothing of it turns
        expect(names(placesCovered("front", mirrored))).toEqual(
          names(placesCovered("front", [a, b, c]).map(({ place, side }) => ({ place, side: side && swap[side] }))),
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe("a tender point", () => {
  it("changes by what its ratings can tell: two points, and not one", () => {
    const verdict = (from: number, to: number) =>
      compareTenderness(felt(1, "before", from), felt(1, "after", to)).verdict;
    expect(verdict(7, 6)).toBe("cannot be told");
    expect(verdict(7, 5)).toBe("clear");
    expect(verdict(2, 7)).toBe("clear");
    const { difference, band } = compareTenderness(felt(1, "before", 7), felt(1, "after", 4));
    expect([difference, Math.round(band * 10) / 10]).toEqual([-3, 2]);
  });

  it("is told in the order it was felt", () => {
    const list = [felt(2, "before", 4), felt(1, "after", 5), felt(1, "before", 7)];
    expect(feltInOrder({ felt: list }).map(({ tenderness }) => tenderness)).toEqual([7, 5, 4]);
  });

  it("names where it is felt, side by side", () => {
    expect(
      referralWords([
        { place: "temple", side: "R" },
        { place: "neck-side", side: "R" },
        { place: "sacrum", side: null },
      ]),
    ).toBe("temple and side of the neck, right; sacrum");
    expect(referralWords([])).toBe("");
  });
});
