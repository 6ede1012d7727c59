import type { Side } from "../units";
import { placeGroups, places, type PlaceKey } from "./places";
import { regions, type RegionKey } from "./regions";

/** A place on the body as somebody named it. No places: the whole region was named. */
export type NamedPlace = { region: RegionKey; places: readonly PlaceKey[]; side: Side | "both" | null };

const plain = (text: string) =>
  ` ${text
    .toLowerCase()
    .replace(/[^a-z0-9äöüéè]+/g, " ")
    .trim()} `;

type Word = { word: string; region: RegionKey; places: readonly PlaceKey[] };

/** Every word with what it means, longest first; of two that are as long the one named first counts. */
const words: readonly Word[] = [
  ...places.flatMap(({ key, region, words: own }) => own.map((word): Word => ({ word, region, places: [key] }))),
  ...placeGroups.flatMap(({ region, places: of, words: own }) =>
    own.map((word): Word => ({ word, region, places: of })),
  ),
  ...regions.map(({ key, name }): Word => ({ word: name.toLowerCase(), region: key, places: [] })),
]
  .map((each) => ({ ...each, word: plain(each.word).trim() }))
  .sort((a, b) => b.word.length - a.word.length);

/** The same by the first word of each, which is all that has to be looked at. */
const byFirst = new Map<string, Word[]>();
for (const each of words) {
  const first = each.word.split(" ")[0]!;
  byFirst.set(first, [...(byFirst.get(first) ?? []), each]);
}

/** The longest that is said, alone or with an s. */
function find(said: string): Word | undefined {
  let found: Word | undefined;
  for (const token of said.trim().split(" "))
    for (const first of token.endsWith("s") ? [token, token.slice(0, -1)] : [token])
      for (const each of byFirst.get(first) ?? [])
        if (
          (!found || words.indexOf(each) < words.indexOf(found)) &&
          (said.includes(` ${each.word} `) || said.includes(` ${each.word}s `))
        )
          found = each;
  return found;
}

/** Reads "left wrist", "both knees", "R hip", "L5", "low back". Undefined when no place of the body is named. */
export function readPlace(text: string): NamedPlace | undefined {
  // "right now", "it has not been right since", "ten years back"
  const said = plain(text)
    .replace(/ right (?=(now|away|after|before|through|then|enough|as|since|side up) )/g, " ")
    .replace(
      / (years?|months?|weeks?|days?|while|then|came|come|go|going|went|get|got|put|is|am|are) back (?!of|pain|is|and|ache|trouble) ?/g,
      " $1 ",
    )
    .replace(/ (been|be|feel|feels|felt|quite|all|that s|is|was) right (?!(side|arm|leg|hand|foot) )/g, " $1 ");
  const found = find(said);
  if (!found) return undefined;
  const side = / (both|each|bilateral|left and right|right and left) /.test(said)
    ? "both"
    : / (left|l|lt) /.test(said)
      ? "L"
      : / (right|r|rt) /.test(said)
        ? "R"
        : null;
  return { region: found.region, places: found.places, side };
}

const sideWords = new Set(["left", "right", "both", "l", "r", "lt", "rt", "the", "my", "of", "in", "on", "at"]);

/** What was typed, with the words that name a place or a side left out: "broken left wrist" is "broken". */
export function withoutPlace(text: string): string {
  const said = plain(text);
  const place = find(said);
  const rest = place ? said.replace(new RegExp(` ${place.word}s? `), " ") : said;
  return rest
    .trim()
    .split(" ")
    .filter((word) => !sideWords.has(word))
    .join(" ");
}
