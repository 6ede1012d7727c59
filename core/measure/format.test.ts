import fc from "fast-check";
import { directionWord, formatBand, formatDifference, formatHalf, formatSigned, formatValue, unitSign } from "./format";
import { metrics, type MetricKey } from "./metrics";
import type { Unit } from "../units";
import { stanceLine } from "./stance-line";
import { pointsOfView, usualDepth, views, viewName } from "./view";
import { landmarks, pointName, splitPoint } from "../anatomy/landmarks";

const metric = (key: MetricKey) => metrics.find((each) => each.key === key)!;
const said = (key: MetricKey, value: number, unit: Unit = metric(key).unit) =>
  directionWord({ unit, metric: metric(key) }, value);

describe("numbers as they are read", () => {
  it("writes degrees with one decimal and millimetres whole, with a real minus sign", () => {
    expect(formatValue(metric("pelvic-tilt"), 13.94)).toBe("13.9");
    expect(formatValue(metric("trunk-shift"), -14.4)).toBe("−14");
    expect(formatSigned(metric("trunk-shift"), 14.4)).toBe("+14");
    expect(formatSigned(metric("pelvic-tilt"), -5.72)).toBe("−5.7");
  });

  it("never writes minus nothing", () => {
    expect(formatValue(metric("trunk-shift"), -0.3)).toBe("0");
    expect(formatSigned(metric("pelvic-tilt"), -0.04)).toBe("0.0");
    expect(said("shoulder-level", -0.04)).toBe("");
  });

  it("gives a band of 95 %, with the unit", () => {
    expect(formatBand(metric("craniovertebral"), 1.58)).toBe("±3°");
    expect(formatBand(metric("tragus-offset"), 6.1)).toBe("±12 mm");
    expect(unitSign(metric("knee-line"))).toBe("°");
    expect(formatBand({ unit: "grade" }, 0.5)).toBe("±1.0");
    expect(formatSigned({ unit: "grade" }, -2)).toBe("−2");
  });

  it("says what a sign means", () => {
    expect(said("shoulder-level", 3)).toBe("right low");
    expect(said("shoulder-level", -3)).toBe("left low");
    expect(said("knee-line", 4)).toBe("inward");
    expect(said("craniovertebral", -2, "grade")).toBe("head forward");
  });

  it("gives no more decimals than the error leaves: none from a band of two degrees on", () => {
    const level = (se: number) => ({ unit: "deg" as const, metric: metric("shoulder-level"), se });
    expect(formatValue(level(0.5), 3.44)).toBe("3.4");
    expect(formatValue(level(1.5), 3.44)).toBe("3");
    expect(formatBand(level(0.5), 0.5)).toBe("±1.0°");
    expect(formatHalf(level(1.5), 2.9)).toBe("±3°");
    expect(formatDifference(level(0.4), { difference: -3.44, band: 1.6 })).toBe("−3.4 ±1.6°");
    expect(formatDifference(level(0.4), { difference: 6.2, band: 4.1 })).toBe("+6 ±4°");
    expect(formatDifference({ unit: "mm" }, { difference: -76.3, band: 22.8 })).toBe("−76 ±23 mm");
  });

  it("names no direction that the error leaves open", () => {
    const of = (se: number) => ({ unit: "deg" as const, metric: metric("shoulder-level"), se });
    expect(directionWord(of(1), 3)).toBe("right low");
    expect(directionWord(of(2), 3)).toBe("");
    expect(directionWord(of(1), -1.9)).toBe("");
  });

  it("keeps the order of values (any two)", () => {
    const read = (text: string) => Number(text.replace("−", "-"));
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (a, b) => {
          const [low, high] = a < b ? [a, b] : [b, a];
          for (const key of ["pelvic-tilt", "trunk-shift"] as const)
            expect(read(formatValue(metric(key), low))).toBeLessThanOrEqual(read(formatValue(metric(key), high)));
        },
      ),
    );
  });
});

