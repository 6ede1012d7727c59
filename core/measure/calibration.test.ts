import fc from "fast-check";
import { toRadians } from "../units";
import { calibrate, locate, type Marks, type PhotoSetup, type Scene } from "./calibration";
import { pictureSign, usualDepth, views, type View } from "./view";

const setup: PhotoSetup = {
  width: 1200,
  height: 1800,
  stickLength: 1000,
  cameraDistance: 3000,
  cameraHeight: 950,
  stature: 1750,
};

/** Where a pinhole camera at lens height shows a point so far across, up and towards it, rolled by an angle. */
function pixelOf(across: number, up: number, towards: number, roll: number, pxPerMm = 0.7): { x: number; y: number } {
  const scale = (pxPerMm * setup.cameraDistance) / (setup.cameraDistance - towards);
  const [x, y] = [across * scale, (up - setup.cameraHeight) * scale];
  const [cos, sin] = [Math.cos(roll), Math.sin(roll)];
  return { x: setup.width / 2 + x * cos - y * sin, y: setup.height / 2 - (x * sin + y * cos) };
}

function sceneOf(view: View, roll: number, marks: Marks, yaw = 0): Scene {
  return {
    view,
    setup,
    marks: {
      "plumb.top": pixelOf(-600, 2000, 0, roll),
      "plumb.foot": pixelOf(-600, 0, 0, roll),
      "stick.top": pixelOf(500, 1000, 0, roll),
      "stick.foot": pixelOf(500, 0, 0, roll),
      ...marks,
    },
    depth: {},
    yaw,
  };
}

describe("the scale of a picture", () => {
  it("comes from the stick, and the vertical from the plumb line, whatever the camera's roll", () => {
    for (const degrees of [-6, 0, 2.5, 10]) {
      const calibration = calibrate(sceneOf("front", toRadians(degrees), {}))!;
      expect(calibration.mmPerPx).toBeCloseTo(1 / 0.7, 9);
      expect(Math.abs(calibration.roll)).toBeCloseTo(Math.abs(toRadians(degrees)), 9);
    }
  });

  it("is unknown while an end is missing, or both ends are one", () => {
    const whole = sceneOf("front", 0, {});
    for (const key of ["plumb.top", "plumb.foot", "stick.top", "stick.foot"] as const) {
      const { [key]: _gone, ...marks } = whole.marks;
      expect(calibrate({ ...whole, marks })).toBeUndefined();
    }
    expect(calibrate({ ...whole, marks: { ...whole.marks, "stick.top": whole.marks["stick.foot"]! } })).toBeUndefined();
  });
});

describe("where a landmark lies", () => {
  it("is found again from its pixel: at its depth, upright, on the client's own side", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...views),
        fc.double({ min: -300, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 1900, noNaN: true }),
        fc.double({ min: -8, max: 8, noNaN: true }),
        (view, across, up, degrees) => {
          const point = view === "left" ? "acromion.L" : "acromion.R";
          const depth = usualDepth(view, point, setup.stature);
          const scene = sceneOf(view, toRadians(degrees), {
            [point]: pixelOf(pictureSign[view] * across, up, depth, toRadians(degrees)),
          });
          const found = locate(scene, calibrate(scene)!, point)!;
          expect(found.across).toBeCloseTo(across, 6);
          expect(found.up).toBeCloseTo(up, 6);
        },
      ),
    );
  });

  it("is nothing while it is not marked", () => {
    const scene = sceneOf("front", 0, {});
    expect(locate(scene, calibrate(scene)!, "tragus.L")).toBeUndefined();
  });

  it("moves by what its depth and a turned client make of it", () => {
    const scene = sceneOf("front", 0, { "tragus.L": pixelOf(70, 1600, 0, 0) });
    const flat = locate(scene, calibrate(scene)!, "tragus.L")!;
    const nearer = locate({ ...scene, depth: { "tragus.L": 30 } }, calibrate(scene)!, "tragus.L")!;
    // 30 mm nearer to a lens 3 m away: one in a hundred smaller
    expect((flat.across - nearer.across) / flat.across).toBeCloseTo(
      30 / (3000 - usualDepth("front", "tragus.L", 1750)),
      6,
    );
    const turned = locate({ ...scene, yaw: 2 }, calibrate(scene)!, "tragus.L")!;
    expect(flat.across - turned.across).toBeCloseTo(usualDepth("front", "tragus.L", 1750) * Math.tan(toRadians(2)), 9);
  });
});

describe("usual depths", () => {
  it("mirror from front to back, and lie on the near side of a side view", () => {
    for (const key of ["tragus.L", "acromion.R", "asis.L"] as const)
      expect(usualDepth("front", key, 1750)).toBeCloseTo(-usualDepth("back", key, 1750), 12);
    expect(usualDepth("left", "acromion.L", 1750)).toBeGreaterThan(0);
    expect(usualDepth("left", "acromion.R", 1750)).toBeLessThan(0);
    expect(usualDepth("right", "acromion.R", 1750)).toBeGreaterThan(0);
    expect(usualDepth("left", "c7", 1750)).toBeCloseTo(0, 12);
  });

  it("grow with stature", () => {
    expect(usualDepth("front", "tragus.L", 2000) / usualDepth("front", "tragus.L", 1000)).toBeCloseTo(2, 12);
  });
});
