import { readPlace } from "../../anatomy/read-place";
import { drugs, families, spokenNames } from "./drugs";
import { realWords } from "./real-words";
import { commentary, filler, others } from "./small-talk";
import { phrases } from "./vocabulary";
import { more } from "./vocabulary-more";
import { isSmall, speller, stemOf, tokens, type Token } from "./words";

/** `next`: the word has to stand right behind the one before it; only its side may stand between: "new right hip". */
type PatternWord = { any: readonly string[]; next: boolean };
type Pattern = { condition: string; words: readonly PatternWord[]; weight: number };

const stemsOf = (text: string) => text.split("/").flatMap((each) => tokens(each).map((token) => token.stem));
const patterns: readonly Pattern[] = Object.entries({ ...more, ...phrases })
  .flatMap(([condition, list]) =>
    list.split(",").map((phrase): Pattern => {
      const words = phrase
        .trim()
        .split(/\s+/)
        .map((word): PatternWord => ({ any: word === "*" ? ["*"] : stemsOf(word), next: word.startsWith("+") }))
        .filter(({ any }) => any.length > 0);
      // a place weighs less than a word: "arthritis" with a place is the same as without
      const weight = words.reduce((sum, { any }) => sum + (any[0] === "*" ? 0.5 : 1), 0);
      return { condition, words, weight };
    }),
  )
  .sort((a, b) => b.weight - a.weight || b.words.length - a.words.length);

/** The condition a medicine speaks of, by its name. */
export const drugOf = new Map(
  [...Object.entries(drugs), ...Object.entries(spokenNames)].flatMap(([condition, list]) =>
    list.split(" ").map((name) => [name, condition] as const),
  ),
);

/** Every stem a phrase is made of, and every medicine: what a misspelt word may have been meant to be. */
export const known = new Set(
  patterns.flatMap((pattern) => pattern.words.flatMap(({ any }) => any)).filter((word) => word !== "*"),
);
/** The stems of all that is said of a condition. */
export const wordsOf = new Map<string, Set<string>>();
for (const { condition, words } of patterns)
  for (const word of words.flatMap(({ any }) => any))
    wordsOf.set(condition, (wordsOf.get(condition) ?? new Set()).add(word));
const drugNames = new Set(drugOf.keys());
export const spelled = speller(known);
export const spelledDrug = speller(drugNames);

/** A condition that was found, and which of the words (their numbers) say it. */
export type Hit = { condition: string; used: ReadonlySet<number> };

/** Whether a word names a place on the body, alone or with the next. */
export const isPlace = (token: Token, all: readonly Token[], i: number) =>
  readPlace(token.word) !== undefined || readPlace(`${token.word} ${all[i + 1]?.word ?? ""}`) !== undefined;

const saysEnough = new Set(
  ["chemo", "chemotherapy", "radiotherapy", "insulin", "diabetes", "cancer", "mesh", "stent"].map(stemOf),
);

const sideWord = new Set(["left", "right"]);

/** All of a pattern's words among the tokens, near one another, in any order. */
function match(
  pattern: Pattern,
  list: readonly Token[],
  meant: readonly string[],
  takenBy: ReadonlyMap<number, string>,
): Hit | undefined {
  // a longer phrase of what it is stronger than must not use up the words of a sign: "numbness creeping up my arm"
  const weaker = stronger[pattern.condition] ?? [];
  const taken = { has: (i: number) => takenBy.has(i) && !weaker.includes(takenBy.get(i)!) };
  // a word that says enough alone says it also within a longer phrase: "port for chemo"
  const alone = pattern.words.length === 1 && saysEnough.has(pattern.words[0]!.any[0]!);
  // the words of a sign may lie further apart: it is asked about rather than missed
  const reach = pattern.words.length + (pattern.condition.startsWith("sign-") ? 7 : 4);
  for (let start = 0; start < list.length; start++) {
    if (taken.has(start) && !alone) continue;
    const used = new Set<number>();
    let last = start;
    const fits = pattern.words.every(({ any: alternatives, next }) => {
      const beside = sideWord.has(list[last + 1]?.word ?? "") ? last + 2 : last + 1;
      const from = next ? beside : start;
      const to = Math.min(list.length, next ? beside + 1 : start + reach);
      for (let i = from; i < to; i++) {
        if (used.has(i) || (taken.has(i) && alternatives[0] !== "*" && !alone)) continue;
        const hit = alternatives[0] === "*" ? isPlace(list[i]!, list, i) : alternatives.includes(meant[i]!);
        if (hit) {
          used.add(i);
          last = i;
          return true;
        }
      }
      return false;
    });
    if (fits && used.has(start)) return { condition: pattern.condition, used };
  }
  return undefined;
}

