import fc from "fast-check";
import { circular, rayleigh } from "./circular";

/** By scipy.stats.circmean and circstd of SciPy 1.10.1 and astropy.stats.rayleightest of Astropy 5.2.1. */
const reference = [
  {
    angles: [0.2, 0.5, 6.1, 0.9, 0.05, 5.8, 0.4],
    mean: 0.19746964603907277,
    sd: 0.4262634213798475,
    agreement: 0.9131544435273371,
    p: 0.0005199120721561586,
  },
  {
    angles: [0.1, 1.9, 3.4, 5.2, 2.7, 4.4],
    mean: 3.6779654337411705,
    sd: 1.7906229570040022,
    agreement: 0.20125846789437254,
    p: 0.7982694689701361,
  },
  {
    angles: [55, 60, 65, 250, 255, 260, 75, 50].map((degrees) => (degrees * Math.PI) / 180),
    mean: 0.7232194826848954,
    sd: 1.6167013282484755,
    agreement: 0.2706681919069647,
    p: 0.5714244624233293,
  },
];

describe("circular statistics", () => {
  it.each(reference)("agree with SciPy and Astropy: mean $mean", ({ angles, mean, sd, agreement, p }) => {
    const found = circular(angles)!;
    expect(found.mean).toBeCloseTo(mean, 10);
    expect(found.sd).toBeCloseTo(sd, 10);
    expect(found.agreement).toBeCloseTo(agreement, 10);
    expect(rayleigh(found)).toBeCloseTo(p, 8);
  });

  it("turn with what they are told of, and agree as much however it is turned", () => {
    const angle = fc.double({ min: 0, max: 2 * Math.PI, noNaN: true });
    fc.assert(
      fc.property(fc.array(angle, { minLength: 2, maxLength: 20 }), angle, (angles, by) => {
        const [one, two] = [circular(angles)!, circular(angles.map((each) => each + by))!];
        expect(two.agreement).toBeCloseTo(one.agreement, 9);
        if (one.agreement > 0.05) expect(Math.cos(two.mean - one.mean - by)).toBeCloseTo(1, 6);
      }),
    );
  });

  it("say nothing of none, and no test of three", () => {
    expect(circular([])).toBeUndefined();
    expect(rayleigh(circular([0, 0, 0])!)).toBe(1);
  });
});
