import { compare } from "../change/compare";
import { momentsOf, type PhotoAtVisit } from "../change/moments";
import { smallestRealChange } from "../repeatability/mdc";
import { handLimits, measurable, methods, methodsFor, readByHand, type HandMeasurement } from "./by-hand";
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
  it("can take every metric a picture can", () => {
    expect(new Set(measurable.map((each) => each.metric.key))).toEqual(new Set(metrics.map((metric) => metric.key)));
    expect(new Set(measurable.map((each) => each.id)).size).toBe(measurable.length);
    for (const { metric } of measurable) expect(methodsFor(metric).length).toBeGreaterThanOrEqual(2);
  });

  it("reads like a picture's reading, with the error of its method", () => {
    const reading = readByHand(measured())!;
    expect(reading).toMatchObject({ id: "shoulder-level.front", value: -6, se: 1.5, seRepeat: 1.5 });
    expect(reading.metric.key).toBe("shoulder-level");
    expect(reading.parts.reduce((sum, part) => sum + part.variance, 0)).toBeCloseTo(reading.se ** 2);
    for (const method of methods) expect(method.se).toBeGreaterThan(0);
  });

  it("refuses a method of another unit, and what it does not know", () => {
    expect(readByHand(measured({ method: "tape" }))).toBeUndefined();
    expect(readByHand(measured({ readingId: "mood.front" }))).toBeUndefined();
    expect(readByHand(measured({ method: "eye" as never }))).toBeUndefined();
  });

  it("judges change by both errors: 1.96 times the root of their squares' sum", () => {
    const first = readByHand(measured({ value: -6 }))!;
    const needed = 1.96 * Math.hypot(1.5, 2.5);
    for (const [by, verdict] of [
      [needed + 0.1, "real"],
      [needed - 0.1, "unclear"],
    ] as const)
      expect(compare(first, readByHand(measured({ value: -6 + by, method: "goniometer" }))!).verdict).toBe(verdict);
    expect(smallestRealChange(1.5, 2.5)).toBeCloseTo(needed, 2);
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

  it("lets the smaller error count where both say something", () => {
    const photo = { ordinal: 1, moment: "before", view: "front", setup: {}, marks: {} } as unknown as PhotoAtVisit;
    const precise = { ...readByHand(measured({ value: -4 }))!, se: 0.8 };
    const read = () => [precise];
    expect(momentsOf([photo], [measured()], read)[0]!.readings.map((each) => each.value)).toEqual([-4]);
    const vague = () => [{ ...precise, se: 3 }];
    expect(momentsOf([photo], [measured()], vague)[0]!.readings.map((each) => each.value)).toEqual([-6]);
    const other = momentsOf([photo], [measured({ readingId: "head-tilt.front", value: 2 })], read)[0]!;
    expect(other.readings.map((each) => each.id)).toEqual(["shoulder-level.front", "head-tilt.front"]);
    expect(other.photos).toEqual([photo]);
  });
});
