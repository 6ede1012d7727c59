/**
 * What a practice decided about one thing of the starting library, or about its own: from this version on it is like this, or
 * not planned any more. Versions are only added. One without a definition is that of the starting library.
 */
export type Version<D> = {
  stem: string;
  /** From 1 on, for each stem. */
  number: number;
  /** Names the version for ever: whoever plans it or logs it keeps it under this key, whatever comes later. */
  key: string;
  definition: D | null;
  retired: boolean;
};

/** Something names a version that this page, or this server, has not been told of. */
export class UnknownVersion extends RangeError {
  constructor(
    readonly key: string,
    message: string,
  ) {
    super(message);
  }
}

/** What may be planned now, and everything that plans and logs may name. */
export type Shelf<T, D> = {
  offered: readonly T[];
  /** A version by its key, retired and earlier ones, too. */
  find(key: string): T | undefined;
  /** The version now in use of what `key` is a version of; undefined when it is retired or unknown. */
  current(key: string): T | undefined;
  /** What the practice decided, oldest first. */
  versions: readonly Version<D>[];
};

/** A starting library as a practice changed it, and its own after it. */
export function shelfOf<T extends { key: string; stem: string }, D>(
  starting: ReadonlyMap<string, T>,
  make: (definition: D, key: string, stem: string) => T,
  versions: readonly Version<D>[],
): Shelf<T, D> {
  const all = new Map<string, T>();
  const last = new Map<string, Version<D>>();
  for (const version of versions) {
    last.set(version.stem, version);
    if (version.definition && !all.has(version.key))
      all.set(version.key, make(version.definition, version.key, version.stem));
  }
  const find = (key: string) => starting.get(key) ?? all.get(key);
  const inUse = (stem: string): T | undefined => {
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

/** A stem for something new, from its name: none that the shelf has used. */
export function stemFrom<T extends { stem: string }, D>(shelf: Shelf<T, D>, name: string): string {
  const used = new Set([...shelf.versions, ...shelf.offered].map(({ stem }) => stem));
  const taken = (stem: string) => used.has(stem) || shelf.find(stem) !== undefined;
  const words = name
    .toLowerCase()
    .normalize("NFKD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^[^a-z]+|-+$/g, "")
    .slice(0, 50)
    .replace(/-+$/, "");
  const stem = words.length >= 3 ? words : `own-${words || "one"}`;
  const free = (n: number): string => (taken(`${stem}-${n}`) ? free(n + 1) : `${stem}-${n}`);
  return taken(stem) ? free(2) : stem;
}
