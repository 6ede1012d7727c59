import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { hasTag, lightest } from "../techniques/touches";
import { usualSchool } from "./facts";
import { outOfSchool, schoolChanges, schoolKinds } from "./schools";

describe("schools to start from", () => {
  it("are five at least, each lawful as a setting, with what others hold against it", () => {
    expect(schoolKinds.length).toBeGreaterThanOrEqual(5);
    for (const { school, means, others } of schoolKinds) {
      expect(school.pressureCeiling).toBeGreaterThanOrEqual(1);
      expect(school.pressureCeiling).toBeLessThanOrEqual(10);
      expect(school.hold.least).toBeLessThanOrEqual(school.hold.most);
      expect(means).toMatch(/\.$/);
      expect(others).toMatch(/^Others/);
    }
  });

  it("leave out what is stronger than they work, what they have no tool and no medium for, what they avoid, and nothing else", () => {
    for (const { school } of schoolKinds) {
      const out = outOfSchool(school);
      for (const technique of catalogue) {
        const barred =
          lightest(technique) > school.pressureCeiling ||
          (school.withoutElbow && hasTag(technique, "elbow")) ||
          (school.withoutThumb && hasTag(technique, "thumb")) ||
          school.avoids.some((tag) => hasTag(technique, tag)) ||
          (!school.oil && technique.medium === "oil") ||
          (!school.wax && technique.medium === "wax");
        expect({ key: technique.key, out: out.has(technique.key) }).toEqual({ key: technique.key, out: barred });
      }
    }
    expect(outOfSchool(schoolKinds.find(({ key }) => key === "light")!.school).has("lt-sphenoid")).toBe(false);
    expect(techniqueOf("psoas-wait").pressure).toBeGreaterThan(2);
  });

  it("say what they change, and nothing where they change nothing", () => {
    expect(schoolChanges(usualSchool, usualSchool)).toEqual([]);
    expect(schoolChanges(usualSchool, schoolKinds.find(({ key }) => key === "light")!.school)).toEqual([
      "Pressure up to 2 of 10 instead of 7.",
      "Holds of 60–180 s instead of 20–60 s.",
      "At a barrier: follow ease instead of either way.",
      "Without oil.",
      "Without wax.",
      "No elbow.",
      "No thumb.",
      "Left out: rib compression, lever, end range, sustained point, deep belly.",
      "The usual order of patterns does not matter in series that are begun; it was kept where it costs little.",
    ]);
    // and what one changes, the way back changes again
    for (const { school } of schoolKinds)
      expect(schoolChanges(school, usualSchool)).toHaveLength(schoolChanges(usualSchool, school).length);
  });
});
