import fc from "fast-check";
import { catalogue } from "./catalogue";
import { techniqueOf } from "./library";
import { alike, askedWords, findTechniques, readAsked } from "./find";
import { hasTag } from "./touches";

const find = (text: string) => findTechniques(readAsked(text), catalogue).map(({ technique }) => technique);
const keys = (text: string) => find(text).map(({ key }) => key);

describe("what is typed into the library", () => {
  it("finds a structure by its name, by other words, and while it is typed", () => {
    expect(keys("psoas")[0]).toBe("psoas-wait");
    expect(keys("hip flexors")).toContain("psoas-wait");
    expect(keys("psoa")).toContain("psoas-wait");
    expect(keys("deep six")).toEqual(keys("hip rotators"));
    // a name that holds the word comes before one that only reaches it
    expect(find("trapezius")[0]!.name).toMatch(/trapezius/i);
    expect(keys("unheard-of")).toEqual([]);
  });

  it("reads how it is done: easy on thumbs, prone, dry", () => {
    const found = find("easy on thumbs, prone, dry");
    expect(found.length).toBeGreaterThan(5);
    for (const { load, positions, medium } of found) {
      expect(load.thumb).toBeUndefined();
      expect(positions.length === 0 || positions.includes("prone")).toBe(true);
      expect(["dry", "any"]).toContain(medium);
    }
    // and nothing that fits is missing
    const all = catalogue.filter(
      ({ load, positions, medium }) =>
        load.thumb === undefined &&
        (positions.length === 0 || positions.includes("prone")) &&
        ["dry", "any"].includes(medium),
    );
    expect(found).toEqual(all);
  });

  it("finds kinds of work, and does without them", () => {
    expect(find("cranial").every((technique) => hasTag(technique, "cranial"))).toBe(true);
    expect(keys("cranial")).toEqual(expect.arrayContaining(["lt-sphenoid", "lt-skull-base", "lt-vault"]));
    expect(find("neck without neck lever").some((technique) => hasTag(technique, "neck lever"))).toBe(false);
    expect(find("gentle neck").every(({ pressure }) => pressure <= 3)).toBe(true);
    expect(find("light touch").every(({ layer }) => layer === "LT")).toBe(true);
    expect(find("calf up to 3 min").every(({ minutes }) => minutes.ideal <= 3)).toBe(true);
    expect(find("closing").every(({ phase }) => phase === "close")).toBe(true);
  });

  it("says what it was read as", () => {
    expect(askedWords(readAsked("Psoas, easy on thumbs, supine, no neck lever, up to 4 min"))).toEqual([
      "face up",
      "easy on thumbs",
      "without neck lever",
      "up to 4 min",
      "“psoas”",
    ]);
  });

  it("narrows with every further word, whatever is typed", () => {
    const word = fc.constantFrom(
      "neck",
      "dry",
      "prone",
      "easy on wrists",
      "gentle",
      "calf",
      "fascia",
      "cranial",
      "x",
      "(",
      "\\",
      "oil",
    );
    fc.assert(
      fc.property(
        fc.array(word, { maxLength: 4 }),
        fc.constantFrom("neck", "dry", "gentle", "easy on wrists"),
        (words, more) => {
          const before = new Set(keys(words.join(" ")));
          if (["dry", "oil"].includes(more) && words.some((each) => ["dry", "oil"].includes(each))) return;
          for (const key of keys([...words, more].join(" "))) expect(before.has(key)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("what else does this", () => {
  it("is what reaches most of the same, never itself, and as much the other way round", () => {
    const psoas = techniqueOf("psoas-wait");
    const others = alike(psoas, catalogue);
    expect(others.length).toBeGreaterThan(0);
    expect(others.some(({ technique }) => technique === psoas)).toBe(false);
    for (const { technique, share } of others.slice(0, 5)) {
      const back = alike(technique, catalogue).find((each) => each.technique === psoas)!;
      expect(back.share).toBeCloseTo(share, 12);
      expect(share).toBeLessThanOrEqual(1);
    }
  });
});
