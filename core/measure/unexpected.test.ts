import { drawPosture, sway } from "../../devices/camera/posture";
import { figureOf, setupOf, trueMarks, usualCamera } from "../../devices/camera/camera";
import { placed } from "../../devices/camera/trial";
import { seeded } from "../random";
import { unexpectedMarks, unexpectedWords } from "./unexpected";
import { views } from "./view";

const photo = (person: number, view: (typeof views)[number], standing: number) => {
  const usual = drawPosture(seeded(person));
  const camera = { ...usualCamera, view };
  const marks = placed(trueMarks(figureOf(sway(usual, standing)), camera), seeded(10 * person + standing));
  return { view, setup: setupOf(camera, usual.stature), marks };
};

describe("marks where nobody would expect them", () => {
  it("are hardly ever asked about where nothing is wrong: by an earlier picture, and by proportions alone", () => {
    let [marks, byEarlier, byProportions] = [0, 0, 0];
    for (let person = 1; person <= 30; person++)
      for (const view of views) {
        const [first, second] = [photo(person, view, 1), photo(person, view, 2)];
        marks += Object.keys(second.marks).length - 4;
        byEarlier += unexpectedMarks(second, first).length;
        byProportions += unexpectedMarks(second).length;
      }
    expect(byEarlier / marks).toBeLessThan(0.01);
    expect(byProportions / marks).toBeLessThan(0.02);
  });

  it("are named with how far off they lie: sides exchanged, and a slip of eight centimetres", () => {
    const [first, second] = [photo(3, "front", 1), photo(3, "front", 2)];
    const swapped = { ...second.marks, "asis.L": second.marks["asis.R"]!, "asis.R": second.marks["asis.L"]! };
    expect(
      unexpectedMarks({ ...second, marks: swapped }, first)
        .map(({ point }) => point)
        .sort(),
    ).toEqual(["asis.L", "asis.R"]);
    const at = second.marks["sternal-notch"]!;
    const slipped = { ...second.marks, "sternal-notch": { x: at.x, y: at.y + 80 / 2.35 } };
    const [found] = unexpectedMarks({ ...second, marks: slipped }, first);
    expect(found!.point).toBe("sternal-notch");
    expect(found!.off).toBeGreaterThan(65);
    expect(found!.off).toBeLessThan(95);
    expect(unexpectedWords(found!, "before visit 4")).toMatch(
      /^Sternal notch lies \d cm from where the picture of before visit 4 would have it$/,
    );
    expect(unexpectedMarks({ ...second, marks: { "sternal-notch": at } }, first)).toEqual([]);
  });
});
