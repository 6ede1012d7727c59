import { figureOf, setupOf, trueMarks, usualCamera } from "../../devices/camera/camera";
import { usualDots, wearDots, type Dots } from "../../devices/camera/dots";
import { takePicture } from "../../devices/camera/picture";
import { drawPosture, sway } from "../../devices/camera/posture";
import { seeded } from "../random";
import type { Marks, Px } from "./calibration";
import { cheapest, findSpots, nameSpots, proportionsOf } from "./dots";
import { follow } from "./follow";
import { expectedFrom, mergeFound, sureEnough } from "./found-points";
import { isReference } from "./marking";
import { fromEarlier } from "./propose";
import type { View } from "./view";

/** Half the size of a real picture: what is found does not hang on pixels. */
const small = { ...usualCamera, width: 400, height: 600 };
const shoot = (view: View, standing: number, dots: Partial<Dots> | undefined) => {
  const usual = drawPosture(seeded(21));
  const figure = figureOf(sway(usual, standing));
  const camera = { ...small, view, roll: 1, seed: standing };
  const data = takePicture(figure, camera);
  const worn = dots && wearDots(data, figure, camera, { ...usualDots, diameter: 16, finding: 0, ...dots });
  const { width, height } = camera;
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i++)
    grey[i] = 0.299 * data[4 * i]! + 0.587 * data[4 * i + 1]! + 0.114 * data[4 * i + 2]!;
  return {
    colours: { data, width, height },
    grey: { data: grey, width, height, left: 0, top: 0 },
    truth: trueMarks(figure, camera),
    worn,
    photo: { view, setup: setupOf(camera, usual.stature), marks: trueMarks(figure, camera) },
  };
};
const off = (a: Px, b: Px) => Math.hypot(a.x - b.x, a.y - b.y);
const only = (marks: Marks, references: boolean): Marks =>
  Object.fromEntries(Object.entries(marks).filter(([key]) => isReference(key as never) === references));

describe("dots worn on the bony points", () => {
  it.each(["front", "back", "left"] as const)("are found to a pixel and named by proportions, %s view", (view) => {
    const { colours, worn } = shoot(view, 1, { missing: 0.1, strays: 3, seed: 5 });
    const { marks, sure, strays } = nameSpots(findSpots(colours), proportionsOf(view), 1, colours);
    const keys = Object.keys(worn!.marks) as (keyof Marks)[];
    for (const key of keys)
      expect({ key, near: off(marks[key] ?? { x: 0, y: 0 }, worn!.marks[key]!) < 1 }).toEqual({ key, near: true });
    // a stray may be taken for a dot that came off; it is then not many
    expect(Object.keys(marks).length).toBeLessThanOrEqual(keys.length + 1);
    expect(strays).toBeGreaterThanOrEqual(2);
    const certain = keys.filter((key) => (sure[key as never] ?? 0) >= sureEnough).length;
    expect(certain / keys.length).toBeGreaterThan(0.8);
  });

  it("are not seen where none are worn", () => {
    const { colours } = shoot("front", 1, undefined);
    const { marks } = nameSpots(findSpots(colours), proportionsOf("front"), 1, colours);
    expect(marks).toEqual({});
  });

  it("are named by the last standing, where there is one; a few spots alone name nothing", () => {
    const [first, second] = [shoot("left", 1, {}), shoot("left", 2, {})];
    const expected = expectedFrom("left", first.truth)!;
    expect(expected.stature / (small.height * 0.85)).toBeGreaterThan(0.8);
    const { marks } = nameSpots(findSpots(second.colours), expected.places, expected.stature, second.colours);
    for (const [key, at] of Object.entries(second.worn!.marks)) expect(off(marks[key as never]!, at!)).toBeLessThan(1);
    expect(nameSpots([], proportionsOf("front"), 1, small).marks).toEqual({});
    expect(expectedFrom("left", {})).toBeUndefined();
  });

  it("are given to points by the cheapest assignment: Kuhn's, against trying every one", () => {
    const random = seeded(8);
    for (let run = 0; run < 40; run++) {
      const cost = Array.from({ length: 5 }, () => Array.from({ length: 5 }, () => Math.round(100 * random.uniform())));
      const total = (columns: readonly number[]) => columns.reduce((sum, j, i) => sum + cost[i]![j]!, 0);
      const every = (left: readonly number[]): number[][] =>
        left.length === 0 ? [[]] : left.flatMap((j) => every(left.filter((k) => k !== j)).map((rest) => [j, ...rest]));
      expect(total(cheapest(cost))).toBe(Math.min(...every([0, 1, 2, 3, 4]).map(total)));
    }
  });
});

describe("marks followed into the next standing", () => {
  it("are found where the body went, and what is bare skin is not called sure", () => {
    const [first, second] = [shoot("left", 1, {}), shoot("left", 2, {})];
    const guess = {
      ...fromEarlier({ ...second.photo, marks: only(second.truth, true) }, first.photo)!,
      ...only(first.truth, true),
    };
    const { marks, sure } = follow(first.grey, first.truth, second.grey, guess);
    const certain = (Object.keys(sure) as (keyof Marks)[]).filter((key) => sure[key]! >= sureEnough);
    expect(certain.length).toBeGreaterThan(7);
    for (const key of certain)
      expect({ key, near: off(marks[key]!, second.truth[key]!) < 3 }).toEqual({ key, near: true });
    // plumb and stick hang where they hung
    for (const key of Object.keys(only(first.truth, true)))
      expect(off(marks[key as never]!, first.truth[key as never]!)).toBeLessThan(3);
  });

  it("give way to a dot that is sure, and fill in where none is", () => {
    const named = {
      marks: { c7: { x: 1, y: 1 }, "tragus.L": { x: 5, y: 5 } },
      sure: { c7: 0.9, "tragus.L": 0.2 },
      strays: 0,
    } as const;
    const followed = {
      marks: { c7: { x: 2, y: 2 }, "tragus.L": { x: 6, y: 6 }, "asis.L": { x: 9, y: 9 } },
      sure: { c7: 1, "tragus.L": 0.8, "asis.L": 0.1 },
    };
    expect(mergeFound(named as never, followed)).toEqual({
      marks: { c7: { x: 1, y: 1 }, "tragus.L": { x: 6, y: 6 }, "asis.L": { x: 9, y: 9 } },
      sure: { c7: 0.9, "tragus.L": 0.8, "asis.L": 0.1 },
      dots: 1,
      followed: 2,
    });
  });
});
