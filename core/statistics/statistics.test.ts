import fc from "fast-check";
import jstat from "jstat";
import { seeded } from "../random";
import { agreement } from "./agreement";
import { icc, iccOneWay } from "./icc";
import { mdc95 } from "./mdc";
import { chiSquare, fisherF, reach95, studentT, twoSided } from "./quantiles";
import { differing, pooledDof, verdictOf } from "./verdict";
import { furtherPairs, spreadInterval, withinSubject } from "./within";

/** Shrout & Fleiss, Psychological Bulletin 86 (1979) 420–428, table 2: six targets, four judges (from memory). */
const shroutFleiss = [
  [9, 2, 5, 8],
  [6, 1, 3, 2],
  [8, 4, 6, 8],
  [7, 1, 2, 6],
  [10, 5, 6, 9],
  [6, 2, 4, 7],
];

describe("intraclass correlation", () => {
  it.each([
    ["1,1", 0.17],
    ["2,1", 0.29],
    ["3,1", 0.71],
    ["1,k", 0.44],
    ["2,k", 0.62],
    ["3,k", 0.91],
  ] as const)("ICC(%s) of Shrout & Fleiss's table is %f", (kind, published) =>
    expect(icc(shroutFleiss)[kind]).toBeCloseTo(published, 2),
  );

  it("has the exact one-way interval: it is where F would be just significant", () => {
    const { icc: value, low, high } = iccOneWay(shroutFleiss);
    expect(value).toBeCloseTo(0.166, 3);
    // the same by the other package's F quantiles
    const f = (1 + 3 * value) / (1 - value);
    const share = (ratio: number) => (ratio - 1) / (ratio + 3);
    expect(low).toBeCloseTo(share(f / jstat.centralF.inv(0.975, 5, 18)), 6);
    expect(high).toBeCloseTo(share(f * jstat.centralF.inv(0.975, 18, 5)), 6);
    expect(low).toBeLessThan(value);
    expect(high).toBeGreaterThan(value);
  });

  it("holds the truth in 95 of 100 tables (simulation, true ICC 0.8)", () => {
    let inside = 0;
    const n = 400;
    const random = seeded(11);
    for (let i = 0; i < n; i++) {
      const table = Array.from({ length: 10 }, () => {
        const body = 2 * random.normal();
        return [body + random.normal(), body + random.normal()];
      });
      const { low, high } = iccOneWay(table);
      if (low < 0.8 && high > 0.8) inside++;
    }
    expect(inside / n).toBeGreaterThan(0.92);
    expect(inside / n).toBeLessThan(0.98);
  });

  it("is one when repeats are the same, and needs two by two", () => {
    expect(iccOneWay([[1, 1], [5, 5]]).icc).toBe(1); // prettier-ignore
    expect(() => icc([[1, 2]])).toThrow("needs 2 targets and 2 repeats of each, got 1 by 2");
    expect(() => icc([[1, 2], [3]])).toThrow(RangeError);
  });
});

/** Bland & Altman, Lancet 1986;i:307–310: peak flow of 17 subjects, two meters, each read twice (from memory). */
const large = [
  [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427],
  [490, 397, 512, 401, 470, 611, 415, 431, 638, 429, 420, 633, 275, 492, 165, 372, 421],
];
const mini = [512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451];

describe("agreement and repeatability", () => {
  it("gives Bland & Altman's bias and limits for two meters", () => {
    const { bias, sd, low, high } = agreement(mini, large[0]!);
    expect(bias).toBeCloseTo(-2.1, 1);
    expect(sd).toBeCloseTo(38.8, 1);
    // they print bias ± 2 SD, −80 and 76; 1.96 is a little narrower
    expect(Math.abs(bias - 2 * sd + 80)).toBeLessThan(1);
    expect(Math.abs(bias + 2 * sd - 76)).toBeLessThan(1);
    expect([low, high]).toEqual([bias - 1.959963984540054 * sd, bias + 1.959963984540054 * sd]);
  });

  it("gives their repeatability coefficient of the large meter, about 43 l/min", () => {
    const { sd, dof } = withinSubject(large[0]!.map((value, i) => [value, large[1]![i]!]));
    expect(dof).toBe(17);
    expect(Math.abs(mdc95(sd) - 43)).toBeLessThan(1);
  });

  it("needs pairs", () => {
    expect(() => agreement([1], [2])).toThrow("agreement needs two or more pairs, got 1 and 1");
    expect(() => agreement([1, 2], [2])).toThrow(RangeError);
  });
});

