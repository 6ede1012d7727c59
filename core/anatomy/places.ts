import type { Side } from "../units";
import { regions, type RegionKey } from "./regions";

/** A place on the body as people name it. */
export type Place = { region: RegionKey; side: Side | "both" | null };

/** Everyday words for places, by region. The first word of the longest match counts. */
const words: Record<RegionKey, readonly string[]> = {
  head: ["head", "skull", "face", "jaw", "temple", "eye", "ear", "tooth", "teeth", "sinus", "scalp", "forehead"],
  neck: ["neck", "throat", "nape", "whiplash"],
  shoulder: [
    "shoulder",
    "shoulder blade",
    "scapula",
    "collar bone",
    "collarbone",
    "clavicle",
    "rotator cuff",
    "armpit",
  ],
  arm: ["arm", "upper arm", "elbow", "forearm", "wrist", "hand", "finger", "thumb", "humerus", "radius", "ulna"],
  chest: ["chest", "rib", "ribs", "breast", "breastbone", "sternum", "heart", "lung"],
  "upper-back": ["upper back", "between the shoulder blades", "thoracic spine", "mid back", "middle back", "back"],
  "low-back": ["low back", "lower back", "lumbar", "loin", "disc", "kidney", "waist"],
  belly: ["belly", "abdomen", "stomach", "groin", "appendix", "womb", "hernia", "navel", "hip flexor", "psoas"],
  pelvis: ["pelvis", "hip", "buttock", "sacrum", "tailbone", "coccyx", "sit bone"],
  thigh: ["thigh", "hamstring", "quadriceps", "femur", "inner thigh"],
  leg: [
    "leg",
    "lower leg",
    "knee",
    "kneecap",
    "shin",
    "calf",
    "ankle",
    "foot",
    "feet",
    "heel",
    "toe",
    "sole",
    "achilles",
  ],
};

const byLength = (Object.entries(words) as [RegionKey, readonly string[]][])
  .flatMap(([region, list]) => list.map((word) => ({ region, word })))
  .concat(regions.map(({ key, name }) => ({ region: key, word: name.toLowerCase() })))
  .sort((a, b) => b.word.length - a.word.length);

const plain = (text: string) =>
  ` ${text
    .toLowerCase()
    .replace(/[^a-zäöüéè]+/g, " ")
    .trim()} `;

/** Reads "left wrist", "both knees", "R hip", "low back". Undefined when no place of the body is named. */
export function readPlace(text: string): Place | undefined {
  // "right now", "it has not been right since", "ten years back"
  const said = plain(text)
    .replace(/ right (?=(now|away|after|before|through|then|enough|as|since|side up) )/g, " ")
    .replace(
      / (years?|months?|weeks?|days?|while|then|came|come|go|going|went|get|got|put|is|am|are) back (?!of|pain|is|and|ache|trouble) ?/g,
      " $1 ",
    )
    .replace(/ (been|be|feel|feels|felt|quite|all|that s|is|was) right (?!(side|arm|leg|hand|foot) )/g, " $1 ");
  const found = byLength.find(({ word }) => said.includes(` ${plain(word).trim()} `) || said.includes(` ${word}s `));
  if (!found) return undefined;
  const side = / (both|each|bilateral|left and right|right and left) /.test(said)
    ? "both"
    : / (left|l|lt) /.test(said)
      ? "L"
      : / (right|r|rt) /.test(said)
        ? "R"
        : null;
  return { region: found.region, side };
}

const sideWords = new Set(["left", "right", "both", "l", "r", "lt", "rt", "the", "my", "of", "in", "on", "at"]);

/** What was typed, with the words that name a place or a side left out: "broken left wrist" is "broken". */
export function withoutPlace(text: string): string {
  const place = byLength.find(({ word }) => plain(text).includes(` ${word} `) || plain(text).includes(` ${word}s `));
  const rest = place ? plain(text).replace(new RegExp(` ${place.word}s? `), " ") : plain(text);
  return rest
    .trim()
    .split(" ")
    .filter((word) => !sideWords.has(word))
    .join(" ");
}
