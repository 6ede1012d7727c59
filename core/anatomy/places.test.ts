import { readPlace, withoutPlace } from "./places";
import { neighboursOf, regionKeys, regionName } from "./regions";

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
  ])("reads “%s”", (text, region, side) => expect(readPlace(text)).toEqual({ region, side }));

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

  it("lets regions meet both ways, and none itself", () => {
    for (const a of regionKeys)
      for (const b of neighboursOf(a)) {
        expect(neighboursOf(b)).toContain(a);
        expect(b).not.toBe(a);
      }
  });
});
