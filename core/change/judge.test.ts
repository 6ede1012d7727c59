import { metrics, type MetricKey } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import { seeded } from "../random";
import { testReading } from "../test/reading";
import { keptBetween, keptRange, keptShare, sharedBy, triplesOf, type Triple } from "./carry-over";
import { compare } from "./compare";
import { changeIn, compareMoments, pairsOf } from "./judge";
import { changeNames, changeWords } from "./words";

const of = (key: MetricKey, value: number, place: string, change: Partial<Reading> = {}): Reading =>
  testReading(
    metrics.find((metric) => metric.key === key)!,
    value,
    { id: `${key}.${place}`, ...change },
  );

describe("a visit's changes", () => {
  const before = [of("shoulder-level", 4, "front"), of("shoulder-level", 4.4, "back"), of("pelvic-tilt", 18, "L.left")];
  const after = [of("shoulder-level", 0, "front"), of("shoulder-level", 0.4, "back"), of("pelvic-tilt", 17, "L.left")];

  it("are found for a reading, be it a row of its own or part of one", () => {
    const changes = compareMoments(before, after);
    expect(changes.map(({ id }) => id)).toEqual(["shoulder-level.front+back", "pelvic-tilt.L.left"]);
    expect(changeIn(changes, after[0]!)!.id).toBe("shoulder-level.front+back");
    expect(changeIn(changes, after[1]!)!.id).toBe("shoulder-level.front+back");
    expect(changeIn(changes, after[2]!)!.id).toBe("pelvic-tilt.L.left");
    expect(changeIn(changes, of("knee-line", 1, "L.front"))).toBeUndefined();
  });

  it("are named and worded so that nobody asks which, or towards what", () => {
    const changes = compareMoments(before, after);
    expect(changeNames(changes)).toEqual(["Shoulder level, both views", "Pelvic tilt"]);
    expect(changes.map(changeWords)).toEqual(["clear, towards the usual", "cannot be told"]);
    expect(changeWords({ verdict: "possible", direction: "away" })).toBe("possible, away from the usual");
    expect(changeWords({ verdict: "clear", direction: undefined })).toBe("clear, within the usual range");
  });

  it("rank what no picture can tell last, however large it looks, and leave it out of the count", () => {
    const wide = { seStanding: 20, se: 20, seRepeat: 20 };
    const first = [...before, of("heel-line", 0, "L.back", wide)];
    const second = [...after, of("heel-line", 90, "L.back", wide)];
    const changes = compareMoments(first, second);
    expect(changes.at(-1)).toMatchObject({ id: "heel-line.L.back", verdict: "cannot be told", q: 1 });
    expect(changes[0]!.q).toBe(compareMoments(before, after)[0]!.q);
  });

  it("know less with few degrees of freedom: the same difference is no longer clear", () => {
    const at = (value: number, dof: number) => of("pelvic-tilt", value, "L.left", { dof });
    expect(compare(at(18, Infinity), at(15.1, Infinity)).verdict).toBe("clear");
    expect(compare(at(18, 3), at(15.1, 3)).verdict).toBe("cannot be told");
  });
});

describe("the share that was kept", () => {
  const triple = (d: number, n: number, se = 0.5): Triple => ({
    before: 10,
    after: 10 + d,
    next: 10 + n,
    seBefore: se,
    seAfter: se,
    seNext: se,
  });

  it("comes from all metrics together, the sure ones first", () => {
    const kept = keptShare([triple(-10, -5), triple(12, 6), triple(3, 9, 20)])!;
    expect(kept.share).toBeCloseTo(0.5, 2);
    expect(keptShare([])).toBeUndefined();
    expect(keptRange({ share: 0.5, low: 0.42, high: 0.58, told: true })).toBe("42–58 %");
  });

  it("is narrower the more metrics say it, and wider because they are of one body", () => {
    const width = (n: number, shared = sharedBy) => {
      const { low, high } = keptShare(
        Array.from({ length: n }, (_, i) => triple(i % 2 ? 6 : -6, i % 2 ? 3 : -3)),
        shared,
      )!;
      return high - low;
    };
    expect(width(12)).toBeLessThan(width(3));
    expect(width(12, 1)).toBeLessThan(width(12, 4));
  });

  it("covers everything where there is nothing to keep", () => {
    const random = seeded(6);
    const noise = Array.from({ length: 20 }, () => triple(0.5 * random.normal(), 0.5 * random.normal()));
    expect(keptShare(noise)!.told).toBe(false);
  });

  it("asks of each metric that all three moments have it, unmoved marks left out", () => {
    const level = (value: number, change: Partial<Reading> = {}) => of("shoulder-level", value, "front", change);
    expect(triplesOf([level(6)], [level(1)], [level(3)])).toHaveLength(1);
    expect(triplesOf([level(6)], [level(1)], [])).toEqual([]);
    expect(triplesOf([level(6)], [level(1)], [level(3, { copied: true })])).toEqual([]);
    expect(triplesOf([level(6)], [level(1, { copied: true })], [level(3)])).toEqual([]);
    // a new marker at the next visit adds what they see differently
    const mine = { marker: "me", seMarking: 1 };
    const [same] = triplesOf([level(6, mine)], [level(1, mine)], [level(3, mine)]);
    const [other] = triplesOf([level(6, mine)], [level(1, mine)], [level(3, { ...mine, marker: "you" })]);
    expect(other!.seNext).toBeGreaterThan(same!.seNext);
    expect(keptBetween([], 1)).toBeUndefined();
  });

  it("brings the later moment's views together with the same weights as the change", () => {
    const both = (front: number, back: number) => [
      of("shoulder-level", front, "front"),
      of("shoulder-level", back, "back", { se: 2 }),
    ];
    expect(pairsOf(both(6, 6), both(1, 2))).toHaveLength(1);
    const [found] = triplesOf(both(6, 6), both(1, 2), both(3, 5));
    expect(found!.next).toBeCloseTo((4 * 3 + 5) / 5, 10);
  });
});
