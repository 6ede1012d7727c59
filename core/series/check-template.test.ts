import fc from "fast-check";
import { layerKeys } from "../anatomy/layers";
import { regionKeys } from "../anatomy/regions";
import { stemFrom } from "../shelf";
import { exampleInput } from "../test/plan-inputs";
import { quickPlan } from "../test/quick-plan";
import { templateDifferences, templateHints } from "./check-template";
import { violations } from "./rules";
import {
  isTemplate,
  shelveTemplates,
  startingTemplates,
  templateOf,
  templates,
  templateShelfOf,
  usualTemplate,
  type TemplateDefinition,
  type TemplateSession,
  type TemplateVersion,
} from "./template";

afterEach(() => shelveTemplates(() => startingTemplates));

const session = (ceiling: TemplateSession["ceiling"], territory: TemplateSession["territory"]): TemplateSession => ({
  name: "S",
  ceiling,
  territory,
  intent: "For a test.",
});
const version = (
  stem: string,
  number: number,
  definition: TemplateDefinition | null,
  retired = false,
): TemplateVersion => ({
  stem,
  number,
  key: definition ? `${stem}~${number}` : stem,
  definition,
  retired,
});

describe("a practice's own templates", () => {
  const own: TemplateDefinition = {
    name: "Kiln four",
    sessions: [
      session("DF", { "low-back": 1, pelvis: 0.7 }),
      session("SM", { "low-back": 1, thigh: 0.4 }),
      session("AR", { "low-back": 1, pelvis: 0.7 }),
      session("DF", { shoulder: 0.7, leg: 0.7 }),
    ],
  };

  it("are solved like any other, and keep the version a series was made by", () => {
    const shelf = templateShelfOf([version("kiln-four", 1, own), version("kiln-four", 2, { ...own, name: "Kiln 4" })]);
    expect(isTemplate("kiln-four~1")).toBe(false);
    shelveTemplates(() => shelf);
    expect(templateOf("kiln-four~1").name).toBe("Kiln four");
    expect(shelf.offered.at(-1)).toMatchObject({ key: "kiln-four~2", stem: "kiln-four", name: "Kiln 4" });
    const input = { ...exampleInput, template: "kiln-four~1", days: exampleInput.days.slice(0, 4) };
    const plan = quickPlan(input)!;
    expect(plan).toHaveLength(4);
    expect(violations(input, plan)).toEqual([]);
  });

  it("take the place of the usual one where that was changed, and stand in where it was retired", () => {
    expect(usualTemplate().key).toBe("ten-step");
    const changed = templateShelfOf([version("ten-step", 1, own)]);
    shelveTemplates(() => changed);
    expect(usualTemplate().key).toBe("ten-step~1");
    const gone = templateShelfOf([version("ten-step", 1, null, true)]);
    shelveTemplates(() => gone);
    expect(usualTemplate().stem).not.toBe("ten-step");
    expect(templateOf("ten-step").sessions).toHaveLength(10);
  });

  it("are told what the plan’s rules will not let them do", () => {
    expect(templateHints(own)).toEqual([]);
    const deep = {
      name: "Deep",
      sessions: [session("DM", { neck: 1, leg: 0.4 }), session("DM", { neck: 0.8, belly: 0.8 })],
    };
    expect(templateHints(deep)).toEqual([
      expect.stringMatching(/^Session 1 goes to inner muscle at neck, and nothing comes before it: inner work cannot/),
      expect.stringMatching(
        /^Session 2 goes to inner muscle at belly, hip flexors, which no session before it names: 8 min/,
      ),
      expect.stringMatching(/^The last session goes deep/),
    ]);
  });

  it("differ in what is said to differ, and from themselves in nothing", () => {
    const any = fc.record({
      name: fc.string({ minLength: 1, maxLength: 8 }),
      sessions: fc.array(
        fc.record({
          name: fc.string({ minLength: 1, maxLength: 5 }),
          ceiling: fc.constantFrom(...layerKeys),
          intent: fc.string({ minLength: 1, maxLength: 5 }),
          territory: fc.dictionary(fc.constantFrom(...regionKeys), fc.constantFrom(0.4, 0.7, 1), { minKeys: 1 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
    }) as fc.Arbitrary<TemplateDefinition>;
    fc.assert(
      fc.property(any, any, (one, two) => {
        expect(templateDifferences(one, one)).toEqual([]);
        expect(templateDifferences(one, structuredClone(one))).toEqual([]);
        expect(templateDifferences(one, two).length).toBe(templateDifferences(two, one).length);
      }),
    );
    expect(templateDifferences(own, { ...own, everyDays: 28 })).toEqual(["Days between sessions: 10 → 28"]);
    const more = { ...own, sessions: [...own.sessions, session("SM", { neck: 1 })] };
    expect(templateDifferences(own, more)).toEqual([
      "Sessions: 4 → 5",
      "Session 5: none → S, to outer muscle; neck 100 %; For a test.",
    ]);
  });

  it("get a stem that nothing has", () => {
    expect(stemFrom(startingTemplates, "Ten step")).toBe("ten-step-2");
    expect(stemFrom(startingTemplates, "Kiln: four")).toBe("kiln-four");
  });

  it("have nothing of the kind that cannot be planned among the starting ones", () => {
    for (const template of templates)
      for (const hint of templateHints(template)) expect(hint).toMatch(/which no session before it names/);
  });
});
