import { groupRows, placeRows } from "./place-table";
import { isRegion, regionName, type RegionKey } from "./regions";

export type PlaceKey = string;

/** A place of the body: what a hand lies on, and what a sentence means by "wrist". */
export type Place = {
  key: PlaceKey;
  name: string;
  region: RegionKey;
  /** On the mid-line: it has no sides. */
  midline: boolean;
  /** Everyday and anatomical words for it, its name among them; all lower case. */
  words: readonly string[];
  /** Places it touches. */
  meets: readonly PlaceKey[];
};

const cells = (row: string) => row.split("|").map((cell) => cell.trim());
const list = (cell: string, by: RegExp) =>
  cell
    .split(by)
    .map((each) => each.trim())
    .filter(Boolean);

function read(): Place[] {
  const found: (Omit<Place, "meets"> & { named: string[] })[] = [];
  let region: RegionKey | undefined;
  for (const row of placeRows.trim().split("\n")) {
    if (row.startsWith("# ")) {
      region = row.slice(2) as RegionKey;
      continue;
    }
    const [at, name, words, meets] = cells(row) as [string, string, string, string?];
    const [key, mid] = at.split(" ") as [string, string?];
    found.push({
      key,
      name,
      region: region!,
      midline: mid === "mid",
      words: [name.toLowerCase(), ...list(words, /,/)],
      named: list(meets ?? "", / /),
    });
  }
  return found.map(({ named, ...place }) => ({
    ...place,
    meets: [...named, ...found.filter((other) => other.named.includes(place.key)).map(({ key }) => key)],
  }));
}

/** Head to foot, as the table has them. */
export const places: readonly Place[] = read();

const byKey = new Map(places.map((place) => [place.key, place]));
export const isPlace = (key: string): boolean => byKey.has(key);

export function placeOf(key: PlaceKey): Place {
  const place = byKey.get(key);
  if (!place) throw new RangeError(`place "${key}" is not in the table`);
  return place;
}

export const placesIn = (region: RegionKey): PlaceKey[] =>
  places.filter((place) => place.region === region).map(({ key }) => key);

/** These places and every one that touches one of them. */
export const withNeighbours = (keys: readonly PlaceKey[]): PlaceKey[] => [
  ...new Set(keys.flatMap((key) => [key, ...placeOf(key).meets])),
];

const limbs: readonly RegionKey[] = ["arm", "leg"];
/** What lies further out on the same limb: the table lists a limb from the trunk outward. */
export const furtherOut = (keys: readonly PlaceKey[]): PlaceKey[] =>
  limbs.flatMap((limb) => {
    const along = placesIn(limb);
    const first = along.findIndex((key) => keys.includes(key));
    return first < 0 ? [] : along.slice(first);
  });

/** Regions these places belong to, each once. */
export const regionsOf = (keys: readonly PlaceKey[]): RegionKey[] => [
  ...new Set(keys.map((key) => placeOf(key).region)),
];

/** Words that mean several places at once (a foot), or a whole region: then it has none of its own. */
export type PlaceGroup = { region: RegionKey; places: readonly PlaceKey[]; words: readonly string[] };

export const placeGroups: readonly PlaceGroup[] = groupRows
  .trim()
  .split("\n")
  .map((row): PlaceGroup => {
    const [keys, words] = cells(row) as [string, string];
    const of = list(keys, / /);
    return isRegion(of[0]!)
      ? { region: of[0] as RegionKey, places: [], words: list(words, /,/) }
      : { region: placeOf(of[0]!).region, places: of, words: list(words, /,/) };
  });

/** Names of places as they are read in a line: "wrist", "back of the hand, palm". */
export const placeNames = (keys: readonly PlaceKey[]): string => {
  const group = placeGroups.find(
    ({ places: of }) => of.length === keys.length && of.every((key) => keys.includes(key)),
  );
  return group && keys.length > 1 ? group.words[0]! : keys.map((key) => placeOf(key).name.toLowerCase()).join(", ");
};

/** The places that were named, or their region: "wrist", "lower legs, feet". */
export const nameOf = (region: RegionKey, named: readonly PlaceKey[] = []): string =>
  named.length > 0 ? placeNames(named) : regionName(region).toLowerCase();
