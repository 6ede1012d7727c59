import { layerName } from "../anatomy/layers";
import { placeOf } from "../anatomy/places";
import { regionName } from "../anatomy/regions";
import { partsOf, structureGroups, structureOf } from "../anatomy/structures";
import { safetyTags, type SafetyTag } from "./safety-tags";
import { hasTag } from "./touches";
import type { Load, Medium, Phase, Position, Technique } from "./technique";

/** What a typed line was read as: facets that have a meaning of their own, and words that have to be found. */
export type Asked = {
  words: string[];
  positions: Position[];
  media: Medium[];
  layers: Technique["layer"][];
  phases: Phase[];
  /** Parts of the practitioner that are to be spared. */
  easyOn: (keyof Load)[];
  tags: SafetyTag[];
  without: SafetyTag[];
  pressure: { least?: number; most?: number };
  /** Minutes a side at the most. */
  minutes?: number;
};

const positions: readonly [RegExp, Position][] = [
  [/\b(prone|face down|on (the|their) (front|belly))\b/g, "prone"],
  [/\b(supine|face up|on (the|their) back)\b/g, "supine"],
  [/\b(side-?lying|on (the|their) side|lying on (the|a) side)\b/g, "side"],
  [/\b(seated|sitting)\b/g, "seated"],
];
const media: readonly [RegExp, Medium][] = [
  [/\bdry\b/g, "dry"],
  [/\b(oil|oiled|with oil)\b/g, "oil"],
  [/\bwax\b/g, "wax"],
];
const layers: readonly [RegExp, Technique["layer"]][] = [
  [/\b(light touch|light-touch)\b/g, "LT"],
  [/\b(surface fascia|superficial fascia|skin work)\b/g, "SF"],
  [/\bdeep fascia\b/g, "DF"],
  [/\b(outer muscle|superficial muscle)\b/g, "SM"],
  [/\b(inner muscle|deep muscle)\b/g, "DM"],
  [/\bjoints?\b/g, "AR"],
];
const phases: readonly [RegExp, Phase][] = [
  [/\b(opening|to open|opens? the session)\b/g, "open"],
  [/\b(warming|warm-?up)\b/g, "warm"],
  [/\b(closing|to close)\b/g, "close"],
  [/\bbalanc(e|ing)\b/g, "balance"],
];
const parts: Record<string, keyof Load> = {
  thumb: "thumb",
  finger: "fingers",
  wrist: "wrist",
  shoulder: "shoulder",
  back: "back",
};
/** Longer ones first, so that a neck lever is not read as a lever. */
const tags = (Object.keys(safetyTags) as SafetyTag[]).sort((a, b) => b.length - a.length);
/** These are places, too: typed alone they are looked for as such. */
const placesToo: ReadonlySet<SafetyTag> = new Set(["thumb", "elbow", "armpit", "jaw", "inner thigh", "deep belly"]);
const filler = /\b(and|or|with|for|the|a|an|on|in|of|to|techniques?|work|working|something|anything)\b/g;

/** Reads a typed line: "easy on thumbs, prone, dry", "psoas without neck lever", "cranial". What means nothing by itself is a word. */
export function readAsked(text: string): Asked {
  let rest = ` ${text.toLowerCase().replace(/[,;]+/g, " ").replace(/\s+/g, " ")} `;
  const asked: Asked = {
    words: [],
    positions: [],
    media: [],
    layers: [],
    phases: [],
    easyOn: [],
    tags: [],
    without: [],
    pressure: {},
  };
  const take = (pattern: RegExp, found: (match: RegExpMatchArray) => void) => {
    rest = rest.replace(new RegExp(pattern.source, "g"), (...match) => {
      found(match.slice(0, -2) as unknown as RegExpMatchArray);
      return " ";
    });
  };
  take(
    /\b(?:easy on|spares?|sparing|saves?|kind to|no) (?:the |my )?(thumb|finger|wrist|shoulder|back)s?\b/,
    ([, part]) => asked.easyOn.push(parts[part!]!),
  );
  take(
    /\b(?:under|up to|at most|max) (\d+(?:\.\d+)?) ?min(?:utes)?\b/,
    ([, minutes]) => (asked.minutes = Number(minutes)),
  );
  for (const tag of tags) {
    take(new RegExp(`\\b(?:no|not|without) ${tag}s?\\b`), () => asked.without.push(tag));
    if (!placesToo.has(tag)) take(new RegExp(`\\b${tag}s?\\b`), () => asked.tags.push(tag));
  }
  take(/\b(gentle|soft|mild)\b/, () => (asked.pressure.most = 3));
  take(/\bstrong\b/, () => (asked.pressure.least = 6));
  const facet = <T>(list: readonly [RegExp, T][], into: T[]) => {
    for (const [pattern, value] of list) take(pattern, () => void (into.includes(value) || into.push(value)));
  };
  facet(positions, asked.positions);
  facet(media, asked.media);
  facet(layers, asked.layers);
  facet(phases, asked.phases);
  asked.words = rest.replace(filler, " ").split(/\s+/).filter(Boolean);
  return asked;
}

