import { distance } from "fastest-levenshtein";
import { stemmer } from "stemmer";

/** Forms that a stemmer does not bring together. */
const irregular: Record<string, string> = {
  broke: "break",
  broken: "break",
  breaks: "break",
  breaking: "break",
  feet: "foot",
  teeth: "tooth",
  took: "take",
  taken: "take",
  taking: "take",
  fell: "fall",
  fallen: "fall",
  hurting: "hurt",
  lost: "lose",
  losing: "lose",
  swelled: "swollen",
  swell: "swollen",
  swelling: "swollen",
  children: "child",
  kids: "child",
  kid: "child",
  slipped: "slip",
  bitten: "bite",
  torn: "torn",
  tore: "torn",
  ground: "grind",
  burnt: "burn",
  worn: "worn",
  wore: "worn",
  died: "die",
  passed: "pass",
  put: "put",
  removed: "remove",
  weaker: "weak",
  weakest: "weak",
  weakness: "weak",
  burning: "burn",
  taut: "tight",
  tightness: "tight",
  numbness: "numb",
  tumours: "tumour",
  cracked: "crack",
  snapped: "snap",
  popped: "pop",
  pops: "pop",
  dizziness: "dizzy",
  disk: "disc",
  disks: "disc",
  sternum: "breastbone",
  tummy: "belly",
  abdomen: "belly",
  stomach: "stomach",
  "can't": "cannot",
  cant: "cannot",
  mum: "mother",
  mom: "mother",
  dad: "father",
};

/** Words that mean something else than their stem: "fits" is no "fit", nor "fitted". */
const whole = new Set(["fits", "fitted", "braces"]);

/** A word as it is compared: small letters, no accents, its stem. */
export const stemOf = (word: string): string => (whole.has(word) ? word : stemmer(irregular[word] ?? word));

const plain = (text: string) => text.toLowerCase().normalize("NFD").replace(/\p{M}/gu, "").replace(/[’`´]/g, "'");

/** "thirty-eight" and "thirty eight" in figures. */
const tens: Record<string, number> = {
  twenty: 2,
  thirty: 3,
  forty: 4,
  fifty: 5,
  sixty: 6,
  seventy: 7,
  eighty: 8,
  ninety: 9,
};
const ones = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine"];
export const inFigures = (text: string): string =>
  text.replace(
    new RegExp(`\\b(${Object.keys(tens).join("|")})[ -](${ones.join("|")})\\b`, "gi"),
    (_, ten: string, one: string) => `${tens[ten.toLowerCase()]!}${ones.indexOf(one.toLowerCase()) + 1}`,
  );

export type Token = { word: string; stem: string; at: number };

/** Words that carry nothing of their own: what is left when they are taken out is what was said. */
const small = new Set(
  "between behind beside above below along across near inside outside underneath towards against deep sharp dull saw seen see a an the i im i'm ive i've my me mine we our you your he she it its it's his her their they them this that these those is am are was were be been being have has had having do does did doing get gets got getting can could will would shall should may might must of in on at to from for by with about into onto over under through during since until till before after ago and or but so then than as if when while because also too very really quite just only still again ever always often sometimes once twice both each some any all more most much many few little bit lot lots kind sort thing things there here now today currently moment lately recently yet already up down out off back side left right left-hand right-hand l r lt rt one two three four five six seven eight nine ten eleven twelve first second third another other others same way years year months month weeks week days day time times date morning evening night nights afternoon noon daily weekly monthly every mg ml mcg g dose doses low lower upper inner outer front part area whole half around since till which who what where how why ok okay yes well good fine please thanks doctor doctors gp hospital nurse told tell said says say think thinks thought know knows feel feels felt feeling came come comes coming go goes going went gone make makes made take takes taken taking took use uses used using put puts start starts started starting begin began stop stopped give gives gave given need needs want wants like likes'".split(
    " ",
  ),
);
export const isSmall = (word: string): boolean =>
  small.has(word) ||
  /^[clst]\d{1,2}$/.test(word) ||
  /^\d+([.,/]\d+)*(st|nd|rd|th|mg|mcg|ml|g|cm|kg|kgs)?$/.test(word) ||
  word.length < 2;

/** What people shorten. */
const shorthand: Readonly<Record<string, string>> = { op: "operation", ops: "operations" };

/** The words of a text, in order. */
export function tokens(text: string): Token[] {
  const found: Token[] = [];
  for (const match of inFigures(plain(text)).matchAll(/[\p{L}\p{N}']+/gu)) {
    const said = match[0].replace(/^'+|'+$/g, "").replace(/'s$/, "");
    const word = shorthand[said] ?? said;
    if (word) found.push({ word, stem: stemOf(word), at: match.index });
  }
  return found;
}

/**
 * Finds the word of `known` that was meant by a misspelt one: the same first letter and one letter wrong, two in long
 * words. Undefined when none is near, or two are equally near.
 */
export function speller(known: Iterable<string>): (word: string) => string | undefined {
  const byLetter = new Map<string, string[]>();
  for (const each of known) if (each.length >= 4) byLetter.set(each[0]!, [...(byLetter.get(each[0]!) ?? []), each]);
  return (word) => {
    if (word.length < 4) return undefined;
    const most = word.length >= 8 ? 2 : 1;
    let best: string | undefined;
    let nearest = most + 1;
    let tied = false;
    for (const each of byLetter.get(word[0]!) ?? []) {
      if (Math.abs(each.length - word.length) > most) continue;
      // of a short word only a letter may be missing: too many are one letter from each other
      if (word.length === 4 && each.length !== 5) continue;
      const far = distance(word, each);
      if (far < nearest) [best, nearest, tied] = [each, far, false];
      else if (far === nearest && each !== best) tied = true;
    }
    return tied ? undefined : best;
  };
}
