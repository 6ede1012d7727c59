import fc from "fast-check";
import { seeded } from "../random";
import { icc } from "./icc";
import { bySquare, same, weightedKappa, type Agrees } from "./weighted-kappa";

/** Counts of a table as pairs of grades. */
const pairsOf = (counts: readonly (readonly number[])[]): [number, number][] =>
  counts.flatMap((row, i) => row.flatMap((count, j) => Array.from({ length: count }, (): [number, number] => [i, j])));

/** Cohen 1968, 200 diagnoses of three kinds by two psychiatrists, and what a disagreement weighed (from memory). */
const diagnoses = pairsOf([
  [88, 14, 18],
  [10, 40, 10],
  [2, 6, 12],
]);
const cost = [
  [0, 1, 3],
  [1, 0, 6],
  [3, 6, 0],
];
const byCost: Agrees = (a, b) => 1 - cost[a]![b]! / 6;

/** Pairs of grades of two looks that tell a true grade through an error. */
function looks(n: number, steps: number, error: number, seed: number): [number, number][] {
  const random = seeded(seed);
  const within = (value: number) => Math.max(0, Math.min(steps - 1, Math.round(value)));
  return Array.from({ length: n }, () => {
    const truth = (steps - 1) * random.uniform();
    return [within(truth + error * random.normal()), within(truth + error * random.normal())];
  });
}

describe("weighted kappa", () => {
  it("gives Cohen's worked example back: .492 unweighted (1960), .348 weighted (1968; both from memory)", () => {
    expect(weightedKappa(diagnoses, 3, same)!.kappa).toBeCloseTo(0.492, 3);
    expect(weightedKappa(diagnoses, 3, byCost)!.kappa).toBeCloseTo(0.348, 3);
  });

  it("with squares is an intraclass correlation, but for one part in n (Fleiss & Cohen 1973)", () => {
    for (const seed of [1, 2, 3]) {
      const pairs = looks(400, 4, 0.7, seed);
      expect(weightedKappa(pairs, 4)!.kappa).toBeCloseTo(icc(pairs)["2,1"], 2);
    }
  });

  it("has the error that it scatters by from sample to sample (drawn again 2,000 times)", () => {
    for (const agrees of [same, bySquare]) {
      const population = looks(60, 4, 0.8, 11);
      const { kappa, se } = weightedKappa(population, 4, agrees)!;
      const random = seeded(5);
      const drawn = Array.from({ length: 2000 }, () =>
        population.map(() => population[Math.floor(random.uniform() * population.length)]!),
      ).map((sample) => weightedKappa(sample, 4, agrees)!.kappa);
      const scatter = Math.sqrt(drawn.reduce((sum, each) => sum + (each - kappa) ** 2, 0) / drawn.length);
      expect(se / scatter).toBeGreaterThan(0.88);
      expect(se / scatter).toBeLessThan(1.12);
    }
  });

  it("is 1 for two equal looks, the same with both looks exchanged, and nothing where chance alone agrees", () => {
    expect(weightedKappa([[0, 0]], 4)).toBeUndefined();
    expect(
      weightedKappa(
        pairsOf([
          [0, 0],
          [0, 9],
        ]),
        2,
      ),
    ).toBeUndefined();
    const pair = fc.tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 0, max: 3 }));
    fc.assert(
      fc.property(fc.array(pair, { minLength: 2, maxLength: 40 }), (pairs) => {
        const found = weightedKappa(pairs, 4);
        const back = weightedKappa(
          pairs.map(([a, b]) => [b, a] as const),
          4,
        );
        expect(back?.kappa ?? 0).toBeCloseTo(found?.kappa ?? 0, 9);
        expect(back?.se ?? 0).toBeCloseTo(found?.se ?? 0, 9);
        const equal = weightedKappa(
          pairs.map(([a]) => [a, a] as const),
          4,
        );
        if (equal) expect(equal).toMatchObject({ kappa: expect.closeTo(1, 9) as number });
      }),
    );
  });
});
