import { calibrate, locate, type Scene } from "./calibration";
import { still } from "../test/standing";
import { measure, usualPrecision } from "./propagate";
import { metrics, sidesIn, type MetricKey } from "./metrics";
import { readPhoto } from "./read-photo";
import type { View } from "./view";
import { seeded } from "../random";
import fc from "fast-check";

const setup = {
  width: 800,
  height: 1200,
  stickLength: 1000,
  cameraDistance: 3000,
  cameraHeight: 950,
  stature: 1750,
};
/** 2 mm per pixel, upright, stick and plumb away from the body. */
const references = {
  "plumb.top": { x: 100, y: 100 },
  "plumb.foot": { x: 100, y: 1000 },
  "stick.top": { x: 700, y: 300 },
  "stick.foot": { x: 700, y: 800 },
};
const scene = (view: View, marks: Scene["marks"]): Scene => ({
  view,
  setup,
  marks: { ...references, ...marks },
  depth: {},
  yaw: 0,
});
const metric = (key: MetricKey, view: View) => metrics.find((each) => each.key === key && each.views.includes(view))!;

describe("calibration", () => {
  it("takes the scale from the stick and the roll from the plumb line", () => {
    const tilted = scene("front", {
      "plumb.top": { x: 100, y: 100 },
      "plumb.foot": { x: 100 + 900 * Math.tan(0.05), y: 1000 },
    });
    expect(calibrate(scene("front", {}))).toEqual({ roll: 0, mmPerPx: 2 });
    expect(calibrate(tilted)!.roll).toBeCloseTo(0.05, 10);
  });

  it("is undefined until all four ends are marked, or when two of them coincide", () => {
    const { "plumb.top": top, "plumb.foot": foot, "stick.foot": end } = references;
    const rest = { "plumb.top": top, "plumb.foot": foot, "stick.foot": end };
    expect(calibrate({ ...scene("front", {}), marks: rest })).toBeUndefined();
    expect(calibrate(scene("front", { "stick.top": references["stick.foot"] }))).toBeUndefined();
  });

  it("scales a point at its own depth: 15 cm nearer a 3 m camera is 5 % smaller than it looks", () => {
    const calibration = { roll: 0, mmPerPx: 2 };
    const near = {
      ...scene("front", { "acromion.L": { x: 500, y: 600 } }),
      depth: { "acromion.L": 150 },
    } as Scene;
    const level = locate({ ...near, depth: { "acromion.L": 0.002 * 1750 } }, calibration, "acromion.L")!;
    const place = locate({ ...near, depth: { "acromion.L": 150 + 0.002 * 1750 } }, calibration, "acromion.L")!;
    expect(level.across).toBeCloseTo(200, 6);
    expect(place.across / level.across).toBeCloseTo(0.95, 6);
  });
});

describe("metrics", () => {
  const value = (key: MetricKey, view: View, marks: Scene["marks"], side?: "L" | "R") =>
    measure(metric(key, view), side, scene(view, marks), still)!.value;

  it("calls the left shoulder higher when it is higher on the picture's right (front view)", () => {
    // both acromia lie at one depth, so the angle is that of the pixels
    const angle = value("shoulder-level", "front", {
      "acromion.R": { x: 300, y: 400 },
      "acromion.L": { x: 500, y: 393 },
    });
    expect(angle).toBeCloseTo((Math.atan2(7, 200) * 180) / Math.PI, 6);
    const mirrored = value("shoulder-level", "back", {
      "acromion.L": { x: 300, y: 393 },
      "acromion.R": { x: 500, y: 400 },
    });
    expect(mirrored).toBeCloseTo(angle, 6);
  });

  it("measures forward as forward from either side", () => {
    const marks = { "malleolus.L": { x: 400, y: 1100 }, "trochanter.L": { x: 380, y: 700 } };
    const other = { "malleolus.R": { x: 400, y: 1100 }, "trochanter.R": { x: 420, y: 700 } };
    const left = value("trochanter-offset", "left", marks, "L");
    expect(left).toBeGreaterThan(30);
    expect(value("trochanter-offset", "right", other, "R")).toBeCloseTo(left, 6);
  });

  it("gives a smaller craniovertebral angle when the head goes forward", () => {
    const at = (x: number) =>
      value("craniovertebral", "left", { c7: { x: 420, y: 380 }, "tragus.L": { x, y: 320 } }, "L");
    expect(at(380)).toBeGreaterThan(at(360));
  });

  it("calls knees drawn together inward on both sides", () => {
    const marks = {
      "asis.R": { x: 340, y: 560 },
      "patella.R": { x: 372, y: 850 },
      "ankle.R": { x: 355, y: 1120 },
      "asis.L": { x: 460, y: 560 },
      "patella.L": { x: 428, y: 850 },
      "ankle.L": { x: 445, y: 1120 },
    };
    const [right, left] = [value("knee-line", "front", marks, "R"), value("knee-line", "front", marks, "L")];
    expect(right).toBeGreaterThan(5);
    expect(left).toBeCloseTo(right, 6);
  });

  it("leaves out what has no landmarks and keeps the rest", () => {
    const photo = {
      view: "front" as const,
      setup,
      marks: scene("front", { "tragus.R": { x: 380, y: 320 }, "tragus.L": { x: 420, y: 318 } }).marks,
    };
    expect(readPhoto(photo).map((reading) => reading.id)).toEqual(["head-tilt.front"]);
  });

  it("does not depend on camera roll once the plumb is marked", () => {
    const points = {
      "acromion.R": { x: 300, y: 400 },
      "acromion.L": { x: 500, y: 393 },
      "tragus.R": { x: 380, y: 300 },
      "tragus.L": { x: 420, y: 305 },
    };
    fc.assert(
      fc.property(fc.double({ min: -0.12, max: 0.12, noNaN: true }), (angle) => {
        const turn = ({ x, y }: { x: number; y: number }) => ({
          x: 400 + (x - 400) * Math.cos(angle) - (y - 600) * Math.sin(angle),
          y: 600 + (x - 400) * Math.sin(angle) + (y - 600) * Math.cos(angle),
        });
        const upright = scene("front", points);
        const rolled = {
          ...upright,
          marks: Object.fromEntries(Object.entries(upright.marks).map(([key, at]) => [key, turn(at)])),
        };
        for (const key of ["shoulder-level", "head-tilt"] as const)
          expect(measure(metric(key, "front"), undefined, rolled, still)!.value).toBeCloseTo(
            measure(metric(key, "front"), undefined, upright, still)!.value,
            8,
          );
      }),
    );
  });
});

