import { areaOf, figureBox, placesSeen } from "./figure";
import { bestViews, isClose, laidOut, placesInSight, sightSets, whole } from "./sights";

const placesOf = (set: keyof typeof sightSets) =>
  new Set(sightSets[set].flatMap((sight) => placesInSight(sight).map(({ place, side }) => `${place} ${side}`)));

describe("the views that show places best", () => {
  it("are one where one shows all, and a second for what the first hides", () => {
    expect(bestViews(new Map([["buttock", 1]]))[0]).not.toBe("front");
    expect(bestViews(new Map([["blade", 1]]))).toHaveLength(1);
    const both = bestViews(
      new Map([
        ["breastbone", 1],
        ["sacrum", 0.5],
      ]),
    );
    expect(both[0]).toBe("front");
    expect(placesSeen(both[1]!).some(({ place }) => place === "sacrum")).toBe(true);
  });
});

describe("close-ups", () => {
  it("show every place of the head and of both hands, and nothing below them", () => {
    expect([...placesOf("head")]).toEqual(
      expect.arrayContaining(["temple L", "temple R", "ear L", "jaw R", "skull-base R", "neck-side L"]),
    );
    expect([...placesOf("hands")].sort()).toEqual(
      expect.arrayContaining(["fingers L", "fingers R", "hand L", "palm R", "thumb L", "wrist R"]),
    );
    for (const set of ["head", "hands"] as const)
      expect([...placesOf(set)].some((key) => /^(knee|sacrum|breast) /.test(key))).toBe(false);
  });

  it("show a hand in one sight and its other side in another", () => {
    for (const sight of sightSets.hands) expect(new Set(placesInSight(sight).map(({ side }) => side)).size).toBe(1);
  });

  it("are larger than the whole, and the whole leaves nothing out", () => {
    for (const sight of Object.values(sightSets).flat())
      if (isClose(sight)) expect(sight.box.width * sight.box.height).toBeLessThan(200 * 520);
    expect(placesInSight(whole("front"))).toEqual(placesSeen("front"));
  });

  it("make every place of hand and head at least 24 px across on a tablet, in the sight that shows it best", () => {
    // the figure's column leaves 337 px at 820 px: the sheet is scaled to that
    for (const set of ["head", "hands"] as const) {
      const across = new Map<string, number>();
      for (const sight of sightSets[set])
        for (const { place, side, points } of placesInSight(sight)) {
          const scale = (337 / laidOut(sightSets[set]).width) * (figureBox.width / sight.box.width);
          const key = `${place} ${side}`;
          across.set(key, Math.max(across.get(key) ?? 0, Math.sqrt(areaOf(points)) * scale));
        }
      for (const [place, px] of across) expect({ place, wide: px >= 24 }).toEqual({ place, wide: true });
    }
  });
});
