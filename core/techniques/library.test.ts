import fc from "fast-check";
import { catalogue } from "./catalogue";
import { definitionOf, techniqueFrom, type Definition } from "./definition";
import { currentKey, libraryOf, shelve, startingLibrary, techniqueOf, type Version } from "./library";

const own = (stem: string, number: number, change: Partial<Definition> = {}): Version => ({
  stem,
  number,
  key: `${stem}~${number}`,
  definition: { ...definitionOf(techniqueOf("ham-iron")), key: stem, name: `${stem} ${number}`, ...change },
  retired: false,
});

afterEach(() => shelve(() => startingLibrary));

describe("a practice's library", () => {
  it("is the starting catalogue where nothing was decided", () => {
    expect(libraryOf([]).offered).toEqual(catalogue);
  });

  it("puts an adapted technique in the place of the starting one, and its own after all", () => {
    const library = libraryOf([own("long-glide", 1), own("kiln-sweep", 1)]);
    const at = catalogue.findIndex(({ key }) => key === "long-glide");
    expect(library.offered[at]).toMatchObject({ key: "long-glide~1", stem: "long-glide", name: "long-glide 1" });
    expect(library.offered.at(-1)).toMatchObject({ key: "kiln-sweep~1", stem: "kiln-sweep" });
    expect(library.offered).toHaveLength(catalogue.length + 1);
  });

  it("finds every version a plan may name for ever, whatever comes later", () => {
    const versions = [own("kiln-sweep", 1), own("kiln-sweep", 2, { pressure: 2 })];
    const library = libraryOf([...versions, { ...versions[1]!, number: 3, retired: true }]);
    expect(library.find("kiln-sweep~1")).toMatchObject({ name: "kiln-sweep 1" });
    expect(library.find("kiln-sweep~2")).toMatchObject({ pressure: 2 });
    expect(library.find("ham-iron")).toBe(techniqueOf("ham-iron"));
    expect(library.offered.some(({ stem }) => stem === "kiln-sweep")).toBe(false);
    expect(library.current("kiln-sweep~1")).toBeUndefined();
  });

  it("goes back to the starting version, which kept its key all the time", () => {
    const library = libraryOf([
      own("long-glide", 1),
      { stem: "long-glide", number: 2, key: "long-glide", definition: null, retired: false },
    ]);
    expect(library.offered).toEqual(catalogue);
    expect(library.find("long-glide~1")).toBeDefined();
    expect(library.current("long-glide~1")?.key).toBe("long-glide");
  });

  it("is looked up where it was put in use, and nowhere else", () => {
    expect(() => techniqueOf("kiln-sweep~1")).toThrow(/"kiln-sweep~1" is not in the catalogue/);
    const library = libraryOf([own("kiln-sweep", 1), own("long-glide", 1)]);
    shelve(() => library);
    expect(techniqueOf("kiln-sweep~1").stem).toBe("kiln-sweep");
    expect(currentKey("long-glide")).toBe("long-glide~1");
    expect(techniqueOf("long-glide").key).toBe("long-glide");
  });

  it("offers each stem once at most, and every key it ever gave is found, after any decisions", () => {
    const decision = fc.record({
      stem: fc.constantFrom("long-glide", "ham-iron", "kiln-sweep", "kiln-roll"),
      act: fc.constantFrom("change", "retire", "take back", "start"),
    });
    fc.assert(
      fc.property(fc.array(decision, { maxLength: 25 }), (decisions) => {
        const versions: Version[] = [];
        for (const { stem, act } of decisions) {
          const of = versions.filter((version) => version.stem === stem);
          const last = of.at(-1);
          const starting = catalogue.find(({ key }) => key === stem);
          const [number, key] = [of.length + 1, last?.key ?? (starting ? stem : undefined)];
          if (act === "change") versions.push(own(stem, number));
          else if (act === "start" && starting)
            versions.push({ stem, number, key: stem, definition: null, retired: false });
          else if (key !== undefined && act !== "start")
            versions.push({ stem, number, key, definition: last?.definition ?? null, retired: act === "retire" });
        }
        const library = libraryOf(versions);
        const stems = library.offered.map(({ stem }) => stem);
        expect(new Set(stems).size).toBe(stems.length);
        for (const { key, stem } of versions) expect(library.find(key)?.stem).toBe(stem);
        for (const stem of new Set(versions.map((version) => version.stem))) {
          const last = versions.findLast((version) => version.stem === stem)!;
          expect(library.current(stem)?.key).toBe(last.retired ? undefined : last.key);
        }
      }),
    );
  });
});

describe("a definition", () => {
  it("says everything of a technique: each of the starting catalogue comes back the same", () => {
    for (const technique of catalogue)
      expect(techniqueFrom(JSON.parse(JSON.stringify(definitionOf(technique))) as Definition)).toEqual(technique);
  });

  it("leaves out what follows from the rest", () => {
    const { intent, tools, effort, stopWhen, ...bare } = definitionOf(techniqueOf("psoas-wait"));
    expect([intent, tools, effort]).toEqual(["free", ["fingers"], "moves"]);
    const made = techniqueFrom(bare);
    expect([made.intent, made.tools, made.effort]).toEqual([intent, tools, effort]);
    expect(made.stopWhen).not.toBe(stopWhen);
  });
});
