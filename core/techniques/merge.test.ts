import fc from "fast-check";
import { stemFrom } from "../shelf";
import { definitionOf, techniqueFrom, type Definition } from "./definition";
import { libraryOf, techniqueOf, type Version } from "./library";
import { chosenOf, differencesOf, incomingTo, ownDefinitions, type Choice } from "./merge";

const base = definitionOf(techniqueOf("ham-iron"));
const own = (key: string, part: Partial<Definition> = {}): Definition => ({
  ...base,
  key,
  name: `The ${key}`,
  ...part,
});
const kept = (definition: Definition, number = 1, retired = false): Version => ({
  stem: definition.key,
  number,
  key: `${definition.key}~${number}`,
  definition,
  retired,
});
const never = () => false;

describe("a file that comes in", () => {
  const library = libraryOf([kept(own("kiln-sweep")), kept(own("old-roll"), 1, true)]);

  it("is told apart: new, the same, different, part of a whole", () => {
    const file = [
      own("fresh"),
      own("kiln-sweep"),
      definitionOf(techniqueOf("ham-iron")),
      own("ham-chisel"),
      own("old-roll"),
    ];
    expect(incomingTo(library, file, never).map(({ state }) => state)).toEqual([
      "new",
      "same",
      "same",
      "differs",
      "differs",
    ]);
    expect(incomingTo(library, [own("lt-tube")], (stem) => stem === "lt-tube")[0]!.state).toBe("part");
  });

  it("says field by field in what it differs", () => {
    const [{ differences }] = incomingTo(library, [own("kiln-sweep", { pressure: 3, sided: false })], never) as [never];
    expect(differences).toEqual([
      { field: "Sides", from: "left and right", to: "whole" },
      { field: "Pressure", from: "6 of 10", to: "3 of 10" },
    ]);
  });

  it("changes nothing of one's own unless it is chosen", () => {
    const incoming = incomingTo(library, [own("fresh"), own("kiln-sweep", { pressure: 3 })], never);
    expect(chosenOf(library, incoming, {}).map(({ key }) => key)).toEqual(["fresh"]);
    expect(chosenOf(library, incoming, { fresh: "keep", "kiln-sweep": "take" })).toEqual([
      own("kiln-sweep", { pressure: 3 }),
    ]);
    const [, both] = chosenOf(library, incoming, { "kiln-sweep": "beside" });
    expect(both).toMatchObject({ key: "kiln-sweep-2", name: "The kiln-sweep (2)", pressure: 3 });
  });

  it("takes a technique by any name, also one that every object has", () => {
    const named = libraryOf([kept(own("constructor"))]);
    const incoming = incomingTo(named, [own("constructor", { pressure: 3 }), own("valueof")], never);
    expect(incoming.map(({ state }) => state)).toEqual(["differs", "new"]);
    expect(chosenOf(named, incoming, {}).map(({ key }) => key)).toEqual(["valueof"]);
  });

  it("never gives two techniques one key or one name, and taking the same file twice changes nothing", () => {
    const keys = fc.constantFrom("kiln-sweep", "old-roll", "fresh", "fresh-2", "ham-iron", "kiln-sweep-2");
    const file = fc.uniqueArray(fc.tuple(keys, fc.integer({ min: 1, max: 6 })), { selector: ([key]) => key });
    const choice = fc.constantFrom<Choice>("take", "keep", "beside");
    fc.assert(
      fc.property(file, fc.array(choice, { minLength: 6, maxLength: 6 }), (rows, picks) => {
        const definitions = rows.map(([key, pressure]) => own(key, { pressure }));
        const choices = Object.fromEntries(rows.map(([key], i) => [key, picks[i]!]));
        const chosen = chosenOf(library, incomingTo(library, definitions, never), choices);
        expect(new Set(chosen.map(({ key }) => key)).size).toBe(chosen.length);
        const after = libraryOf([
          ...library.versions,
          ...chosen.map((definition) =>
            kept(definition, library.versions.filter(({ stem }) => stem === definition.key).length + 1),
          ),
        ]);
        const names = after.offered.map(({ name }) => name);
        expect(new Set(names).size).toBe(names.length);
        const again = incomingTo(after, chosen, never);
        expect(again.every(({ state }) => state === "same")).toBe(true);
        expect(chosenOf(after, again, {})).toEqual([]);
      }),
    );
  });
});

describe("what goes out and what is new", () => {
  it("is what the practice made and changed, as it is now", () => {
    const library = libraryOf([
      kept(own("kiln-sweep")),
      kept(own("kiln-sweep", { pressure: 2 }), 2),
      kept(own("gone"), 1, true),
    ]);
    expect(ownDefinitions(library).map(({ key, pressure }) => [key, pressure])).toEqual([["kiln-sweep", 2]]);
  });

  it("gets a key from its name that nothing has used", () => {
    const library = libraryOf([kept(own("hip-float"))]);
    expect(stemFrom(library, "Kiln sweep, long")).toBe("kiln-sweep-long");
    expect(stemFrom(library, "Hip float!")).toBe("hip-float-2");
    expect(stemFrom(library, "Ham iron")).toBe("ham-iron-2");
    expect(stemFrom(library, "  ")).toMatch(/^[a-z][a-z0-9-]+$/);
    fc.assert(
      fc.property(fc.string(), (name) => {
        expect(stemFrom(library, name)).toMatch(/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/);
      }),
    );
  });

  it("differs in nothing from itself", () => {
    expect(differencesOf(techniqueOf("psoas-wait"), techniqueFrom(definitionOf(techniqueOf("psoas-wait"))))).toEqual(
      [],
    );
  });
});
