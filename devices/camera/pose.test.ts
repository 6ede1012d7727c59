import fc from "fast-check";
import type { View } from "../../core/measure/view";
import { figureOf } from "./camera";
import { cone, ellipsoid, join, loft } from "./field";
import { stanceOf } from "./person";
import { poseOf } from "./pose";
import { drawPosture, eased, neutralPosture, sway, type Posture } from "./posture";
import { trueMetrics } from "./truth";
import type { MetricKey } from "../../core/measure/metrics";
import { stances } from "../../core/measure/stance";
import { seeded } from "../../core/random";
import { withinSubject } from "../../core/statistics/within";

const metricsFor = (change: Partial<Posture>, view: View) =>
  trueMetrics(figureOf({ ...neutralPosture, ...change }).truth, view);

describe("a posture moves the metric it is named for, the right way and about as far", () => {
  it.each<[string, Partial<Posture>, View, string, number, number]>([
    ["head tilt, left ear up", { headTilt: 5 }, "front", "head-tilt.front", 3.5, 6],
    ["left shoulder up", { shoulderTilt: 4 }, "front", "shoulder-level.front", 3, 5],
    ["left shoulder up, from the back", { shoulderTilt: 4 }, "back", "shoulder-level.back", 3, 5],
    ["left hip up", { pelvisTiltFrontal: 3 }, "front", "pelvic-level.front", 2, 4],
    ["trunk to the left", { trunkShift: 20 }, "front", "trunk-shift.front", 15, 25],
    ["head to the left", { headShift: 15 }, "front", "head-shift.front", 10, 20],
    ["left knee inward", { kneeInL: 15 }, "front", "knee-line.L.front", 2, 7],
    ["right knee inward", { kneeInR: 15 }, "front", "knee-line.R.front", 2, 7],
    ["head forward lowers the craniovertebral angle", { headForward: 40 }, "left", "craniovertebral.L.left", -25, -4],
    ["head forward", { headForward: 40 }, "left", "tragus-offset.L.left", 30, 50],
    ["shoulders forward", { shouldersForward: 20 }, "left", "shoulder-forward.L.left", 10, 25],
    ["pelvis tipped forward", { pelvisTiltSagittal: 8 }, "left", "pelvic-tilt.L.left", 5, 11],
    ["leaning forward", { lean: 2 }, "right", "trochanter-offset.R.right", 20, 45],
    ["knees back", { kneesBack: 15 }, "left", "knee-position.L.left", 1, 7],
  ])("%s", (_name, change, view, id, least, most) => {
    const by = metricsFor(change, view).get(id)! - metricsFor({}, view).get(id)!;
    expect(by).toBeGreaterThan(least);
    expect(by).toBeLessThan(most);
  });

  it("leaves the other side's knee alone", () => {
    const by =
      metricsFor({ kneeInL: 15 }, "front").get("knee-line.R.front")! -
      metricsFor({}, "front").get("knee-line.R.front")!;
    expect(Math.abs(by)).toBeLessThan(0.2);
  });

  it("is level and centred when neutral", () => {
    const front = metricsFor({}, "front");
    for (const id of [
      "head-tilt.front",
      "shoulder-level.front",
      "pelvic-level.front",
      "head-shift.front",
      "trunk-shift.front",
    ])
      expect(Math.abs(front.get(id)!)).toBeLessThan(0.1);
  });

  it("mirrors: what tilts left tilts as far right", () => {
    const left = metricsFor({ shoulderTilt: 4, headTilt: 3 }, "front");
    const right = metricsFor({ shoulderTilt: -4, headTilt: -3 }, "front");
    for (const id of ["shoulder-level.front", "head-tilt.front"]) expect(left.get(id)!).toBeCloseTo(-right.get(id)!, 1);
  });

  it("scales with stature: angles stay, lengths grow", () => {
    const small = trueMetrics(figureOf({ ...neutralPosture, stature: 1550 }).truth, "left");
    const tall = trueMetrics(figureOf({ ...neutralPosture, stature: 1950 }).truth, "left");
    expect(tall.get("craniovertebral.L.left")!).toBeCloseTo(small.get("craniovertebral.L.left")!, 0);
    expect(tall.get("tragus-offset.L.left")! / small.get("tragus-offset.L.left")!).toBeCloseTo(1950 / 1550, 1);
  });
});

