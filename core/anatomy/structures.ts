import { joints, opposite, type Motion } from "./joints";
import { depthOf, type LayerKey } from "./layers";
import { placeOf, type PlaceKey } from "./places";
import type { RegionKey } from "./regions";
import { groupRows, structureRows } from "./structure-table";

/** What a structure does at a joint. */
export type Move = { joint: string; motions: readonly Motion[] };

/** A named structure as palpation finds it: where it lies, how deep, and what it does. */
export type Structure = {
  key: string;
  name: string;
  layer: LayerKey;
  /** Its own place first. */
  places: readonly PlaceKey[];
  /** Of its own place. */
  region: RegionKey;
  midline: boolean;
  /** From – to; "" for a joint. */
  attachments: string;
  moves: readonly Move[];
  /** Degrees from the long axis of its part; plus: down and outward. Undefined where fibres have no one direction. */
  fibres: number | undefined;
  /** Its name and other words for it, lower case. */
  words: readonly string[];
};

/** Several structures that hands take as one. */
export type StructureGroup = Pick<Structure, "key" | "name" | "words" | "layer" | "places" | "region" | "midline"> & {
  parts: readonly string[];
};

const slug = (name: string) => name.toLowerCase().replace(/[^a-z0-9]+/g, "-");
const cells = (row: string) => row.split("|").map((cell) => cell.trim());
const rowsOf = (text: string) => text.trim().split("\n").map(cells);
const wordsOf = (name: string, more: string) => [
  name.toLowerCase(),
  ...more
    .split(",")
    .map((word) => word.trim())
    .filter(Boolean),
];

const readMoves = (cell: string): Move[] =>
  cell === "-"
    ? []
    : cell.split(";").map((part): Move => {
        const [joint, ...rest] = part.trim().split(" ");
        return { joint: joint!, motions: rest.join(" ").split(", ") };
      });

const soft = rowsOf(structureRows).map((row): Structure => {
  const [name, at, attachments, moves, fibres, words] = row as [string, string, string, string, string, string];
  const [layer, ...rest] = at.split(" ") as [LayerKey, ...string[]];
  const places = rest.filter((each) => each !== "mid");
  return {
    key: slug(name),
    name,
    layer,
    places,
    region: placeOf(places[0]!).region,
    midline: rest.includes("mid"),
    attachments,
    moves: readMoves(moves),
    fibres: fibres === "-" ? undefined : Number(fibres),
    words: wordsOf(name, words),
  };
});

const hard = joints.map(({ key, name, midline, places, words }): Structure => ({
  key,
  name,
  layer: "AR",
  places,
  region: placeOf(places[0]!).region,
  midline,
  attachments: "",
  moves: [],
  fibres: undefined,
  words,
}));

/** Everything that can be found, worked and aimed at: the soft structures layer by layer, then the joints. */
export const structures: readonly Structure[] = [...soft, ...hard];

const byKey = new Map(structures.map((structure) => [structure.key, structure]));

export const structureGroups: readonly StructureGroup[] = rowsOf(groupRows).map((row): StructureGroup => {
  const [name, keys, words] = row as [string, string, string];
  const parts = keys.split(" ").map((key) => {
    const part = byKey.get(key);
    if (!part) throw new RangeError(`structure "${key}" of ${name} is not in the table`);
    return part;
  });
  const [first] = parts as [Structure];
  return {
    key: slug(name),
    name,
    parts: parts.map(({ key }) => key),
    layer: first.layer,
    places: [...new Set(parts.flatMap(({ places }) => places))],
    region: first.region,
    midline: first.midline,
    words: wordsOf(name, words),
  };
});

const groupByKey = new Map(structureGroups.map((group) => [group.key, group]));

/** A structure or a group by its key. */
export const structureOf = (key: string): Structure | StructureGroup | undefined =>
  byKey.get(key) ?? groupByKey.get(key);

/** The structures a key stands for: itself, or the parts of a group. */
export const partsOf = (key: string): readonly string[] => groupByKey.get(key)?.parts ?? [key];

/** What lies over a structure in a place: every structure of a shallower layer that lies there, too. */
export const lyingOver = ({ layer }: Pick<Structure, "layer">, place: PlaceKey): Structure[] =>
  structures.filter((other) => depthOf(other.layer) < depthOf(layer) && other.places.includes(place));

/** Structures that undo one of its motions at the same joint. */
export function antagonistsOf(structure: Structure): Structure[] {
  const undone = structure.moves.flatMap(({ joint, motions }) =>
    motions.flatMap((motion) => {
      const other = opposite(motion);
      return other ? [`${joint} ${other}`] : [];
    }),
  );
  return structures.filter((other) =>
    other.moves.some(({ joint, motions }) => motions.some((motion) => undone.includes(`${joint} ${motion}`))),
  );
}

/** Structures that do a motion at a joint. */
export const moversOf = (joint: string, motion?: Motion): Structure[] =>
  structures.filter(({ moves }) =>
    moves.some((move) => move.joint === joint && (motion === undefined || move.motions.includes(motion))),
  );
