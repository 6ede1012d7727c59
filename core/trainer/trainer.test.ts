import fc from "fast-check";
import { rateOfTaps } from "../light-touch/rhythm";
import { arcSteps } from "../light-touch/arc-steps";
import { seeded } from "../random";
import { handsAt, leaderOf, rhythmOf, scoreOrder, scoreRhythm, shuffledSteps, steadiness } from "./drills";
import { newtons, scoreForce, tareOf, type Weighed } from "./force";
import { progressOf } from "./progress";
import { answered, isOver, startStaircase, thresholdOf, turnsWanted } from "./staircase";

/** A hand that comes to a force with some overshoot and holds it: trembling (SD, of a slow tremor), creeping (g a minute). */
function hand({
  seconds = 60,
  target = 5,
  bias = 0,
  tremor = 0.4,
  creep = 0,
  over = 0,
  zero = 0,
  seed = 2,
}): Weighed[] {
  const random = seeded(seed);
  let shake = 0;
  return Array.from({ length: seconds * 100 }, (_, i): Weighed => {
    const at = i / 100;
    // a first-order chain whose standard deviation is the tremor
    shake = 0.9 * shake + tremor * Math.sqrt(1 - 0.9 ** 2) * random.normal();
    const onset = over * Math.exp(-(((at - 1.5) / 0.5) ** 2));
    return { at, grams: zero + target + bias + (creep * at) / 60 + shake + onset };
  });
}

describe("holding a force", () => {
  it("gives back what the hand really did", () => {
    const still = scoreForce(hand({ bias: 0.8, tremor: 0.3, over: 3 }), 5)!;
    expect(still.error).toBeCloseTo(0.8, 1);
    expect(still.steadiness).toBeCloseTo(0.3, 1);
    expect(still.overshoot).toBeGreaterThan(3.3);
    expect(still.within).toBeGreaterThan(0.6);
    expect(still.lost).toBe(0);
    // a normal error of 1 g about the target: mean of its size √(2/π), within one gram 68 %
    const loose = scoreForce(hand({ seconds: 200, tremor: 1 }), 5)!;
    expect(loose.error).toBeCloseTo(Math.sqrt(2 / Math.PI), 1);
    expect(loose.within).toBeCloseTo(0.683, 1);
  });

  it("states a drift whose band holds it in nineteen rounds of twenty", () => {
    let inside = 0;
    const runs = 120;
    for (let seed = 1; seed <= runs; seed++) {
      const { drift, driftBand } = scoreForce(hand({ seconds: 20, creep: 0.5, seed }), 5)!;
      if (Math.abs(drift - 0.5) <= driftBand) inside += 1;
    }
    expect(inside / runs).toBeGreaterThan(0.88);
    expect(inside / runs).toBeLessThan(1);
  });

  it("takes a zero off that was weighed first, and leaves out what dropped out", () => {
    const empty = Array.from({ length: 150 }, (_, i): Weighed => ({ at: i / 100, grams: 7.3 }));
    expect(tareOf(empty)).toBeCloseTo(7.3, 10);
    expect(tareOf(empty.slice(0, 50))).toBeUndefined();
    expect(tareOf([])).toBeUndefined();
    const round = hand({ zero: 7.3, tremor: 0.2 });
    expect(scoreForce(round, 5, 7.3)!.error).toBeLessThan(0.25);
    const gap = round.filter(({ at }) => at < 20 || at > 26);
    const { heard, lost, error } = scoreForce(gap, 5, 7.3)!;
    expect(heard).toBeCloseTo(49, 0);
    expect(lost).toBeCloseTo(6 / 55, 1);
    expect(error).toBeLessThan(0.25);
    expect(scoreForce(round.slice(0, 1200), 5)).toBeUndefined();
  });

  it("is five grams, 0.049 N (a coin of 5.000 g, United States Mint; 9.80665 m/s²)", () => {
    expect(newtons(5)).toBeCloseTo(0.049, 4);
  });
});

