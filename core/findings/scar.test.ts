import { handError } from "../statistics/hand-errors";
import fc from "fast-check";
import { conditionOf } from "../screening/conditions";
import { compareRoses, roseArea, scarDays, scarWork, shortestWays, slideWays, type Rose, type Slide } from "./scar";

const rose = (slides: Slide[], visit = 1): Rose => ({ visit, moment: "before", slides, lift: 2 });
const slides = fc.array(fc.constantFrom<Slide>(0, 1, 2, 3), { minLength: 8, maxLength: 8 });

describe("the rose of a scar", () => {
  it("fills the whole where all is free, nothing where nothing moves, four ninths at two of three", () => {
    expect(roseArea(Array(8).fill(3)).percent).toBeCloseTo(100);
    expect(roseArea(Array(8).fill(0))).toEqual({ percent: 0, se: 0 });
    expect(roseArea(Array(8).fill(2)).percent).toBeCloseTo(400 / 9);
    // by hand: one petal of 1 among threes: (6·9 + 2·3) / (8·9)
    expect(roseArea([1, 3, 3, 3, 3, 3, 3, 3]).percent).toBeCloseTo((100 * 60) / 72);
  });

  it("has the area of its outline, by the shoelace rule", () => {
    fc.assert(
      fc.property(slides, (list) => {
        const points = list.map((r, i) => [r * Math.sin((i * Math.PI) / 4), r * Math.cos((i * Math.PI) / 4)] as const);
        const area =
          Math.abs(
            points.reduce((sum, [x, y], i) => sum + x * points[(i + 1) % 8]![1] - points[(i + 1) % 8]![0] * y, 0),
          ) / 2;
        const full = 9 * 8 * Math.sin(Math.PI / 4) * 0.5;
        expect(roseArea(list).percent).toBeCloseTo((100 * area) / full);
      }),
    );
  });

  it("states an error that small mistakes of each grade would make", () => {
    // numerical derivative instead of the formula
    fc.assert(
      fc.property(slides, (list) => {
        const step = 1e-5;
        const variance = list.reduce<number>((sum, _, i) => {
          const moved = list.map((r, j) => r + (i === j ? step : 0));
          return sum + (((roseArea(moved).percent - roseArea(list).percent) / step) * handError.slide) ** 2;
        }, 0);
        expect(roseArea(list).se).toBeCloseTo(Math.sqrt(variance), 1);
      }),
    );
  });

  it("names the shortest ways, and calls a change clear only beyond its error", () => {
    expect(shortestWays([3, 3, 1, 3, 3, 3, 1, 3])).toEqual(["out", "in"]);
    expect(shortestWays(Array(8).fill(3))).toEqual([]);
    expect(slideWays).toHaveLength(8);
    const before = rose([1, 1, 1, 1, 2, 1, 1, 1]);
    expect(compareRoses(before, rose([1, 1, 2, 1, 2, 1, 1, 1], 2)).verdict).toBe("cannot be told");
    expect(compareRoses(before, rose([3, 3, 2, 2, 3, 2, 3, 3], 2))).toMatchObject({ verdict: "clear" });
    expect(compareRoses(before, before).difference).toBe(0);
  });
});

describe("what may be done at a scar", () => {
  it("follows the same calendar as an operation in the history", () => {
    const rules = conditionOf("operation")!.rules;
    expect(rules.find(({ key }) => key === "recent")!.days!.until).toBe(scarDays.rest);
    expect(rules.find(({ key }) => key === "gentle")!.days).toEqual({ from: scarDays.rest, until: scarDays.gentle });
  });

  it.each([
    [{ since: "2026-10-01", closed: false }, "nothing"],
    [{ since: null, closed: true }, "gentle"],
    [{ since: "2026-10-02", closed: true }, "nothing"],
    [{ since: "2026-10-01", closed: true }, "gentle"],
    [{ since: "2026-05-29", closed: true }, "gentle"],
    [{ since: "2026-05-28", closed: true }, "all"],
  ] as const)("%j: %s", (scar, may) => expect(scarWork(scar, "2026-11-26")).toMatchObject({ may }));

  it("never allows more of a younger scar", () => {
    const order = ["nothing", "gentle", "all"];
    fc.assert(
      fc.property(
        fc.date({ min: new Date("2020-01-01"), max: new Date("2026-11-26"), noInvalidDate: true }),
        fc.boolean(),
        (date, closed) => {
          const since = date.toISOString().slice(0, 10);
          const may = (day: string) => order.indexOf(scarWork({ since, closed }, day).may);
          expect(may("2026-11-26")).toBeLessThanOrEqual(may("2027-03-01"));
        },
      ),
    );
  });
});
