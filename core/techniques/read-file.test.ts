import Ajv from "ajv";
import fc from "fast-check";
import { isFixed } from "../series/arc-session";
import { catalogue } from "./catalogue";
import { faultsOf, hintsOf } from "./check";
import { definitionOf, type Definition } from "./definition";
import { forceKinds, ways } from "./forces";
import { techniqueOf } from "./library";
import { faultsOfTyped, fileOf, readTechniques, type FileFault } from "./read-file";
import { safetyTagKeys } from "./safety-tags";
import schema from "./techniques.schema.json";
import { efforts, intents, tools } from "./technique";

const base = definitionOf(techniqueOf("ham-iron"));
const change = (part: Partial<Record<keyof Definition, unknown>>) => ({ ...base, ...part });
const faultsIn = (text: string): FileFault[] => {
  const read = readTechniques(text);
  return "faults" in read ? read.faults : [];
};
const movable = catalogue.filter(({ stem }) => !isFixed(stem)).map(definitionOf);

describe("a file of techniques", () => {
  it("comes back as it went out, every technique of the catalogue", () => {
    expect(readTechniques(fileOf(movable))).toEqual({ definitions: movable });
  });

  it("comes back whatever order its fields stand in and however it is spaced", () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(movable, { maxLength: 8 }), fc.nat(4), (some, spaces) => {
        const turned = some.map((each) => Object.fromEntries(Object.entries(each).reverse()));
        const text = JSON.stringify({ techniques: turned, version: 1, format: "ember-path-techniques" }, null, spaces);
        expect(readTechniques(text)).toEqual({ definitions: some });
      }),
      { numRuns: 30 },
    );
  });

  it("names every bad line of two hundred techniques, its field and what stands there, and takes none", () => {
    const many = Array.from({ length: 200 }, (_, i) => ({ ...base, key: `own-${i}`, name: `Own ${i}` }));
    const broken: [number, Partial<Record<keyof Definition, unknown>>, RegExp, RegExp][] = [
      [3, { pressure: 12 }, /^techniques\[3\]\.pressure$/, /At most 10; got 12\./],
      [40, { minutes: { ideal: 2, least: 4 } }, /minutes\.least$/, /at most the ideal 2, got 4/],
      [77, { reach: [{ structure: "soas-major" }] }, /reach\[0\]\.structure$/, /“soas-major” is not in the anatomy/],
      [120, { layer: "XX" }, /layer$/, /One of SF, DF, SM, DM, AR, LT; got “XX”\./],
      [199, { key: "own-4" }, /key$/, /“own-4” stands in line \d+ already/],
    ];
    const shapeOnly = broken.filter(([, part]) => "pressure" in part || "layer" in part);
    const meaningOnly = broken.filter((each) => !shapeOnly.includes(each));
    // what has the wrong shape is told first; what it means, when the shape is right
    for (const some of [shapeOnly, meaningOnly]) {
      const text = fileOf(many.map((each, i) => ({ ...each, ...some.find(([at]) => at === i)?.[1] })) as Definition[]);
      const faults = faultsIn(text);
      expect(faults).toHaveLength(some.length);
      for (const [i, [at, , field, message]] of some.entries()) {
        const fault = faults[i]!;
        expect(fault.field).toMatch(field);
        expect(fault.message).toMatch(message);
        expect(fault.technique).toBe(`Own ${at}`);
        // the line that is named lies within that technique, and holds the field
        const lines = text.split("\n");
        const start = lines.findIndex((line) => line.includes(`"name": "Own ${at}"`)) + 1;
        const end = lines.findIndex((line, n) => n > start && line.includes('"name": "Own')) + 1 || lines.length;
        expect(fault.line).toBeGreaterThan(start - 30);
        expect(fault.line).toBeLessThanOrEqual(end);
        const word = fault.field
          .split(".")
          .at(-1)!
          .replace(/\[\d+\]/, "");
        expect(lines[fault.line - 1]).toContain(`"${word}"`.slice(0, word === "structure" ? 0 : undefined));
      }
    }
  });

  it("says where it stops being JSON, and what else it is not", () => {
    expect(faultsIn('{\n  "format": "ember-path-techniques",\n  oops\n}')[0]).toMatchObject({
      line: 3,
      message: expect.stringMatching(/not well-formed JSON/) as string,
    });
    expect(faultsIn("")[0]!.message).toMatch(/well-formed|empty/);
    expect(faultsIn("[]")[0]!.message).toMatch(/Has to be an object/);
    expect(faultsIn('{"format":"other","version":1,"techniques":[]}')[0]!.message).toMatch(/“ember-path-techniques”/);
    expect(faultsIn('{"version":1,"techniques":[]}')[0]!).toMatchObject({
      field: "format",
      message: "“format” is missing.",
    });
    expect(faultsIn("[".repeat(200_000))[0]!.message).toMatch(/nested deeper than 12 levels/);
  });

  it("tells the first fault of each technique, and stops at two hundred or where there are too many", () => {
    const file = (n: number) =>
      JSON.stringify({ format: "ember-path-techniques", version: 1, techniques: Array(n).fill({}) });
    expect(faultsIn(file(7)).map(({ field }) => field)).toEqual(
      Array.from({ length: 7 }, (_, i) => `techniques[${i}].key`),
    );
    expect(faultsIn(file(1500))).toHaveLength(200);
    expect(faultsIn(file(20_000))).toMatchObject([{ field: "techniques", message: "At most 2000, got 20000." }]);
    expect(faultsIn("{}".repeat(100_000))).toHaveLength(1);
    expect(faultsIn("x".repeat(1_900_000))).toHaveLength(1);
    expect(faultsIn(" ".repeat(2_000_001))[0]!.message).toBe("At most 2000000 characters, got 2000001.");
  });

  it("never throws and never takes a part, whatever is changed in a good file", () => {
    const good = fileOf(movable.slice(0, 4));
    fc.assert(
      fc.property(fc.nat(good.length - 1), fc.string({ maxLength: 4 }), fc.nat(6), (at, put, gone) => {
        const read = readTechniques(good.slice(0, at) + put + good.slice(at + gone));
        if ("faults" in read) {
          expect(read.faults.length).toBeGreaterThan(0);
          for (const { line, message } of read.faults) {
            expect(line).toBeGreaterThan(0);
            expect(message).toMatch(/[.:]/);
          }
        } else for (const definition of read.definitions) expect(faultsOf(definition)).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });

  it("is what the published schema says, by a validator set up apart from ours", () => {
    const valid = new Ajv({ strict: false }).compile(schema);
    expect(valid(JSON.parse(fileOf(movable)))).toBe(true);
    expect(valid({ ...JSON.parse(fileOf(movable)), version: 2 })).toBe(false);
  });

  it("lists in the schema what the code knows, and nothing else", () => {
    const { properties } = schema.definitions.technique;
    expect([...properties.tags.items.enum].sort()).toEqual([...safetyTagKeys].sort());
    expect(properties.tools.items.enum).toEqual([...tools]);
    expect(properties.intent.enum).toEqual([...intents]);
    expect(properties.force.properties.kind.enum).toEqual(forceKinds);
    expect(properties.force.properties.ways.items.enum).toEqual(ways);
    expect(properties.effort.enum).toEqual([...efforts]);
  });
});

describe("what a definition cannot say", () => {
  it.each<[string, Partial<Record<keyof Definition, unknown>>, string, RegExp]>([
    ["a least above the ideal", { minutes: { ideal: 2, least: 3 } }, "minutes.least", /at most the ideal 2, got 3/],
    ["a hold that goes backwards", { hold: { least: 40, most: 20, unit: "s" } }, "hold.least", /backwards/],
    ["light touch that presses", { layer: "LT", pressure: 4 }, "pressure", /at most 2 of 10, got 4/],
    ["work on nothing", { reach: [] }, "reach", /at least one structure/],
    [
      "a place where it does not lie",
      { reach: [{ structure: "masseter", places: ["calf"] }] },
      "reach[0].places",
      /does not lie at “calf”/,
    ],
    [
      "a place that is none",
      { reach: [{ structure: "masseter", places: ["chin-tip"] }] },
      "reach[0].places",
      /“chin-tip” is not/,
    ],
    [
      "a structure below its layer",
      { layer: "DF", reach: [{ structure: "psoas-major" }] },
      "reach[0].structure",
      /deeper than/,
    ],
    ["a joint that is none", { joints: ["elbow-top"] }, "joints", /“elbow-top”/],
    [
      "a text that lies otherwise than planned",
      { what: "Seated, both hands melt the back of the thigh." },
      "positions",
      /says “Seated”, and prone/,
    ],
    [
      "consent where nothing is sensitive",
      { consent: true, reach: [{ structure: "masseter" }] },
      "consent",
      /none of the sensitive areas/,
    ],
    ["a name of blanks", { name: "   " }, "name", /Not well formed/],
    ["a share over all", { reach: [{ structure: "hamstrings", share: 1.2 }] }, "reach[0].share", /At most 1; got 1.2/],
  ])("%s", (_, part, field, message) => {
    const faults = faultsOfTyped(change(part));
    expect(faults.find((fault) => fault.field === field)?.message).toMatch(message);
  });

  it("is nothing for what can be", () => {
    expect(faultsOfTyped(base)).toEqual([]);
  });
});

describe("what may have been forgotten", () => {
  const tagged = (part: Partial<Definition>) => hintsOf({ ...base, tags: [], ...part }).map(({ tag }) => tag);
  it("is asked by the words and by the tools", () => {
    expect(tagged({ what: "Twist the pelvis slowly over the low back." })).toContain("lever");
    expect(tagged({ what: "Let the arm unwind by itself." })).toContain("unwinding");
    expect(tagged({ what: "Lean in with the point of the elbow." })).toContain("elbow");
  });
  it("is not asked where it is said already, or nothing points to it", () => {
    // what is worked with says it by itself
    expect(tagged({ tools: ["elbow"] })).not.toContain("elbow");
    expect(tagged({})).toEqual([]);
  });
});
