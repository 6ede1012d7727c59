import { lightLines } from "./light-note";
import fc from "fast-check";
import {
  balanceOf,
  balanceWords,
  boneFault,
  bonesAfter,
  compareBones,
  lockedSegments,
  segmentOf,
  segments,
  stuckEnds,
  type BoneEvent,
  type BoneFelt,
} from "./bones";
import { stillPointsAfter, stillWords, type StillEvent } from "./still-point";

const felt = (rest: Partial<BoneFelt> = {}): BoneFelt => ({
  moment: "before",
  segment: "sphenoid",
  test: "torsion",
  side: null,
  range: [3, 0],
  step: null,
  eased: [false, false],
  ...rest,
});
const event = (body: BoneFelt, i = 0): BoneEvent => ({ id: `${i}`, at: "2026-03-02T10:00:00Z", kind: "bone", body });
const grade = fc.constantFrom(0, 1, 2, 3);

describe("how a bone moves", () => {
  it("has segments with tests of two ends, and refuses what is none by field, rule and value", () => {
    expect(new Set(segments.map(({ key }) => key)).size).toBe(segments.length);
    expect(boneFault(felt())).toBeUndefined();
    expect(boneFault(felt({ segment: "coccyx" }))).toMatch(/“coccyx” is not felt here/);
    expect(boneFault(felt({ test: "in-out" }))).toMatch(/Test of sphenoid: “in-out” is none/);
    expect(boneFault(felt({ side: "L" }))).toMatch(/Side of sphenoid: none is taken/);
    expect(boneFault(felt({ range: [4, 0] }))).toMatch(/whole grades from 0 to 3 at two ends, got 4/);
    expect(boneFault(felt({ segment: "temporals", test: "rotation" }))).toMatch(/left or right/);
  });

  it("balances as the brief has it, and its error is what both grades really scatter it by", () => {
    expect(balanceOf([3, 1])!.index).toBe(0.5);
    expect(balanceOf([0, 0])).toEqual({ index: 0, se: 1 });
    expect(balanceOf([2, null])).toBeUndefined();
    // propagated by the slope: against differences of a small step
    fc.assert(
      fc.property(grade, grade, (a, b) => {
        fc.pre(a + b > 0);
        const { index, se } = balanceOf([a, b], 1e-4)!;
        const by = (da: number, db: number) => (a + da - b - db) / (a + da + b + db) - index;
        expect(se).toBeCloseTo(Math.hypot(by(1e-4, 0), by(0, 1e-4)), 6);
        // the ends exchanged it is the same, the other way
        expect(balanceOf([b, a])!.index).toBeCloseTo(-index, 12);
      }),
    );
  });

  it("says a balance with its error, or that it cannot be told", () => {
    expect(balanceWords(balanceOf([3, 0])!, ["left", "right"])).toBe("balance 1.00 ±0.65 towards left");
    expect(balanceWords(balanceOf([0, 0])!, ["left", "right"])).toBe("balance: cannot be told");
    expect(balanceWords(balanceOf([2, 2])!, ["left", "right"])).toBe("balance 0.00 ±0.35");
  });

  it("finds what is stuck towards one end, and what is locked altogether", () => {
    expect(stuckEnds([felt()])).toEqual([{ felt: felt(), end: 1 }]);
    expect(stuckEnds([felt({ range: [2, 2] }), felt({ range: [1, 1] })])).toEqual([]);
    const locked = ["flexion", "torsion"].map((test) => felt({ test, range: [1, 0] }));
    expect(lockedSegments(locked)).toEqual([segmentOf("sphenoid")]);
    expect(lockedSegments([...locked, felt({ test: "side-bend", range: [2, 1] })])).toEqual([]);
    expect(lockedSegments(locked.slice(0, 1))).toEqual([]);
  });

  it("is compared end by end, judged together: one step cannot be told, from stuck to free can", () => {
    const judged = compareBones(
      [felt(), felt({ test: "flexion", range: [2, null] })],
      [felt({ moment: "after", range: [3, 3] }), felt({ moment: "after", test: "flexion", range: [3, 1] })],
    );
    expect(judged.map(({ test, end, before, after, verdict }) => [test.key, end, before, after, verdict])).toEqual([
      ["torsion", 0, 3, 3, "cannot be told"],
      ["torsion", 1, 0, 3, "clear"],
      ["flexion", 0, 2, 3, "cannot be told"],
    ]);
  });

  it("is judged by whose hands felt it, and not at all where two practitioners did", () => {
    const [first, second] = [felt({ by: "odile" }), felt({ moment: "after", range: [3, 3], by: "odile" })];
    const unsteady = { odile: { bones: { ratio: 4, dof: 60 } } };
    const verdict = (after: BoneFelt, hands = {}) =>
      compareBones([first], [after], hands).find(({ end }) => end === 1)!;
    expect(verdict(second)).toMatchObject({ verdict: "clear", otherHands: false });
    expect(verdict(second, unsteady)).toMatchObject({ verdict: "cannot be told", otherHands: false });
    expect(verdict({ ...second, by: "tomas" })).toMatchObject({ verdict: "cannot be told", otherHands: true });
    expect(lightLines([event(first), event(second)], 1)).toEqual([
      expect.stringMatching(/0 → 3 of 3 \(clear, freer\)/),
    ]);
    expect(lightLines([event(first), event(second)], 1, unsteady)).toEqual([
      expect.stringMatching(/0 → 3 of 3 \(cannot be told\)/),
    ]);
  });

  it("stands as it was pressed last, and nothing in it takes it back", () => {
    const nothing = felt({ range: [null, null] });
    expect(bonesAfter([event(felt()), event(felt({ range: [1, 1] }))])).toEqual([felt({ range: [1, 1] })]);
    expect(bonesAfter([event(felt()), event(nothing)])).toEqual([]);
    expect(bonesAfter([event(felt()), event(felt({ moment: "after" }))])).toHaveLength(2);
  });
});

describe("a still point", () => {
  const press = (second: number, body: StillEvent["body"]): StillEvent => ({
    id: `${second} ${body.press}`,
    at: new Date(Date.UTC(2026, 2, 2, 10, 0, second)).toISOString(),
    kind: "still",
    body,
  });
  const log = [
    press(0, { point: "a", press: "on", place: "occiput", rate: 9 }),
    press(160, { point: "a", press: "still" }),
    press(230, { point: "a", press: "back", how: null, rate: null }),
    press(250, { point: "a", press: "back", how: "full and even", rate: 7.5 }),
  ];

  it("is timed by one press each, and how it came back may be told afterwards", () => {
    const [found] = stillPointsAfter(log);
    expect(found).toMatchObject({ toStill: 160, still: 70, back: "full and even", rateBefore: 9, rateAfter: 7.5 });
    expect(stillWords(found!)).toBe(
      "At the occiput: still after 2:40 min, for 1:10 min; full and even; 9.0 → 7.5 a minute",
    );
  });

  it("is not changed by a press that comes twice or out of its order", () => {
    expect(stillPointsAfter([...log, log[1]!, log[0]!])).toEqual(stillPointsAfter(log));
    expect(stillPointsAfter([press(5, { point: "b", press: "still" })])).toEqual([]);
    const [none] = stillPointsAfter([log[0]!, press(300, { point: "a", press: "given up" }), log[2]!]);
    expect(stillWords(none!)).toBe("At the occiput: none came");
    expect(stillWords(stillPointsAfter(log.slice(0, 2))[0]!)).toMatch(/still after 2:40 min, not back yet/);
  });
});
