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
  // published: 3 points for one activity, 2 for the mean at 90 % (Stratford et al., Physiotherapy Canada 47 (1995), from memory)
  it("asks of activities what the published figures come to at 95 %", () => {
    expect(published.oneActivity).toBeGreaterThanOrEqual(3 * (1.96 / 1.645));
    expect(published.meanActivity).toBeCloseTo(2 * (1.96 / 1.645), 1);
  });

  it.each([
    [3, 6, undefined],
    [3, 7, "better"],
    [7, 3, "worse"],
    [6, 4, undefined],
    [0, 10, "better"],
    [5, 5, undefined],
  ])("one activity from %i to %i: %s", (first, last, way) =>
    expect(judgeActivity(first, last)).toMatchObject({
      way,
      verdict: way ? "clear" : "cannot be told",
      needed: 4,
      difference: last - first,
    }),
  );

  // Farrar et al., Pain 94 (2001) 149–158: 2 points and 30 % of pain 0–10 are clinically important (from memory)
  it.each([
    [8, 6, undefined],
    [8, 5, "better"],
    [6, 4, "better"],
    [5, 4, undefined],
    [5, 3, "better"],
    [3, 2, undefined],
    [2, 0, "better"],
    [4, 6, "worse"],
    [0, 1, undefined],
    [0, 2, "worse"],
    [10, 7, "better"],
    [10, 8, undefined],
  ])("pain from %i to %i: %s", (first, last, way) => expect(judgePain(first, last).way).toBe(way));

  it("is symmetric for both, and never both ways", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 }), fc.integer({ min: 0, max: 10 }), (a, b) => {
        for (const judge of [judgeActivity, judgePain]) {
          const [there, back] = [judge(a, b).way, judge(b, a).way];
          expect([there, back].sort()).toEqual(there === undefined ? [undefined, undefined] : ["better", "worse"]);
        }
        if (b > a) expect(judgePain(a, b).way).not.toBe("better");
      }),
    );
  });
});

describe("a scale over the visits", () => {
  it("compares the first with the latest, whatever order they came in", () => {
    const mixed = [...scores("a", 3, 4, undefined, 7)].reverse();
    expect(trendOf(mixed, "a").map((each) => each.visit)).toEqual([1, 2, 4]);
    expect(changeOf(activity("a"), mixed)).toMatchObject({ first: 3, last: 7, way: "better" });
    expect(changeOf(pain, scores("p", 6, 6, 5))).toMatchObject({ verdict: "cannot be told", needed: 2 });
  });

  it("needs two visits", () => {
    expect(changeOf(activity("a"), [])).toBeUndefined();
    expect(changeOf(activity("a"), scores("a", 4))).toBeUndefined();
  });

  it("takes the mean over activities that were scored at both ends, with its smaller threshold", () => {
    const three = [activity("a"), activity("b"), activity("c"), pain];
    const all = [...scores("a", 3, 5), ...scores("b", 5, 8), ...scores("c", undefined, 9), ...scores("p", 9, 1)];
    expect(meanActivityChange(three, all)).toMatchObject({
      first: 4,
      last: 6.5,
      difference: 2.5,
      needed: 2.4,
      way: "better",
    });
    expect(meanActivityChange(three, [...scores("a", 3, 4), ...scores("b", 5, 7)])?.verdict).toBe("cannot be told");
    expect(meanActivityChange(three, scores("a", 3, 9))).toBeUndefined();
    expect(meanActivityChange(three, [])).toBeUndefined();
    expect(meanActivityChange([pain], scores("p", 9, 1))).toBeUndefined();
  });
});
