import { landmarks, splitPoint, type PointKey } from "../../core/anatomy/landmarks";
import { referenceKeys, type MarkKey, type Marks } from "../../core/measure/calibration";
import { usualPrecision } from "../../core/measure/propagate";
import { readPhoto } from "../../core/measure/read-photo";
import { usualDepth, type View } from "../../core/measure/view";
import { seeded } from "../../core/random";
import { z95 } from "../../core/units";
import { figureOf, frameOf, setupOf, stickLength, trueMarks, usualCamera, type CameraSettings } from "./camera";
import { takePicture } from "./picture";
import { drawPosture, neutralPosture } from "./posture";
import { trueMetrics } from "./truth";
import { dot } from "./vector";

const neutral = figureOf(neutralPosture);

/**
 * Segment lengths as fractions of stature: Drillis & Contini (1966) as printed in Winter, Biomechanics and Motor
 * Control of Human Movement (from memory, shared check values).
 */
describe("the lay figure's proportions", () => {
  const h = neutralPosture.stature;
  const at = (point: PointKey) => neutral.truth[point]!;
  it.each([
    ["ankle height", () => at("malleolus.L")[1] / h, 0.039, 0.004],
    ["knee height", () => at("condyle.L")[1] / h, 0.285, 0.008],
    ["hip height (trochanter)", () => at("trochanter.L")[1] / h, 0.53, 0.012],
    ["eye height", () => at("canthus.L")[1] / h, 0.936, 0.006],
    ["hip half-breadth", () => at("trochanter.L")[0] / h, 0.0955, 0.006],
  ])("%s", (_name, value, published, within) => {
    expect(Math.abs(value() - published)).toBeLessThan(within);
  });

  it("puts landmarks at the depths the measuring core expects, within its stated spread", () => {
    for (const view of ["front", "left"] as View[])
      for (const [point, place] of Object.entries(neutral.truth) as [PointKey, [number, number, number]][]) {
        const { landmark, side } = splitPoint(point);
        if (view === "left" && side === "R") continue;
        const { near } = frameOf({ ...usualCamera, view });
        expect(Math.abs(dot(place, near) - usualDepth(view, point, h))).toBeLessThan(landmarks[landmark].depthSd);
      }
  });
});

/** Marks as a practised hand would place them: true place plus the placing error the core takes for granted. */
function mark(marks: Marks, random: ReturnType<typeof seeded>): Marks {
  const placed: Marks = {};
  const [top, foot] = [marks["stick.top"]!, marks["stick.foot"]!];
  const mmPerPx = stickLength / Math.hypot(top.x - foot.x, top.y - foot.y);
  for (const [key, at] of Object.entries(marks)) {
    const reference = (referenceKeys as readonly string[]).includes(key);
    const sd = reference
      ? usualPrecision.referencePx
      : Math.hypot(usualPrecision.pointingPx, landmarks[splitPoint(key as PointKey).landmark].placing / mmPerPx);
    placed[key as MarkKey] = { x: at.x + sd * random.normal(), y: at.y + sd * random.normal() };
  }
  return placed;
}

describe("metrics against the ground truth of random people and cameras", () => {
  const random = seeded(20261124);
  const found = new Map<string, { errors: number[]; inside: number; ses: number[] }>();
  beforeAll(() => {
    for (let i = 0; i < 300; i++) {
      const posture = drawPosture(random);
      const figure = figureOf(posture);
      for (const view of ["front", "left"] as View[]) {
        const camera: CameraSettings = {
          ...usualCamera,
          view,
          distance: 3000 + 400 * (random.uniform() - 0.5),
          lensHeight: 1000 + 300 * (random.uniform() - 0.5),
          roll: 2 * random.normal(),
          yaw: usualPrecision.yaw * random.normal(),
        };
        const setup = setupOf(camera, posture.stature);
        // what is noted down is measured by tape, with the tape's error
        setup.cameraDistance += usualPrecision.cameraDistance * random.normal();
        setup.cameraHeight += usualPrecision.cameraHeight * random.normal();
        const truth = trueMetrics(figure.truth, view);
        for (const reading of readPhoto({ view, setup, marks: mark(trueMarks(figure, camera), random) })) {
          const error = reading.value - truth.get(reading.id)!;
          const entry = found.get(reading.id) ?? { errors: [], inside: 0, ses: [] };
          entry.errors.push(error);
          entry.ses.push(reading.se);
          if (Math.abs(error) < z95 * reading.se) entry.inside++;
          found.set(reading.id, entry);
        }
      }
    }
  }, 120_000);

  it("measures every metric of the front and one side", () => {
    expect(found.size).toBeGreaterThanOrEqual(17);
    for (const { errors } of found.values()) expect(errors).toHaveLength(300);
  });

  it("has no bias beyond a third of the stated standard error", () => {
    for (const [id, { errors, ses }] of found) {
      const bias = errors.reduce((sum, e) => sum + e, 0) / errors.length;
      const se = ses.reduce((sum, e) => sum + e, 0) / ses.length;
      expect({ id, ok: Math.abs(bias) < 0.34 * se, bias, se }).toMatchObject({ ok: true });
    }
  });

  it("holds about 95 % of true values inside 1.96 standard errors: 90 to 99.7 % each, 93 to 98 % over all", () => {
    let all = 0;
    for (const [id, { inside, errors }] of found) {
      const share = inside / errors.length;
      all += share / found.size;
      expect({ id, share, ok: share > 0.9 && share < 0.998 }).toMatchObject({ ok: true });
    }
    expect(all).toBeGreaterThan(0.93);
    expect(all).toBeLessThan(0.98);
  });
});

describe("the picture", () => {
  const small: CameraSettings = { ...usualCamera, view: "front", width: 120, height: 180, noise: 0 };
  it("is the same for the same settings and shows the figure where the truth says", () => {
    const one = takePicture(neutral, small);
    const two = takePicture(neutral, small);
    expect(Buffer.compare(Buffer.from(one.buffer), Buffer.from(two.buffer))).toBe(0);
    // the shorts at the hip are slate: bluer than red; the wall beside is warm
    const hip = trueMarks(neutral, small)["asis.L"]!;
    const pixel = (x: number, y: number) => one.slice((Math.round(y) * 120 + Math.round(x)) * 4);
    const [red, , blue] = pixel(hip.x, hip.y);
    expect(blue! - red!).toBeGreaterThan(5);
    const [wallRed, , wallBlue] = pixel(8, 60);
    expect(wallRed! - wallBlue!).toBeGreaterThan(5);
  });

  it("turns with the camera's roll", () => {
    const marks = trueMarks(neutral, { ...small, roll: 4 });
    const [top, foot] = [marks["plumb.top"]!, marks["plumb.foot"]!];
    expect((Math.atan2(foot.x - top.x, foot.y - top.y) * 180) / Math.PI).toBeCloseTo(4, 1);
  });
});