describe("simulated people", () => {
  it("are the same for the same client and different for another", () => {
    expect(stanceOf("a", 1700, 0, "before", "front")).toEqual(stanceOf("a", 1700, 0, "before", "front"));
    expect(stanceOf("a", 1700, 0, "before", "front")).not.toEqual(stanceOf("b", 1700, 0, "before", "front"));
    expect(stanceOf("a", 1700, 0, "before", "front").stature).toBe(1700);
  });

  it("stand easier after a session, and keep part of it", () => {
    const far = { ...neutralPosture, headForward: 60 };
    const at = (worked: number, moment: "before" | "after") => {
      let sum = 0;
      for (let i = 0; i < 40; i++) sum += stanceOf(`client ${i}`, 1700, worked, moment, "front", far).headForward / 40;
      return sum;
    };
    expect(at(0, "after")).toBeLessThan(at(0, "before"));
    expect(at(1, "before")).toBeGreaterThan(at(0, "after"));
    expect(at(1, "before")).toBeLessThan(at(0, "before"));
    expect(at(5, "before")).toBeLessThan(at(1, "before"));
  });

  it("are ordinary: no drawn departure is beyond two and a half of its spread", () => {
    const random = seeded(3);
    for (let i = 0; i < 200; i++) {
      const posture = drawPosture(random);
      expect(Math.abs(posture.headForward)).toBeLessThanOrEqual(45.1);
      expect(Math.abs(posture.shoulderTilt)).toBeLessThanOrEqual(5.1);
    }
  });

  it("stand as differently from one time to the next as the errors take for granted", () => {
    const random = seeded(3);
    const squares = new Map<string, number[]>();
    for (let person = 0; person < 40; person++) {
      const usual = drawPosture(random);
      for (const view of ["front", "left"] as const) {
        const stood = Array.from({ length: 6 }, (_, i) =>
          trueMetrics(figureOf(sway(usual, 100 * person + i)).truth, view),
        );
        for (const id of stood[0]!.keys()) {
          const values = stood.map((metrics) => metrics.get(id)!);
          squares.set(id, [...(squares.get(id) ?? []), withinSubject([values]).sd ** 2]);
        }
      }
    }
    for (const [id, list] of squares) {
      const key = id.split(".")[0] as MetricKey;
      const sd = Math.sqrt(list.reduce((sum, each) => sum + each, 0) / list.length);
      // a lay figure of few joints: never more than assumed by a quarter, and not stiff
      expect({ id, ok: sd < 1.25 * stances[key].sd && sd > 0.3 * stances[key].sd }).toEqual({ id, ok: true });
    }
  });

  it("ease to neutral and no further; sway without drifting", () => {
    const far = { ...neutralPosture, headForward: 60, trunkShift: -20, stature: 1800 };
    expect(eased(far, 1)).toMatchObject({ headForward: 0, stature: 1800 });
    expect(Math.abs(eased(far, 1).trunkShift)).toBe(0);
    expect(eased(far, 0)).toEqual(far);
    const mean = Array.from({ length: 400 }, (_, i) => sway(far, i).headForward).reduce((sum, v) => sum + v / 400, 0);
    expect(Math.abs(mean - 60)).toBeLessThan(1.5);
  });
});

describe("pose", () => {
  const pose = poseOf({
    ...neutralPosture,
    kyphosis: 20,
    lordosis: 10,
    headForward: 30,
    shoulderTilt: 4,
    trunkShift: 15,
  });
  it("leaves the feet on the ground", () => {
    for (const x of [-91, 91]) {
      const [px, py] = pose([x, 60, 0]);
      expect(py).toBeCloseTo(60, 6);
      expect(Math.abs(px - x)).toBeLessThan(4);
    }
  });

  it("carries arm and head without bending them", () => {
    const distance = (a: readonly number[], b: readonly number[]) =>
      Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 0.8, noNaN: true }),
        fc.double({ min: 0.5, max: 0.8, noNaN: true }),
        (a, b) => {
          const [p, q] = [[200, a * 1750, 20] as const, [240, b * 1750, 60] as const];
          expect(distance(pose(p, "arm"), pose(q, "arm"))).toBeCloseTo(distance(p, q), 6);
          expect(distance(pose(p, "head"), pose(q, "head"))).toBeCloseTo(distance(p, q), 6);
        },
      ),
    );
  });
});

describe("the distance field", () => {
  const solids = [ellipsoid([0, 0, 0], [60, 40, 30], 0), cone([100, 0, 0], [100, 100, 0], 20, 30, 15)];
  const field = join(solids);
  it("is negative inside, zero on the surface, positive outside", () => {
    expect(field(0, 0, 0)).toBeLessThan(0);
    expect(field(60, 0, 0)).toBeCloseTo(0, 1);
    expect(field(0, 40, 0)).toBeCloseTo(0, 1);
    expect(field(0, 0, 200)).toBeGreaterThan(100);
    expect(field(100, 50, 0)).toBeLessThan(-15);
  });

  it("joins softly: a blended seam is fuller than a sharp one", () => {
    const sharp = join([solids[0]!, { ...solids[1]!, blend: 0 }]);
    expect(field(74, 20, 0)).toBeLessThanOrEqual(sharp(74, 20, 0));
  });

  it("carves where a blend is negative", () => {
    const carved = join([solids[0]!, ellipsoid([60, 0, 0], [15, 15, 15], -5)]);
    expect(carved(55, 0, 0)).toBeGreaterThan(0);
    expect(carved(0, 0, 0)).toBeCloseTo(field(0, 0, 0), 6);
  });

  it("follows the slices of a loft, and does not overshoot between them", () => {
    const column = loft(
      [
        { y: 0, x: 0, z: 0, a: 30, b: 20 },
        { y: 100, x: 10, z: 5, a: 50, b: 40 },
        { y: 200, x: 10, z: 5, a: 50, b: 40 },
        { y: 300, x: 0, z: 0, a: 20, b: 20 },
      ],
      2,
      0,
    );
    expect(column.distance(60, 100, 5)).toBeCloseTo(0, 0);
    expect(column.distance(10, 200, 45)).toBeCloseTo(0, 0);
    // equal slices stay equal between: a monotone profile
    expect(column.distance(60.5, 150, 5)).toBeGreaterThan(0);
    expect(column.distance(10, 350, 0)).toBeGreaterThan(40);
  });
});
