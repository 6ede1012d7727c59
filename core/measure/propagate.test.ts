import { landmarks, splitPoint } from "../anatomy/landmarks";
import { seeded } from "../random";
import { setup, standing, still } from "../test/standing";
import { calibrate, referenceKeys, type Marks, type Scene, leanOf } from "./calibration";
import { metricsOf, sidesIn } from "./metrics";
import { measure, usualPrecision } from "./propagate";
import { readingId } from "./reading";
import { views } from "./view";

/** One way the inputs may truly be, drawn from the errors they are said to have. */
function drawn(scene: Scene, mmPerPx: number, random: ReturnType<typeof seeded>): Scene {
  const marks: Marks = {};
  const depth: Scene["depth"] = {};
  for (const [key, { x, y }] of Object.entries(scene.marks) as ["c7", { x: number; y: number }][]) {
    const reference = (referenceKeys as readonly string[]).includes(key);
    const { placing, depthSd } = reference ? { placing: 0, depthSd: 0 } : landmarks[splitPoint(key).landmark];
    const sd = reference ? usualPrecision.referencePx : Math.hypot(usualPrecision.pointingPx, placing / mmPerPx);
    marks[key] = { x: x + sd * random.normal(), y: y + sd * random.normal() };
    if (!reference) depth[key] = depthSd * random.normal();
  }
  return {
    ...scene,
    marks,
    depth,
    yaw: usualPrecision.yaw * random.normal(),
    lean: leanOf(scene, usualPrecision.pitch) * random.normal(),
    setup: {
      ...scene.setup,
      cameraDistance: scene.setup.cameraDistance + usualPrecision.cameraDistance * random.normal(),
      cameraHeight: scene.setup.cameraHeight + usualPrecision.cameraHeight * random.normal(),
      stickBehind: usualPrecision.stickBehind * random.normal(),
    },
  };
}

describe.each(views)("propagation against simulation, metric by metric, %s view", (view) => {
  const { marks } = standing(view);
  // stand a little to one side, so that no sum of distances starts at nothing
  if (view === "front" || view === "back")
    for (const key of ["tragus.L", "tragus.R", "c7", "sternal-notch", "asis.L", "asis.R", "psis.L", "psis.R"] as const)
      if (marks[key]) marks[key] = { x: marks[key].x + 14, y: marks[key].y };
  const scene: Scene = { view, setup, marks, depth: {}, yaw: 0 };
  const { mmPerPx } = calibrate(scene)!;

  it.each(
    metricsOf(view).flatMap((metric) =>
      sidesIn(metric, view).map((side) => [readingId(metric, side, view), metric, side] as const),
    ),
  )("%s spreads as its standard error says", (_id, metric, side) => {
    const random = seeded(1234);
    const n = 400;
    const { value, se } = measure(metric, side, scene)!;
    const values = Array.from({ length: n }, () => measure(metric, side, drawn(scene, mmPerPx, random), still)!.value);
    const mean = values.reduce((sum, each) => sum + each, 0) / n;
    const sd = Math.sqrt(values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (n - 1));
    // 400 draws know a standard deviation to ±7 % (95 %)
    // a root is steeper towards 0: its standard error is that of the longer side
    expect(sd / se).toBeGreaterThan(metric.offsets ? 0.7 : 0.86);
    expect(sd / se).toBeLessThan(1.14);
    expect(Math.abs(mean - value) / se).toBeLessThan(metric.offsets ? 0.5 : 0.25);
  });
});
