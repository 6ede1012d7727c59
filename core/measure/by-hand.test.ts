import { compare, incomparable, oneChangeEach } from "../change/compare";
import { compareMoments } from "../change/judge";
import { momentsOf, type PhotoAtVisit } from "../change/moments";
import { reach95 } from "../statistics/quantiles";
import { stances } from "./stance";
import { measurable, readByHand, type HandMeasurement } from "./by-hand";
import { handLimits, handMethods, methodsFor } from "./methods";
import { oneEach } from "./reading";
import { metrics } from "./metrics";

const measured = (change: Partial<HandMeasurement> = {}): HandMeasurement => ({
  ordinal: 1,
  moment: "before",
  readingId: "shoulder-level.front",
  method: "inclinometer",
  value: -6,
  ...change,
});

describe("measuring by hand", () => {
  it("can take every metric a picture can, but sums that only marks give", () => {
    const byHand = metrics.filter((metric) => !metric.pictureOnly);
    expect(new Set(measurable.map((each) => each.metric.key))).toEqual(new Set(byHand.map((metric) => metric.key)));
    expect(new Set(measurable.map((each) => each.id)).size).toBe(measurable.length);
    for (const { metric } of measurable) expect(methodsFor(metric).length).toBeGreaterThanOrEqual(2);
  });

  it("reads like a picture's reading, with the error of its method", () => {
    const reading = readByHand(measured())!;
    expect(reading).toMatchObject({ id: "shoulder-level.front", value: -6, se: 1.5, seRepeat: 1.5 });
    expect(reading.metric.key).toBe("shoulder-level");
    expect(reading.parts.reduce((sum, part) => sum + part.variance, 0)).toBeCloseTo(reading.se ** 2);
    for (const method of handMethods) expect(method.se).toBeGreaterThan(0);
  });

  it("refuses a method of another unit, and what it does not know", () => {
    expect(readByHand(measured({ method: "tape" }))).toBeUndefined();
    expect(readByHand(measured({ readingId: "mood.front" }))).toBeUndefined();
    expect(readByHand(measured({ method: "guess" as never }))).toBeUndefined();
  });

  it("judges change by the method's error and one standing's, as far as both are known", () => {
    const first = readByHand(measured({ value: -6 }))!;
    const needed = reach95(20) * Math.SQRT2 * Math.hypot(1.5, stances["shoulder-level"].sd);
    for (const [by, verdict] of [
      [needed + 0.1, "clear"],
      [needed - 0.1, "cannot be told"],
    ] as const)
      expect(compare(first, readByHand(measured({ value: -6 + by }))!).verdict).toBe(verdict);
  });

  it("takes an eye grade as a grade: two steps are a change, one is not", () => {
    const grade = (value: number) => readByHand(measured({ method: "eye", value }))!;
    expect(grade(-2)).toMatchObject({ unit: "grade", usual: [-0.5, 0.5], value: -2 });
    expect(compare(grade(-2), grade(-1)).verdict).toBe("cannot be told");
    expect(compare(grade(-2), grade(0))).toMatchObject({ verdict: "clear", direction: "towards" });
  });

  it("keeps plausible values within its limits", () => {
    for (const { metric } of measurable) {
      const [low, high] = handLimits[metric.unit];
      expect(low).toBeLessThan(metric.usual[0]);
      expect(high).toBeGreaterThan(metric.usual[1]);
    }
  });
});

describe("moments with pictures and hand measurements", () => {
  const none: PhotoAtVisit[] = [];

  it("orders them by visit, before ahead of after", () => {
    const keys = momentsOf(none, [
      measured({ ordinal: 2 }),
      measured({ moment: "after" }),
      measured(),
      measured({ readingId: "mood.front", ordinal: 3 }),
    ]).map((moment) => moment.key);
    expect(keys).toEqual(["1-before", "1-after", "2-before"]);
  });

  it("keeps every method of a metric side by side, and never mixes them", () => {
    const photo = { ordinal: 1, moment: "before", view: "front", setup: {}, marks: {} } as unknown as PhotoAtVisit;
    const seen = {
      ...readByHand(measured({ value: -4 }))!,
      method: "photo" as const,
      se: 0.8,
      seRepeat: 0.8,
      seStanding: 0.8,
    };
    const first = momentsOf([photo], [measured(), measured({ method: "eye", value: -2 })], () => [seen])[0]!;
    expect(first.readings.map(({ method, value }) => [method, value])).toEqual([
      ["photo", -4],
      ["inclinometer", -6],
      ["eye", -2],
    ]);
    expect(first.photos).toEqual([photo]);
    // one number, where one is needed: the most precise, an eye grade last of all
    expect(oneEach(first.readings).map(({ method }) => method)).toEqual(["photo"]);
    expect(oneEach(first.readings.slice(1)).map(({ method }) => method)).toEqual(["inclinometer"]);

    const again = readByHand(measured({ value: 2 }))!;
    expect(compareMoments(first.readings, [again]).map((change) => change.difference)).toEqual([8]);
    expect(() => compare(seen, again)).toThrow(
      "only one method can be compared with itself, got photo and inclinometer",
    );
    expect(incomparable(first.readings, [again])).toEqual([]);
    expect(incomparable([seen], [again]).map(([a, b]) => [a.method, b.method])).toEqual([["photo", "inclinometer"]]);
    const both = compareMoments(first.readings, [again, { ...seen, value: -3.9 }]);
    expect(both).toHaveLength(2);
    expect(oneChangeEach(both).map((change) => change.first.method)).toEqual(["photo"]);
  });

  it("takes the mean of standings by one method, and keeps methods apart", () => {
    const [moment] = momentsOf(none, [
      measured({ value: -6 }),
      measured({ value: -3, standing: 2 }),
      measured({ method: "eye", value: -2 }),
    ]);
    const [level, eye] = moment!.readings;
    expect(level).toMatchObject({ method: "inclinometer", value: -4.5, standings: 2 });
    // nothing of a careful measurement stays the same from standing to standing: its error falls with the root of two
    expect(level!.se).toBeCloseTo(1.5 / Math.SQRT2);
    expect(eye).toMatchObject({ method: "eye", value: -2, standings: 1 });
  });

  it("uses the standing study of whoever measured, of that method alone", () => {
    const steady = { standing: { "shoulder-level.front.inclinometer": { ratio: 0.5, dof: 30 } } };
    const own = { sem: {}, placing: {}, ...steady };
    const se = (change: Partial<HandMeasurement>) =>
      momentsOf(none, [measured(change)], undefined, { me: own })[0]!.readings[0]!.seStanding;
    const model = Math.hypot(1.5, stances["shoulder-level"].sd);
    expect(se({ measuredBy: "me" })).toBeCloseTo(model * Math.sqrt((30 * 0.25 + 10) / 40));
    expect(se({ measuredBy: "somebody else" })).toBeCloseTo(model);
    expect(se({ measuredBy: "me", method: "goniometer" })).toBeCloseTo(Math.hypot(2.5, stances["shoulder-level"].sd));
  });
});