describe("error propagation", () => {
  it("agrees with the placing formula SD = √2·σ/d for a tilt", () => {
    const marks = { "acromion.R": { x: 300, y: 400 }, "acromion.L": { x: 500, y: 400 } };
    const { se } = measure(metric("shoulder-level", "front"), undefined, scene("front", marks), {
      ...still,
      pointingPx: 2,
    })!;
    const depth = measure(metric("shoulder-level", "front"), undefined, scene("front", marks), still)!.se;
    const placing = Math.sqrt(se ** 2 - depth ** 2);
    expect(placing).toBeCloseTo(((Math.SQRT2 * 2) / 200) * (180 / Math.PI), 3);
  });

  it("agrees with simulation: the spread of re-marked values is the stated standard error", () => {
    const marks = { c7: { x: 420, y: 380 }, "tragus.L": { x: 375, y: 320 } };
    const base = scene("left", marks);
    const precision = { ...usualPrecision, placing: 0, cameraDistance: 0, cameraHeight: 0, yaw: 0 };
    const stated = measure(metric("craniovertebral", "left"), "L", base, precision)!;
    const random = seeded(7);
    const values: number[] = [];
    for (let i = 0; i < 6000; i++) {
      const jitter = (at: { x: number; y: number }, sd: number) => ({
        x: at.x + sd * random.normal(),
        y: at.y + sd * random.normal(),
      });
      const moved = Object.fromEntries(Object.entries(base.marks).map(([key, at]) => [key, jitter(at, 1)]));
      const depth = { c7: 14 * random.normal(), "tragus.L": 14 * random.normal() };
      values.push(measure(metric("craniovertebral", "left"), "L", { ...base, marks: moved, depth }, still)!.value);
    }
    const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
    const sd = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1));
    expect(Math.abs(mean - stated.value)).toBeLessThan(0.1);
    expect(sd / stated.se).toBeGreaterThan(0.95);
    expect(sd / stated.se).toBeLessThan(1.05);
  });

  it("names the causes and lets them sum to the whole", () => {
    const marks = { c7: { x: 420, y: 380 }, "tragus.L": { x: 375, y: 320 } };
    const { se, seRepeat, parts } = measure(metric("craniovertebral", "left"), "L", scene("left", marks))!;
    expect(Math.sqrt(parts.reduce((sum, part) => sum + part.variance, 0))).toBeCloseTo(se, 10);
    expect(parts[0]).toMatchObject({ cause: "placing", point: "c7" });
    expect(seRepeat).toBeLessThan(se);
  });

  it("takes each metric once per side it is defined for", () => {
    expect(sidesIn(metric("knee-line", "front"), "front")).toEqual(["R", "L"]);
    expect(sidesIn(metric("pelvic-tilt", "right"), "right")).toEqual(["R"]);
    expect(sidesIn(metric("head-tilt", "front"), "front")).toEqual([undefined]);
  });
});
