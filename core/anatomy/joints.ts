import { jointRows } from "./joint-table";
import type { PlaceKey } from "./places";

/** A motion of a joint by its everyday anatomical name, as the table of joints has it. */
export type Motion = string;

/** A joint, the places it joins, and what it does. */
export type Joint = {
  key: string;
  name: string;
  midline: boolean;
  places: readonly PlaceKey[];
  motions: readonly Motion[];
  words: readonly string[];
};

const pairs: readonly (readonly [Motion, Motion])[] = [
  ["flexion", "extension"],
  ["abduction", "adduction"],
  ["inward-turn", "outward-turn"],
  ["elevation", "depression"],
  ["protraction", "retraction"],
  ["upward-turn", "downward-turn"],
  ["pronation", "supination"],
  ["dorsiflexion", "plantarflexion"],
  ["inversion", "eversion"],
  ["opening", "closing"],
  ["nutation", "counternutation"],
];

/** The motion that undoes a motion; undefined for those that are their own opposite on the other side. */
export const opposite = (motion: Motion): Motion | undefined => {
  const pair = pairs.find((each) => each.includes(motion));
  return pair && (pair[0] === motion ? pair[1] : pair[0]);
};

export const joints: readonly Joint[] = jointRows
  .trim()
  .split("\n")
  .map((row): Joint => {
    const [at, name, places, motions, words] = row.split("|").map((cell) => cell.trim()) as [
      string,
      string,
      string,
      string,
      string,
    ];
    const [key, mid] = at.split(" ") as [string, string?];
    return {
      key,
      name,
      midline: mid === "mid",
      places: places.split(" "),
      motions: motions.split(" "),
      words: [name.toLowerCase(), ...words.split(",").map((word) => word.trim())],
    };
  });

const byKey = new Map(joints.map((joint) => [joint.key, joint]));
export function jointOf(key: string): Joint {
  const joint = byKey.get(key);
  if (!joint) throw new RangeError(`joint "${key}" is not in the table`);
  return joint;
}

/** Joints that lie at one of these places. */
export const jointsAt = (places: readonly PlaceKey[]): string[] =>
  joints.filter((joint) => joint.places.some((place) => places.includes(place))).map(({ key }) => key);
