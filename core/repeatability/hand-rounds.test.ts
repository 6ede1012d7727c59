import { handError } from "../statistics/hand-errors";
import { bonesAfter, compareBones, type BoneEvent, type BoneFelt } from "../light-touch/bones";
import { gradeError, gradeErrorWords } from "../light-touch/own-hands";
import { compareListening, leadsChanged, rateChange, stations, type Listening } from "../light-touch/stations";
import { seeded } from "../random";
import { feltAgain, handRounds } from "./hand-rounds";

const grade = (value: number) => Math.max(0, Math.min(3, Math.round(value))) as 0 | 1 | 2 | 3;

/** One round of hands that scatter by `sd` grades, over what is there. */
function round(there: readonly number[], sd: number, random = seeded(1)): Listening {
  const near = (i: number) => grade(there[i]! + sd * random.normal());
  return Object.fromEntries(
    stations.map(({ key }, i) => [
      key,
      {
        L: { quality: near(i), amplitude: near(i) },
        R: { quality: near(i), amplitude: near(i) },
        symmetry: "even",
        rate: { perMinute: 8 + 0.5 * random.normal(), se: 0.2, cycles: 6 },
      },
    ]),
  );
}
const bone = (moment: BoneFelt["moment"], range: BoneFelt["range"], by: string, test = "torsion"): BoneEvent => ({
  id: `${moment} ${test} ${by}`,
  at: "2026-03-02T10:00:00Z",
  kind: "bone",
  by,
  body: { moment, segment: "sphenoid", test, side: null, range, step: null, eased: [false, false] },
});

describe("second rounds of listening hands", () => {
  it("pair quality, amplitude, rate and leading side of each station that was felt twice, and nothing else", () => {
    const first: Listening = {
      heels: { L: { quality: 2, amplitude: 1 }, symmetry: "even", rate: { perMinute: 8, se: 0.1, cycles: 6 } },
      ribs: { R: { quality: 3, amplitude: 3 } },
    };
    const second: Listening = {
      heels: {
        L: { quality: 1, amplitude: 1 },
        R: { quality: 0, amplitude: 0 },
        symmetry: "left leads",
        rate: { perMinute: 9, se: 0.1, cycles: 6 },
      },
    };
    expect(feltAgain(first, second, [])).toEqual({
      grades: {
        stations: [
          [2, 1],
          [1, 1],
        ],
        bones: [],
      },
      rates: [[8, 9]],
      leads: [[0, 1]],
    });
  });

  it("pair the ends of a bone that the same hands felt twice; another's second round says nothing", () => {
    const felt = bonesAfter([
      bone("before", [3, 0], "odile"),
      bone("again", [2, 0], "odile"),
      bone("before", [1, null], "odile", "flexion"),
      bone("again", [1, 1], "odile", "flexion"),
      bone("before", [2, 2], "odile", "side-bend"),
      bone("again", [0, 0], "tomas", "side-bend"),
    ]);
    expect(feltAgain({}, {}, felt).grades.bones).toEqual([
      [3, 2],
      [0, 0],
      [1, 1],
    ]);
    // nor does a second round enter what is compared before and after
    expect(
      compareBones(
        felt.filter(({ moment }) => moment === "before"),
        felt.filter(({ moment }) => moment === "after"),
      ),
    ).toEqual([]);
  });

  it("find the scatter that is there (simulation), and pool it with the usual one from five pairs on", () => {
    const random = seeded(7);
    const visits = Array.from({ length: 30 }, () => {
      const there = stations.map(() => 1.5 + 0.6 * random.normal());
      return feltAgain(round(there, 0.8, random), round(there, 0.8, random), []);
    });
    const { repeats, own, rate } = handRounds(visits);
    const [grades] = repeats;
    expect(grades!.pairs).toBe(30 * 9 * 4);
    // rounding adds 1/12, the ends of the scale take a little away
    expect(grades!.error.own).toBeGreaterThan(0.72);
    expect(grades!.error.own).toBeLessThan(0.9);
    expect(grades!.error.used).toBeCloseTo(grades!.error.own, 1);
    expect(rate!.sd).toBeCloseTo(0.5, 1);
    expect(gradeErrorWords("stations", own)).toMatch(/from 1080 pairs of your own/);
    // hands that scatter more tell less: the same difference is no longer told
    const [before, after] = [round([1, 1, 1, 1, 1, 1, 1, 1, 1], 0), round([2, 2, 2, 2, 2, 2, 2, 2, 2], 0)];
    const told = (se: number) =>
      compareListening(before, after, se).filter(({ verdict }) => verdict === "clear").length;
    expect(told(0.3)).toBe(18);
    expect(told(gradeError("stations", own).se)).toBe(0);
  });

  it("count for nothing before there are five pairs, and never finer than whole steps", () => {
    expect(gradeError("bones", { bones: { ratio: 0.1, dof: 4 } })).toEqual({ se: handError.grade });
    expect(gradeError("bones", { bones: { ratio: 0, dof: 500 } }).se).toBeCloseTo(1 / Math.sqrt(12), 10);
    expect(gradeErrorWords("bones")).toMatch(/±1\.0 \(common practice/);
  });
});

describe("the rate and the leading side before and after", () => {
  const at = (perMinute: number, se: number, symmetry: "even" | "left leads"): Listening => ({
    heels: { rate: { perMinute, se, cycles: 8 }, symmetry },
    ribs: { rate: { perMinute: perMinute + 1, se, cycles: 8 }, symmetry: "even" },
  });
  it("is the mean over the stations tapped both times, with the error of tapping", () => {
    const change = rateChange(at(8, 0.1, "even"), at(9, 0.1, "left leads"))!;
    expect(change).toMatchObject({ of: 2, verdict: "clear" });
    expect(change.difference).toBeCloseTo(1, 10);
    expect(change.se).toBeCloseTo(Math.sqrt(0.02) / Math.SQRT2, 10);
    expect(leadsChanged(at(8, 0.1, "even"), at(9, 0.1, "left leads"))).toEqual({ other: 1, of: 2 });
  });
  it("or of the hands, where those are known to differ by more within minutes", () => {
    const change = rateChange(at(8, 0.1, "even"), at(9, 0.1, "even"), { rate: { sd: 1.2, dof: 12 } })!;
    expect(change.se).toBeCloseTo(1.2, 10);
    expect(change.verdict).toBe("cannot be told");
    expect(rateChange({}, at(9, 0.1, "even"))).toBeUndefined();
  });
});
