import fc from "fast-check";
import {
  changeOf,
  judgeActivity,
  judgePain,
  meanActivityChange,
  published,
  trendOf,
  type OwnMeasure,
  type OwnScore,
} from "./own-measures";

const activity = (id: string): OwnMeasure => ({ id, kind: "activity", name: id, retired: false });
const pain: OwnMeasure = { id: "p", kind: "pain", name: "low back", retired: false };
const scores = (id: string, ...values: (number | undefined)[]): OwnScore[] =>
  values.flatMap((score, i) => (score === undefined ? [] : [{ measureId: id, visit: i + 1, score }]));

describe("what counts as change", () => {
  // Stratford, Gill, Westaway & Binkley, Physiotherapy Canada 47 (1995) 258–263: minimal detectable change of the
  // patient-specific functional scale 3 points for one activity, 2 for the mean (from memory)
  it.each([
    [3, 5, "unclear"],
    [3, 6, "better"],
    [6, 3, "worse"],
    [6, 4, "unclear"],
    [0, 10, "better"],
    [5, 5, "unclear"],
  ])("one activity from %i to %i is %s", (first, last, verdict) =>
    expect(judgeActivity(first, last)).toMatchObject({ verdict, needed: 3, difference: last - first }),
  );

  // Farrar et al., Pain 94 (2001) 149–158: 2 points or 30 % of pain 0–10 is clinically important (from memory)
  it.each([
    [8, 6, "better"],
    [8, 7, "unclear"],
    [6, 4, "better"],
    [5, 4, "unclear"],
    [5, 3, "better"],
    [3, 2, "better"],
    [2, 1, "better"],
    [1, 0, "better"],
    [4, 6, "worse"],
    [0, 1, "unclear"],
    [0, 2, "worse"],
    [10, 8, "better"],
  ])("pain from %i to %i is %s", (first, last, verdict) => expect(judgePain(first, last).verdict).toBe(verdict));

  it("is symmetric for activities, and never both ways", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 }), fc.integer({ min: 0, max: 10 }), (a, b) => {
        const [there, back] = [judgeActivity(a, b).verdict, judgeActivity(b, a).verdict];
        expect([there, back].sort()).toEqual(there === "unclear" ? ["unclear", "unclear"] : ["better", "worse"]);
        const hurt = judgePain(a, b);
        if (b > a) expect(hurt.verdict).not.toBe("better");
        if (b < a) expect(hurt.verdict).not.toBe("worse");
        if (Math.abs(b - a) >= published.painPoints) expect(hurt.verdict).not.toBe("unclear");
      }),
    );
  });
});

describe("a scale over the visits", () => {
  it("compares the first with the latest, whatever order they came in", () => {
    const mixed = [...scores("a", 3, 4, undefined, 7)].reverse();
    expect(trendOf(mixed, "a").map((each) => each.visit)).toEqual([1, 2, 4]);
    expect(changeOf(activity("a"), mixed)).toMatchObject({ first: 3, last: 7, verdict: "better" });
    expect(changeOf(pain, scores("p", 6, 6, 5))).toMatchObject({ verdict: "unclear", needed: 2 });
  });

  it("needs two visits", () => {
    expect(changeOf(activity("a"), [])).toBeUndefined();
    expect(changeOf(activity("a"), scores("a", 4))).toBeUndefined();
  });

  it("takes the mean over activities that were scored at both ends, with its smaller threshold", () => {
    const three = [activity("a"), activity("b"), activity("c"), pain];
    const all = [...scores("a", 3, 5), ...scores("b", 5, 7), ...scores("c", undefined, 9), ...scores("p", 9, 1)];
    expect(meanActivityChange(three, all)).toMatchObject({
      first: 4,
      last: 6,
      difference: 2,
      needed: 2,
      verdict: "better",
    });
    expect(meanActivityChange(three, [...scores("a", 3, 4), ...scores("b", 5, 7)])?.verdict).toBe("unclear");
    expect(meanActivityChange(three, scores("a", 3, 9))).toBeUndefined();
    expect(meanActivityChange(three, [])).toBeUndefined();
    expect(meanActivityChange([pain], scores("p", 9, 1))).toBeUndefined();
  });
});
