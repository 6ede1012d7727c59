import { shelfOf, UnknownVersion, type Shelf, type Version as Versioned } from "../shelf";
import { catalogue } from "./catalogue";
import { techniqueFrom, type Definition } from "./definition";
import type { Technique } from "./technique";

export type Version = Versioned<Definition>;

/** The techniques of a practice: what may be planned now, and everything that plans and logs may name. */
export type Library = Shelf<Technique, Definition>;

const starting = new Map(catalogue.map((technique) => [technique.key, technique]));

/** The starting catalogue as a practice changed it, and its own techniques after it. */
export const libraryOf = (versions: readonly Version[]): Library =>
  shelfOf(starting, (definition, key, stem) => techniqueFrom({ ...definition, key: stem }, key), versions);

export const startingLibrary: Library = libraryOf([]);

let inUse: () => Library = () => startingLibrary;

/**
 * Says where the library now in use is found. A key names one version for ever, so looking one up depends on nothing but
 * whose library it is looked for in: the server answers with that of the practice that asks, a page or a worker with the
 * one it was given.
 */
export const shelve = (source: () => Library): void => {
  inUse = source;
};

export const libraryInUse = (): Library => inUse();

/** What may be planned now. */
export const offered = (): readonly Technique[] => inUse().offered;

export const findTechnique = (key: string): Technique | undefined => starting.get(key) ?? inUse().find(key);

export function techniqueOf(key: string): Technique {
  const technique = findTechnique(key);
  if (!technique) throw new UnknownVersion(key, `technique "${key}" is not in the catalogue`);
  return technique;
}

/** The key of the version now in use of what `key` is a version of; `key` itself where there is none. */
export const currentKey = (key: string): string => inUse().current(key)?.key ?? key;

/** What all versions of a technique have in common. */
export const stemOf = (key: string): string => techniqueOf(key).stem;

/** Whether a key names a version that plans and logs may refer to. */
export const isTechnique = (key: unknown): key is string => typeof key === "string" && findTechnique(key) !== undefined;

/** The starting catalogue's own version of a technique; undefined for what a practice made. */
export const startingVersion = (stem: string): Technique | undefined => starting.get(stem);