describe("within-subject spread", () => {
  it("pools subjects by degrees of freedom and leaves out those seen once", () => {
    expect(withinSubject([[1, 3], [7], [2, 2, 5]])).toEqual({ sd: Math.sqrt((2 + 6) / 3), dof: 3 });
    expect(withinSubject([[4]])).toEqual({ sd: 0, dof: 0 });
  });

  it("does not depend on where each subject lies (any shift)", () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: -50, max: 50 }), { minLength: 2, maxLength: 4 }), {
          minLength: 1,
          maxLength: 6,
        }),
        fc.integer({ min: -900, max: 900 }),
        (rows, shift) => {
          const moved = rows.map((row, i) => row.map((value) => value + shift * (i + 1)));
          expect(withinSubject(moved).sd).toBeCloseTo(withinSubject(rows).sd, 8);
        },
      ),
    );
  });

  it("narrows its interval with more pairs, and says how many more are worth while", () => {
    const wide = spreadInterval({ sd: 2, dof: 5 });
    const narrow = spreadInterval({ sd: 2, dof: 40 });
    expect(wide.low).toBeLessThan(narrow.low);
    expect(wide.high).toBeGreaterThan(narrow.high);
    expect(spreadInterval({ sd: 2, dof: 0 }).high).toBe(Infinity);
    // 95 % limits of a standard deviation on 10 degrees of freedom: 0.699 and 1.755 times it (chi-square tables)
    expect(spreadInterval({ sd: 1, dof: 10 }).low).toBeCloseTo(0.699, 3);
    expect(spreadInterval({ sd: 1, dof: 10 }).high).toBeCloseTo(1.755, 3);
    const more = furtherPairs(5);
    expect(spreadInterval({ sd: 1, dof: 5 + more }).high).toBeLessThanOrEqual(1.5);
    expect(spreadInterval({ sd: 1, dof: 4 + more }).high).toBeGreaterThan(1.5);
    expect(furtherPairs(5 + more)).toBe(0);
    expect(furtherPairs(0)).toBe(5 + more);
  });
});

describe("quantiles, held against a second package", () => {
  it("agree for t, chi-square and F over the range that is used", () => {
    for (const p of [0.025, 0.5, 0.95, 0.975])
      for (const d1 of [1, 2, 5, 17, 60]) {
        expect(studentT(p, d1)).toBeCloseTo(jstat.studentt.inv(p, d1), 4);
        expect(chiSquare(p, d1)).toBeCloseTo(jstat.chisquare.inv(p, d1), 4);
        for (const d2 of [2, 5, 18, 60]) {
          const other = jstat.centralF.inv(p, d1, d2);
          expect(fisherF(p, d1, d2) / other).toBeCloseTo(1, 4);
        }
      }
  });

  it("agree for two-sided chances and 95 % bands, normal and t", () => {
    for (const z of [0, 0.5, 1, 1.96, 2.5, 4]) {
      expect(twoSided(z)).toBeCloseTo(2 * (1 - jstat.normal.cdf(z, 0, 1)), 6);
      for (const dof of [5, 10, 20, 60]) expect(twoSided(-z, dof)).toBeCloseTo(2 * (1 - jstat.studentt.cdf(z, dof)), 6);
    }
    expect(reach95()).toBeCloseTo(jstat.normal.inv(0.975, 0, 1), 6);
    expect(reach95(20)).toBeCloseTo(jstat.studentt.inv(0.975, 20), 5);
    // what is exactly as large as its band is as rare as one in twenty
    expect(differing(2 * reach95(7), 2, 7).p).toBeCloseTo(0.05, 10);
  });
});

describe("verdicts", () => {
  it("ask of a clear one both: rare by itself, and few false ones among all", () => {
    expect(verdictOf(0.001, 0.05)).toBe("clear");
    expect(verdictOf(0.04, 0.3)).toBe("possible");
    // alone, a chance of 8 in 100 would pass as the only one of its family
    expect(verdictOf(0.08, 0.08)).toBe("cannot be told");
  });

  it("pool degrees of freedom by Welch and Satterthwaite: equal errors add them up, one that rules keeps its own", () => {
    expect(
      pooledDof([
        { se: 1, dof: 10 },
        { se: 1, dof: 10 },
      ]),
    ).toBeCloseTo(20, 10);
    expect(
      pooledDof([
        { se: 1, dof: 10 },
        { se: 0, dof: 3 },
      ]),
    ).toBeCloseTo(10, 10);
    expect(pooledDof([{ se: 1, dof: Infinity }])).toBe(Infinity);
    expect(differing(0, 0).p).toBe(1);
  });
});