describe("metrics, views and landmarks fit together", () => {
  it("asks in each view for every landmark its metrics need", () => {
    for (const view of views)
      for (const each of metrics.filter((candidate) => candidate.views.includes(view)))
        for (const side of view === "left"
          ? (["L"] as const)
          : view === "right"
            ? (["R"] as const)
            : (["L", "R"] as const))
          for (const point of each.points(side))
            expect({ view, metric: each.key, point, asked: pointsOfView[view].includes(point) }).toMatchObject({
              asked: true,
            });
  });

  it("uses every landmark it asks for", () => {
    for (const view of views)
      for (const point of pointsOfView[view]) {
        const used = metrics.some(
          (each) =>
            each.views.includes(view) && (["L", "R"] as const).some((side) => each.points(side).includes(point)),
        );
        expect({ view, point, used }).toMatchObject({ used: true });
      }
  });

  it("has ranges the right way round, each with a source", () => {
    for (const each of metrics) {
      expect(each.usual[0]).toBeLessThan(each.usual[1]);
      expect(each.source.length).toBeGreaterThan(5);
    }
  });

  it("puts what faces the camera nearer than what does not", () => {
    expect(usualDepth("front", "asis.L", 1750)).toBeGreaterThan(100);
    expect(usualDepth("back", "psis.L", 1750)).toBeGreaterThan(50);
    expect(usualDepth("left", "acromion.L", 1750)).toBeGreaterThan(100);
    expect(usualDepth("left", "c7", 1750) + 0).toBe(0);
    expect(usualDepth("right", "tragus.R", 1750)).toBeCloseTo(usualDepth("left", "tragus.L", 1750), 10);
  });

  it("names points with their side, in the client's own words for left and right", () => {
    expect(pointName("acromion.R")).toBe("Acromion, right");
    expect(pointName("c7")).toBe("C7 spinous process");
    expect(splitPoint("sternal-notch")).toEqual({ landmark: "sternal-notch", side: undefined });
    expect(Object.values(landmarks).every((landmark) => landmark.placing > 0 && landmark.depthSd > 0)).toBe(true);
    expect(new Set(Object.values(viewName)).size).toBe(4);
  });
});

describe("the stance line", () => {
  const setup = { width: 800, height: 1200, stickLength: 1000, cameraDistance: 3000, cameraHeight: 950, stature: 1750 };
  const references = {
    "plumb.top": { x: 100, y: 100 },
    "plumb.foot": { x: 100, y: 1000 },
    "stick.top": { x: 700, y: 300 },
    "stick.foot": { x: 700, y: 800 },
  };
  const front = {
    ...references,
    "ankle.R": { x: 355, y: 1050 },
    "ankle.L": { x: 445, y: 1050 },
    "asis.R": { x: 340, y: 560 },
    "asis.L": { x: 460, y: 560 },
    "patella.R": { x: 355, y: 850 },
    "patella.L": { x: 445, y: 850 },
  };

  it("stands on the middle of the ankles, in millimetres from the floor", () => {
    const line = stanceLine({ view: "front", setup, marks: front })!;
    const ends = line.chains.filter((chain) => chain.length === 3).map((chain) => chain[2]!);
    expect(ends).toHaveLength(2);
    expect(ends[0]!.across + ends[1]!.across).toBeCloseTo(0, 6);
    for (const end of ends) expect(end.up).toBeGreaterThan(0);
  });

  it("is the same wherever the client stood in the picture", () => {
    const moved = Object.fromEntries(
      Object.entries(front).map(([key, at]) => [
        key,
        { x: at.x + (key.includes("plumb") || key.includes("stick") ? 0 : 40), y: at.y },
      ]),
    );
    const [one, two] = [front, moved].map((marks) => stanceLine({ view: "front", setup, marks })!);
    const shift = two!.chains.flat().map((point, i) => point.across - one!.chains.flat()[i]!.across);
    for (const by of shift) expect(Math.abs(by)).toBeLessThan(4);
  });

  it("leaves out what is not marked, and is nothing without ankles or calibration", () => {
    expect(stanceLine({ view: "front", setup, marks: references })).toBeUndefined();
    const { "stick.top": _end, ...unscaled } = front;
    void _end;
    expect(stanceLine({ view: "front", setup, marks: unscaled })).toBeUndefined();
    const line = stanceLine({ view: "front", setup, marks: front })!;
    expect(line.chains).toHaveLength(3);
  });
});
