import { landmarks, splitPoint, type PointKey } from "../../core/anatomy/landmarks";
import { metricsOf, sidesIn } from "../../core/measure/metrics";
import { readingId } from "../../core/measure/reading";
import { usualDepth, views, type View } from "../../core/measure/view";
import { figureOf, frameOf, trueMarks, usualCamera, type CameraSettings } from "./camera";
import { takePicture } from "./picture";
import { neutralPosture } from "./posture";
import { tryOut, type Outcome } from "./trial";
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

describe("metrics against the ground truth of random people and cameras, all four views", () => {
  let outcomes: Outcome[] = [];
  beforeAll(() => {
    outcomes = tryOut(120, 20261124);
  });

  it("measures every metric of the catalogue for every side", () => {
    const all = views.flatMap((view) =>
      metricsOf(view).flatMap((metric) => sidesIn(metric, view).map((side) => readingId(metric, side, view))),
    );
    expect(outcomes.map(({ id }) => id).sort()).toEqual(all.sort());
    for (const { n } of outcomes) expect(n).toBe(120);
  });

  it("has no bias beyond a third of the stated standard error; a root mean square, which is never negative, beyond a half", () => {
    for (const { id, bias, se } of outcomes) {
      const share = id.startsWith("plumb-rms") ? 0.5 : 0.34;
      expect({ id, ok: Math.abs(bias) < share * se, bias, se }).toMatchObject({ ok: true });
    }
  });

  it("holds about 95 % of true values inside 1.96 standard errors: 89 % or more each, 94 to 98.5 % over all", () => {
    for (const { id, inside } of outcomes) expect({ id, inside, ok: inside > 0.89 }).toMatchObject({ ok: true });
    const all = outcomes.reduce((sum, { inside }) => sum + inside, 0) / outcomes.length;
    expect(all).toBeGreaterThan(0.94);
    expect(all).toBeLessThan(0.985);
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
