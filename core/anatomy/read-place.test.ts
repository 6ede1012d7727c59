import { readPlace, withoutPlace } from "./read-place";
import { regionKeys, regionName } from "./regions";

describe("places in everyday words", () => {
  it.each([
    ["left wrist", "arm", "L"],
    ["R hip", "pelvis", "R"],
    ["both knees", "leg", "both"],
    ["low back", "low-back", null],
    ["lower back", "low-back", null],
    ["between the shoulder blades", "upper-back", null],
    ["right shoulder blade", "shoulder", "R"],
    ["inner thigh, left", "thigh", "L"],
    ["jaw", "head", null],
    ["Lower legs, feet", "leg", null],
    ["left and right calf", "leg", "both"],
    ["the left side of the neck", "neck", "L"],
  ])("reads “%s”", (text, region, side) => expect(readPlace(text)).toMatchObject({ region, side }));

  it.each([
    ["left wrist", ["wrist"]],
    ["my right big toe", ["big-toe"]],
    ["L5", ["l-low"]],
    ["the left knee", ["knee"]],
    ["broke my foot", ["heel", "instep", "sole", "big-toe", "toes"]],
    ["neck", []],
    ["right arm", []],
  ])("reads “%s” as its places, or the whole region", (text, keys) => expect(readPlace(text)?.places).toEqual(keys));

  it("takes a vertebra for no side", () => expect(readPlace("disc at L5")?.side).toBeNull());

  it("reads the name of every region as that region", () => {
    for (const key of regionKeys) expect(readPlace(regionName(key))?.region).toBe(key);
  });

  it.each(["", "nowhere", "hippopotamus", "legible", "wristwatch"])("finds no place in “%s”", (text) =>
    expect(readPlace(text)).toBeUndefined(),
  );

  it.each([
    ["broken left wrist", "broken"],
    ["new knee on the right", "new"],
    ["reflux", "reflux"],
  ])("takes the place out of “%s”", (text, rest) => expect(withoutPlace(text)).toBe(rest));
});