/** What a part says, longest phrases first; each word serves one of them. */
export function hitsOf(list: readonly Token[]): Hit[] {
  const meant = list.map(({ word, stem }) => {
    if (
      known.has(stem) ||
      isSmall(word) ||
      drugNames.has(word) ||
      others.has(stem) ||
      filler.has(stem) ||
      commentary.has(stem) ||
      realWords.has(word)
    )
      return stem;
    return spelled(stem) ?? spelled(word) ?? stem;
  });
  const taken = new Map<number, string>();
  const hits: Hit[] = [];
  const drugged = list.map(({ word }) => {
    if (drugOf.has(word)) return drugOf.get(word);
    if (word.length < 7 || isSmall(word) || realWords.has(word)) return undefined;
    const family = families.find(([ending]) => word.endsWith(ending))?.[1];
    const near = family || known.has(stemOf(word)) ? undefined : spelledDrug(word);
    return family ?? (near && drugOf.get(near));
  });
  drugged.forEach((condition, i) => {
    if (!condition) return;
    taken.set(i, condition);
    hits.push({ condition, used: new Set([i]) });
  });
  const present = new Set(meant);
  for (const pattern of patterns) {
    if (!pattern.words.every(({ any }) => any[0] === "*" || any.some((word) => present.has(word)))) continue;
    const hit = match(pattern, list, meant, taken);
    if (!hit) continue;
    const same = hits.findIndex((other) => other.condition === hit.condition);
    if (same < 0) hits.push(hit);
    else hits[same] = { ...hit, used: new Set([...hits[same]!.used, ...hit.used]) };
    for (const i of hit.used) taken.set(i, hit.condition);
  }
  return hits;
}

/** What is said beside these changes nothing, when something weightier was said in the same part. */
const slight = new Set(["pain", "tried", "quiet", "osteoarthritis", "fall", "migraine", "dizzy"]);
/** A sign is stronger than the illness it may come from; the second is dropped where the first was read. */
export const stronger: Record<string, readonly string[]> = {
  anticoagulant: ["joint-injection"],
  "sign-headache": ["migraine"],
  "sign-neck-artery": ["dizzy", "fainting", "numbness", "pain"],
  "sign-chest-pain": ["pain", "breathless"],
  "sign-fever-back": ["sign-infection", "pain"],
  "sign-hot-calf": ["pain"],
  "sign-weight-night": ["pain"],
  "sign-major-trauma": ["pain", "fall"],
  whiplash: ["fall", "fainting"],
  "sign-bladder-bowel": ["neuropathy", "numbness"],
  "sign-weakness": ["neuropathy", "numbness", "pain"],
  "skull-fracture": ["fracture"],
  "joint-replacement": ["pain"],
  operation: ["belly-tender", "disc", "pain"],
  hernia: ["pregnancy"],
  dental: ["device"],
  stroke: ["clot", "bleeding"],
  aneurysm: ["bleeding"],
  marked: ["skin"],
  skin: ["marked"],
  fracture: ["marked", "pain", "fall"],
  arthritis: ["osteoarthritis"],
  "latex-allergy": ["allergy", "skin"],
  "wax-allergy": ["allergy", "skin"],
  "oil-allergy": ["allergy", "skin"],
  "nut-allergy": ["allergy", "skin", "oil-allergy"],
  "scent-allergy": ["allergy", "oil-allergy"],
  allergy: ["skin"],
  "trunk-rotation": ["scoliosis"],
  reflux: ["hernia"],
  "low-pressure": ["blood-pressure", "dizzy", "fainting"],
  disc: ["pain"],
  "disc-leg": ["disc", "pain", "neuropathy", "numbness"],
  neuropathy: ["numbness"],
  fusion: ["operation", "plate", "disc"],
  stenosis: ["pain"],
  "slipped-vertebra": ["disc", "fracture"],
  "stiff-shoulder": ["pain"],
  "joint-injection": ["steroids", "pain"],
  "nerve-block": ["pain", "disc-leg"],
  "eye-operation": ["operation", "eye"],
  "skin-cancer": ["cancer", "cancer-past"],
  "cancer-past": ["cancer"],
  "neck-artery": ["aneurysm"],
  "skull-pressure": ["blood-pressure"],
  "pre-eclampsia": ["pregnancy", "blood-pressure"],
  "very-high-pressure": ["blood-pressure"],
  platelets: ["bleeding"],
  stent: ["heart-failure"],
  shingles: ["skin", "infection-known"],
  "kidney-colic": ["belly-tender", "pain"],
  cochlear: ["device"],
  port: ["device"],
  plate: ["device"],
  jaw: ["pain"],
};

/** What is left when the weaker of what was read in a part is dropped, each condition once. */
export function settle(hits: readonly Hit[]): Hit[] {
  const dropped = new Set(hits.flatMap((hit) => stronger[hit.condition] ?? []));
  const weighty = hits.some((hit) => !slight.has(hit.condition));
  return hits.filter((hit) => !dropped.has(hit.condition) && !(weighty && slight.has(hit.condition)));
}
