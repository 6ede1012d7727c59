import { catalogue } from "./catalogue";
import { techniqueFrom, type Definition } from "./definition";
import type { Technique } from "./technique";

/**
 * What a practice decided about a technique: from this version on it is done like this, or not planned any more. Versions
 * are only added. A version without a definition is that of the starting catalogue.
 */
export type Version = {
  stem: string;
  /** From 1 on, for each stem. */
  number: number;
  /** Of the technique this version is. Whoever plans it or logs it keeps it under this key, whatever comes later. */
  key: string;
  definition: Definition | null;
  retired: boolean;
};

/** The techniques of a practice: what may be planned now, and everything that plans and logs may name. */
export type Library = {
  offered: readonly Technique[];
  /** A version by its key, retired and earlier ones, too. */
  find(key: string): Technique | undefined;
  /** The version now in use of the technique that `key` is a version of; undefined when it is retired or unknown. */
  current(key: string): Technique | undefined;
  /** What the practice decided, oldest first. */
  versions: readonly Version[];
};

const starting = new Map(catalogue.map((technique) => [technique.key, technique]));

/** The starting catalogue as a practice changed it, and its own techniques after it. */
export function libraryOf(versions: readonly Version[]): Library {
  const all = new Map<string, Technique>();
  const last = new Map<string, Version>();
  for (const version of versions) {
    last.set(version.stem, version);
    if (version.definition && !all.has(version.key))
      all.set(version.key, techniqueFrom({ ...version.definition, key: version.stem }, version.key));
  }
  const find = (key: string) => starting.get(key) ?? all.get(key);
  const inUse = (stem: string): Technique | undefined => {
    const version = last.get(stem);
    return version ? (version.retired ? undefined : find(version.key)) : starting.get(stem);
  };
  const own = [...last.keys()].filter((stem) => !starting.has(stem));
  return {
    offered: [...starting.keys(), ...own].flatMap((stem) => inUse(stem) ?? []),
    find,
    current: (key) => inUse(find(key)?.stem ?? key),
    versions,
  };
}

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

/** A plan or a log names a technique that this page has not been told of. */
export class UnknownTechnique extends RangeError {
  constructor(readonly key: string) {
    super(`technique "${key}" is not in the catalogue`);
  }
}

export function techniqueOf(key: string): Technique {
  const technique = findTechnique(key);
  if (!technique) throw new UnknownTechnique(key);
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