/** What a line was read as, in words: "face down · dry · easy on thumbs · “psoas”". */
export function askedWords(asked: Asked): string[] {
  const position: Record<Position, string> = {
    prone: "face down",
    supine: "face up",
    side: "on the side",
    seated: "seated",
  };
  const layer = (key: Technique["layer"]) => (key === "LT" ? "light touch" : layerName(key).toLowerCase());
  return [
    ...asked.positions.map((each) => position[each]),
    ...asked.media,
    ...asked.layers.map(layer),
    ...asked.phases.map(
      (phase) => ({ open: "opening", warm: "warming", work: "work", balance: "balancing", close: "closing" })[phase],
    ),
    ...asked.easyOn.map((part) => `easy on ${part === "back" ? "the back" : part.endsWith("s") ? part : `${part}s`}`),
    ...asked.tags,
    ...asked.without.map((tag) => `without ${tag}`),
    ...(asked.pressure.most === undefined ? [] : [`up to ${asked.pressure.most} of 10`]),
    ...(asked.pressure.least === undefined ? [] : [`${asked.pressure.least} of 10 and more`]),
    ...(asked.minutes === undefined ? [] : [`up to ${asked.minutes} min`]),
    ...asked.words.map((word) => `“${word}”`),
  ];
}

/** Words of a technique with their weight: its name, what it reaches, where, what is done. */
type Indexed = readonly (readonly [word: string, weight: number])[];
const index = new WeakMap<Technique, Indexed>();

const groupsOf = new Map<string, string[]>();
for (const { key, words } of structureGroups)
  for (const part of partsOf(key)) groupsOf.set(part, [...(groupsOf.get(part) ?? []), ...words]);

function indexOf(technique: Technique): Indexed {
  const known = index.get(technique);
  if (known) return known;
  const words = new Map<string, number>();
  const add = (text: string, weight: number) => {
    for (const word of text.toLowerCase().split(/[^a-z0-9-]+/))
      if (word) words.set(word, Math.max(weight, words.get(word) ?? 0));
  };
  add(technique.what, 1);
  add(`${technique.intent} ${technique.tools.join(" ")}`, 1);
  for (const { structure, places, share } of technique.reach) {
    for (const place of places) {
      const { words: own, region } = placeOf(place);
      for (const each of own) add(each, 0.6 + 0.6 * share);
      add(regionName(region), 0.5 + 0.5 * share);
    }
    for (const each of [...structureOf(structure)!.words, ...(groupsOf.get(structure) ?? [])]) add(each, 1 + 2 * share);
  }
  add(technique.name, 4);
  const made = [...words];
  index.set(technique, made);
  return made;
}

export type FoundTechnique = { technique: Technique; weight: number };

const fits = (asked: Asked, technique: Technique): boolean => {
  const any = <T>(wanted: readonly T[], has: (each: T) => boolean) => wanted.length === 0 || wanted.some(has);
  return (
    any(asked.positions, (each) => technique.positions.length === 0 || technique.positions.includes(each)) &&
    any(asked.media, (each) => technique.medium === each || technique.medium === "any") &&
    any(asked.layers, (each) => technique.layer === each) &&
    any(asked.phases, (each) => technique.phase === each) &&
    asked.easyOn.every((part) => technique.load[part] === undefined) &&
    asked.tags.every((tag) => hasTag(technique, tag)) &&
    !asked.without.some((tag) => hasTag(technique, tag)) &&
    technique.pressure <= (asked.pressure.most ?? 10) &&
    technique.pressure >= (asked.pressure.least ?? 0) &&
    technique.minutes.ideal <= (asked.minutes ?? Infinity)
  );
};

/** Techniques that are all that was asked for, those that answer the words best first; in their own order where none were typed. */
export function findTechniques(asked: Asked, all: readonly Technique[]): FoundTechnique[] {
  const found = all.flatMap((technique): FoundTechnique[] => {
    if (!fits(asked, technique)) return [];
    let weight = 0;
    for (const word of asked.words) {
      let best = 0;
      for (const [known, own] of indexOf(technique)) {
        if (own <= best) continue;
        // the beginning of a word is enough while it is typed; the whole word counts more
        if (known === word) best = own;
        else if (word.length > 1 && known.startsWith(word)) best = Math.max(best, 0.8 * own);
      }
      if (best === 0) return [];
      weight += best;
    }
    return [{ technique, weight }];
  });
  return asked.words.length > 0 ? found.sort((a, b) => b.weight - a.weight) : found;
}

/** What else does nearly this: techniques that reach most of the same structures, by the share of both that is common (0–1). */
export function alike(technique: Technique, all: readonly Technique[]): { technique: Technique; share: number }[] {
  const own = new Map(technique.reach.map(({ structure, share }) => [structure, share]));
  const sum = (list: Iterable<number>) => [...list].reduce((total, each) => total + each, 0);
  const size = sum(own.values());
  return all
    .flatMap((other) => {
      if (other.key === technique.key) return [];
      const common = sum(other.reach.map(({ structure, share }) => Math.min(share, own.get(structure) ?? 0)));
      const whole = size + sum(other.reach.map(({ share }) => share)) - common;
      return common > 0 ? [{ technique: other, share: common / whole }] : [];
    })
    .sort((a, b) => b.share - a.share);
}
