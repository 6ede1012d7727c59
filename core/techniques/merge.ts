import { layerName } from "../anatomy/layers";
import { structureOf } from "../anatomy/structures";
import { definitionOf, type Definition } from "./definition";
import { forceWords } from "./forces";
import { hintsOf, type Hint } from "./check";
import { startingVersion, type Library } from "./library";
import { techniqueFrom } from "./definition";
import type { Technique } from "./technique";

/** Fields of a definition as somebody reads them: what they are called, and what stands there. */
const spoken: Record<string, { name: string; words: (technique: Technique) => string }> = {
  name: { name: "Name", words: ({ name }) => name },
  what: { name: "What is done", words: ({ what }) => what },
  intent: { name: "Intent", words: ({ intent }) => intent },
  layer: { name: "Layer", words: ({ layer }) => (layer === "LT" ? "light touch" : layerName(layer).toLowerCase()) },
  positions: { name: "Positions", words: ({ positions }) => [...positions].sort().join(", ") || "any" },
  medium: { name: "Medium", words: ({ medium }) => medium },
  phase: { name: "Phase", words: ({ phase }) => phase },
  minutes: { name: "Minutes", words: ({ minutes }) => `${minutes.ideal} (${minutes.least})` },
  hold: { name: "Hold", words: ({ hold }) => (hold ? `${hold.least}–${hold.most} ${hold.unit}` : "none") },
  force: { name: "Force", words: ({ force }) => (force ? forceWords(force) : "not said") },
  sided: { name: "Sides", words: ({ sided }) => (sided ? "left and right" : "whole") },
  pressure: { name: "Pressure", words: ({ pressure }) => `${pressure} of 10` },
  load: {
    name: "Your hands",
    words: ({ load }) =>
      Object.entries(load)
        .sort(([a], [b]) => a.localeCompare(b))
        .map(([part, value]) => `${part} ${value}`)
        .join(", ") || "no load",
  },
  tools: { name: "Tools", words: ({ tools }) => [...tools].sort().join(", ") },
  effort: { name: "The client", words: ({ effort }) => effort },
  reach: {
    name: "Reaches",
    words: ({ reach }) =>
      reach
        .map(
          ({ structure, places, share }) =>
            `${structureOf(structure)!.name.toLowerCase()} at ${places.join(", ")} ${Math.round(100 * share)} %`,
        )
        .join("; ") || "nothing",
  },
  stopWhen: { name: "Stop when", words: ({ stopWhen }) => stopWhen },
  consent: { name: "Consent", words: ({ consent }) => (consent ? "asked every time" : "not asked") },
  tags: { name: "Mind", words: ({ tags }) => [...tags].sort().join(", ") || "nothing" },
  joints: { name: "Joints", words: ({ joints }) => (joints ? [...joints].sort().join(", ") : "where it reaches") },
};

export type Difference = { field: string; from: string; to: string };

/** In what two versions differ, field by field. */
export const differencesOf = (from: Technique, to: Technique): Difference[] =>
  Object.values(spoken).flatMap(({ name, words }) =>
    words(from) === words(to) ? [] : [{ field: name, from: words(from), to: words(to) }],
  );

/** What is done with a technique of a file: put in place of one's own, leave one's own, or set beside it. */
export type Choice = "take" | "keep" | "beside";

export type Incoming = {
  definition: Definition;
  /** new: unknown here; same: nothing to do; differs: one has to choose; part: of a whole that is told elsewhere, stays as it is. */
  state: "new" | "same" | "differs" | "part";
  differences: Difference[];
  hints: Hint[];
};

/** What a file would do to a library, technique by technique; `isPart` says what is no technique by itself. */
export function incomingTo(
  library: Library,
  definitions: readonly Definition[],
  isPart: (stem: string) => boolean,
): Incoming[] {
  return definitions.map((definition): Incoming => {
    const last = library.versions.findLast(({ stem }) => stem === definition.key);
    const own = library.current(definition.key) ?? (last && library.find(last.key)) ?? startingVersion(definition.key);
    const hints = hintsOf(definition);
    if (!own) return { definition, state: "new", differences: [], hints };
    const differences = differencesOf(own, techniqueFrom(definition));
    const retired = last?.retired === true;
    const state = isPart(definition.key) ? "part" : differences.length > 0 || retired ? "differs" : "same";
    return { definition, state, differences, hints };
  });
}

/** The definitions that have to be added for what was chosen; what is not chosen about is left as it is. */
export function chosenOf(
  library: Library,
  incoming: readonly Incoming[],
  choices: Readonly<Record<string, Choice>>,
): Definition[] {
  const stems = new Set([
    ...library.versions.map(({ stem }) => stem),
    ...library.offered.map(({ stem }) => stem),
    ...incoming.map(({ definition }) => definition.key),
  ]);
  const names = new Set([
    ...library.offered.map(({ name }) => name),
    ...incoming.map(({ definition }) => definition.name),
  ]);
  const free = (known: Set<string>, make: (n: number) => string) => {
    let n = 2;
    while (known.has(make(n))) n++;
    known.add(make(n));
    return make(n);
  };
  // a technique may be called like something every object has
  const chosen = (key: string) => (Object.hasOwn(choices, key) ? choices[key] : undefined);
  return incoming.flatMap(({ definition, state }): Definition[] => {
    if (state === "new") return chosen(definition.key) === "keep" ? [] : [definition];
    if (state !== "differs") return [];
    const choice = chosen(definition.key) ?? "keep";
    if (choice === "keep") return [];
    if (choice === "take") return [definition];
    return [
      {
        ...definition,
        key: free(stems, (n) => `${definition.key.slice(0, 56)}-${n}`),
        name: free(names, (n) => `${definition.name.slice(0, 54)} (${n})`),
      },
    ];
  });
}

/** A practice's own techniques and changes, as they are now: what it gives to another. */
export const ownDefinitions = (library: Library): Definition[] =>
  library.offered.filter(({ key, stem }) => key !== stem).map(definitionOf);