describe("telling two hands apart", () => {
  /** Right in a share of trials that rises from one half (guessing) with the logarithm of the difference. */
  const observer = (level: number, threshold: number, random: { uniform: () => number }) => {
    const share = 0.5 + 0.5 / (1 + (threshold / level) ** 3);
    return { share, right: random.uniform() < share };
  };

  it("converges on what is told right in 70.7 % of trials (Levitt 1971)", () => {
    const threshold = 0.3;
    const found: number[] = [];
    for (let seed = 1; seed <= 400; seed++) {
      const random = seeded(seed);
      let stair = startStaircase();
      while (!isOver(stair)) stair = answered(stair, observer(stair.level, threshold, random).right);
      found.push(Math.log(thresholdOf(stair)!.value));
    }
    const mean = Math.exp(found.reduce((sum, each) => sum + each, 0) / found.length);
    const { share } = observer(mean, threshold, seeded(1));
    expect(share).toBeGreaterThan(0.67);
    expect(share).toBeLessThan(0.75);
  });

  it("goes down after two right answers running, up after a wrong one, and ends with its turns", () => {
    let stair = startStaircase(0.5);
    stair = answered(stair, true);
    expect(stair.level).toBe(0.5);
    stair = answered(stair, true);
    expect(stair.level).toBeLessThan(0.5);
    const down = stair.level;
    stair = answered(stair, false);
    expect(stair.level).toBeGreaterThan(down);
    expect(stair.turns).toEqual([down]);
    expect(thresholdOf(stair)).toBeUndefined();
    for (let i = 0; !isOver(stair); i++) stair = answered(stair, i % 3 !== 2);
    expect(stair.turns).toHaveLength(turnsWanted);
    const { low, value, high } = thresholdOf(stair)!;
    expect(low).toBeLessThanOrEqual(value);
    expect(value).toBeLessThanOrEqual(high);
  });
});

describe("a made-up rhythm", () => {
  it("is told right by taps at its turns, with its leader", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const truth = rhythmOf(seed);
        expect(truth.perMinute).toBeGreaterThanOrEqual(5);
        expect(truth.perMinute).toBeLessThanOrEqual(13);
        const taps = Array.from({ length: 8 }, (_, i) => (60 / truth.perMinute) * i + 0.02 * Math.sin(7 * i));
        const score = scoreRhythm(truth, rateOfTaps(taps)!, leaderOf(truth));
        expect(score.leader).toBe(true);
        expect(Math.abs(score.off)).toBeLessThan(0.2);
        // who leads is ahead: at the leader's zero the other has not come there yet
        const quarter = handsAt(truth, 0);
        if (truth.ahead !== 0) expect(Math.sign(quarter.L - quarter.R)).toBe(Math.sign(truth.ahead));
      }),
      { numRuns: 50 },
    );
  });
});

describe("the order of the arc", () => {
  it("is shuffled, and scored by the pairs that stand the wrong way round", () => {
    const right = arcSteps.map(({ key }) => key);
    expect(scoreOrder(right)).toMatchObject({ wrong: 0, of: 45 });
    expect(scoreOrder([...right].reverse()).wrong).toBe(45);
    for (const seed of [1, 2, 3]) {
      const order = shuffledSteps(seeded(seed));
      expect([...order].sort()).toEqual([...right].sort());
      expect(scoreOrder(order).wrong).toBeGreaterThan(0);
      for (const { why } of scoreOrder(order).places) expect(why.length).toBeGreaterThan(10);
    }
  });
});

describe("whether practice still shows", () => {
  it("needs ten rounds, tells a clear gain, and says when there is none", () => {
    expect(progressOf([3, 3, 3, 2, 2, 2, 1, 1, 1])).toBeUndefined();
    expect(progressOf([3, 3.1, 2.9, 3, 3.2, 1, 1.1, 0.9, 1, 1.2])).toMatchObject({ still: "better" });
    expect(progressOf([1, 1.1, 0.9, 1, 1.2, 3, 3.1, 2.9, 3, 3.2])).toMatchObject({ still: "worse" });
    expect(progressOf([1, 1.1, 0.9, 1, 1.2, 1, 1.2, 0.9, 1.1, 1])).toMatchObject({ still: "no more" });
  });

  it("calls no more than one in twenty better or worse where nothing changes", () => {
    let called = 0;
    for (let seed = 1; seed <= 1000; seed++) {
      const random = seeded(seed);
      if (progressOf(Array.from({ length: 10 }, () => random.normal()))!.still !== "no more") called += 1;
    }
    expect(called / 1000).toBeLessThan(0.07);
  });
});

describe("how steadily a rhythm is tapped", () => {
  const rhythm = { perMinute: 8, left: 1, right: 1, ahead: 0 };
  it("is the scatter of the taps in its cycle, whenever they began (simulation)", () => {
    const random = seeded(4);
    const taps = Array.from({ length: 200 }, (_, i) => 123.4 + 7.5 * i + 0.4 * random.normal());
    expect(steadiness(rhythm, taps)!.scatter).toBeCloseTo(0.4, 1);
    expect(steadiness(rhythm, taps)!.follows).toBe(true);
  });
  it("is none where the taps follow another rhythm", () => {
    expect(
      steadiness(
        rhythm,
        Array.from({ length: 40 }, (_, i) => 6.1 * i),
      )!.follows,
    ).toBe(false);
  });
});
