import fc from "fast-check";
import { landmarks } from "../anatomy/landmarks";
import type { MarkKey, Marks } from "../measure/calibration";
import { marksOfView } from "../measure/marking";
import { readPhoto } from "../measure/read-photo";
import { calibrate } from "../measure/calibration";
import { seeded } from "../random";
import { standing } from "../test/standing";
import { figureKey, figureOfPoint } from "../measure/own-figures";
import { pooledRatio } from "../statistics/pooled-ratio";
import { analyse, blindOrder, type StudyMarking } from "./study";

const body = (view: "front" | "left" = "front") => standing(view);

/** The same picture marked again by a hand that scatters `px` (SD, one direction). */
function again(marks: Marks, px: number, random: ReturnType<typeof seeded>): Marks {
  return Object.fromEntries(
    Object.entries(marks).map(([key, { x, y }]) => [key, { x: x + px * random.normal(), y: y + px * random.normal() }]),
  );
}
function study(pictures: number, passes: number, px: number, seed = 5): StudyMarking[] {
  const random = seeded(seed);
  return Array.from({ length: pictures }, (_, i) =>
    Array.from({ length: passes }, () => ({ ...body(), picture: `p${i}`, marks: again(body().marks, px, random) })),
  ).flat();
}

describe("a blind order", () => {
  it("shows every picture as often as asked, and none twice running", () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 12 }), fc.integer({ min: 2, max: 4 }), fc.integer(), (n, passes, seed) => {
        const pictures = Array.from({ length: n }, (_, i) => i);
        const order = blindOrder(pictures, passes, seeded(seed));
        for (const picture of pictures) expect(order.filter((each) => each === picture)).toHaveLength(passes);
        order.forEach((each, i) => i > 0 && expect(each).not.toBe(order[i - 1]));
      }),
    );
  });
});

describe("what a study finds", () => {
  it("gives back the scatter the hand really had, in millimetres on the body", () => {
    const px = 1.2;
    const { own } = analyse(study(40, 3, px));
    const mmPerPx = calibrate({ ...body(), depth: {}, yaw: 0 })!.mmPerPx;
    for (const landmark of ["acromion", "asis", "toe", "sternal-notch"] as const) {
      const { sd, dof } = own.placing[landmark]!;
      expect(sd / (px * mmPerPx)).toBeGreaterThan(0.85);
      expect(sd / (px * mmPerPx)).toBeLessThan(1.15);
      expect(dof).toBe(40 * 2 * (landmarks[landmark].paired ? 2 : 1));
    }
  });

  it("finds a metric's SEM as the propagation says it for that scatter", () => {
    const px = 1.2;
    const { metrics } = analyse(study(60, 2, px));
    const still = {
      pointingPx: px,
      referencePx: px,
      placing: 0,
      cameraDistance: 0,
      cameraHeight: 0,
      stickBehind: 0,
      yaw: 0,
      pitch: 0,
    };
    const expected = readPhoto(body(), undefined, still);
    for (const key of ["shoulder-level.front", "head-shift.front", "trunk-shift.front"]) {
      const found = metrics.find((each) => each.key === key)!;
      const said = expected.find(({ metric, id }) => figureKey(metric.key, "front") === key && id.endsWith("front"))!;
      expect(found.sem.sd / said.seRepeat).toBeGreaterThan(0.8);
      expect(found.sem.sd / said.seRepeat).toBeLessThan(1.2);
      expect(found.mdc).toBeCloseTo(1.96 * Math.SQRT2 * found.used.sd, 2);
    }
  });

  it("leaves out pictures marked once, and landmarks not marked every time", () => {
    const once = study(3, 1, 1);
    expect(analyse(once)).toEqual({ metrics: [], own: { sem: {}, placing: {} } });
    const twice = study(1, 2, 1);
    delete twice[0]!.marks["acromion.L" as MarkKey];
    const { metrics, own } = analyse(twice);
    expect(metrics.some(({ key }) => key === "shoulder-level.front")).toBe(false);
    expect(metrics.some(({ key }) => key === "pelvic-level.front")).toBe(true);
    expect(own.placing.acromion!.dof).toBe(1);
    expect(metrics[0]!.icc).toBeUndefined();
  });
});

describe("whose figures are used", () => {
  it("is the model's below five pairs, then both as a ratio by degrees of freedom", () => {
    expect(pooledRatio(undefined)).toBe(1);
    expect(pooledRatio({ ratio: 0.5, dof: 4 })).toBe(1);
    expect(pooledRatio({ ratio: 0.5, dof: 10 })).toBeCloseTo(Math.sqrt((10 * 0.25 + 10) / 20), 10);
    expect(pooledRatio({ ratio: 0.5, dof: 1e6 })).toBeCloseTo(0.5, 4);
    expect(figureOfPoint(undefined, "c7")).toBe(1);
    const loose = { sem: {}, placing: { c7: { sd: 2 * landmarks.c7.placing, dof: 1e6 } } };
    expect(figureOfPoint(loose, "c7")).toBeCloseTo(2, 3);
  });

  it("adds what a loose hand shows, and never takes anything off for a steady one: bias does not show in repeats", () => {
    const level = (own?: ReturnType<typeof analyse>["own"]) =>
      readPhoto(body(), own).find(({ metric }) => metric.key === "shoulder-level")!;
    const [steady, loose] = [analyse(study(30, 2, 0.3)).own, analyse(study(30, 2, 2)).own];
    expect(level(steady).seRepeat).toBeCloseTo(level().seRepeat, 10);
    expect(level(steady).basis).toEqual({ kind: "own", dof: 30 });
    expect(level(loose).seRepeat).toBeGreaterThan(1.05 * level().seRepeat);
    const reading = level(loose);
    expect(reading.parts.reduce((sum, { variance }) => sum + variance, 0)).toBeCloseTo(reading.se ** 2, 10);
    expect(reading.seStanding).toBeGreaterThan(reading.seRepeat);
  });

  it("marks every view's landmarks from proportions, so that these bodies are whole", () => {
    for (const view of ["front", "left"] as const)
      expect(Object.keys(body(view).marks).sort()).toEqual([...marksOfView(view)].sort());
  });
});
