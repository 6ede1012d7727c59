import { sideBehind } from "../words";
import { layerName } from "../anatomy/layers";
import { structureGroups, structures, type Structure, type StructureGroup } from "../anatomy/structures";
import type { Side } from "../units";
import { directions, qualities, type Direction, type Grade, type Quality } from "./restriction";

/** What can be named in a line: a structure, or several that hands take as one. */
export type Named = Pick<Structure | StructureGroup, "key" | "name" | "layer" | "places" | "midline" | "words">;
const named: readonly Named[] = [...structures, ...structureGroups];

/** A finding as it was typed in one line, as far as it is understood. */
export type ReadLine = {
  side: Side | "both" | undefined;
  grade: Grade | undefined;
  quality: Quality | undefined;
  tenderness: number | undefined;
  bind: Direction | undefined;
  ease: Direction | undefined;
  /** Structures that fit the words left over, best first; empty while nothing names one. */
  structures: readonly Named[];
  /** Words that mean nothing here: shown as such, never dropped. */
  unread: readonly string[];
};

const sides: Readonly<Record<string, Side | "both">> = {
  l: "L",
  left: "L",
  r: "R",
  right: "R",
  b: "both",
  both: "both",
};
/** The only word of a list that begins so. */
const begun = <T extends string>(list: readonly T[], word: string): T | undefined => {
  const found = list.filter((each) => each.startsWith(word));
  return list.find((each) => each === word) ?? (found.length === 1 ? found[0] : undefined);
};

/**
 * How well a name fits words typed in order, each the beginning of one of its words, later ones after earlier ones: 0 is best,
 * undefined not at all. Words in between and words left over count against it.
 */
function fit(name: string, typed: readonly string[]): number | undefined {
  const words = name.split(/[\s,–-]+/).filter(Boolean);
  let [at, skipped] = [0, 0];
  for (const each of typed) {
    const found = words.findIndex((word, i) => i >= at && word.startsWith(each));
    if (found < 0) return undefined;
    skipped += found - at;
    at = found + 1;
  }
  const cut = typed.filter((each) => !words.includes(each)).length;
  return 2 * skipped + 0.15 * (words.length - at) + 0.5 * cut;
}

/** Structures and groups whose name, or another word for them, fits what was typed, best first. `recent` keys win a tie. */
export function findStructures(text: string, recent: readonly string[] = []): Named[] {
  const typed = text
    .toLowerCase()
    .split(/[\s,]+/)
    .filter(Boolean);
  if (typed.length === 0) return [];
  return named
    .flatMap((each, order) => {
      const fits = each.words.flatMap((word, i) => {
        const found = fit(word, typed);
        // its own name before other words for it
        return found === undefined ? [] : [found + (i === 0 ? 0 : 0.5)];
      });
      if (fits.length === 0) return [];
      const used = recent.indexOf(each.key);
      return [{ each, order, cost: Math.min(...fits) - (used >= 0 ? 0.3 : 0) }];
    })
    .sort((a, b) => a.cost - b.cost || a.order - b.order)
    .map(({ each }) => each);
}

/**
 * Reads "l qu lu 2 band t4 bind head": side, structure, grade 0–3, what it feels like, t and tenderness 0–10, bind and ease
 * with a direction, in any order. Every word may be cut short where it stays clear.
 */
export function readLine(text: string, recent: readonly string[] = []): ReadLine {
  const read: ReadLine = {
    side: undefined,
    grade: undefined,
    quality: undefined,
    tenderness: undefined,
    bind: undefined,
    ease: undefined,
    structures: [],
    unread: [],
  };
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const left: string[] = [];
  const found: { -readonly [K in keyof ReadLine]: ReadLine[K] } = { ...read };
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!;
    const next = words[i + 1];
    const tender = /^t(\d{1,2})$/.exec(word);
    if (found.side === undefined && sides[word]) found.side = sides[word];
    else if (found.grade === undefined && /^[0-3]$/.test(word)) found.grade = Number(word) as Grade;
    else if (found.tenderness === undefined && tender && Number(tender[1]) <= 10) found.tenderness = Number(tender[1]);
    else if (
      (word === "bind" || word === "binds" || word === "ease" || word === "eases") &&
      next &&
      begun(directions, next)
    ) {
      found[word.startsWith("bind") ? "bind" : "ease"] = begun(directions, next);
      i += 1;
    } else left.push(word);
  }
  // what names a structure comes first; what is left may say what it feels like
  const fits = (list: readonly string[]) => findStructures(list.join(" "), recent);
  const feels = (word: string) => (word.length >= 3 ? begun(qualities, word) : undefined);
  let rest = left;
  if (fits(rest).length === 0) {
    const at = rest.findIndex((word) => feels(word) && fits(rest.filter((other) => other !== word)).length > 0);
    const only = rest.length === 1 && feels(rest[0]!) ? 0 : at;
    if (only >= 0) {
      found.quality = feels(rest[only]!);
      rest = rest.filter((_, i) => i !== only);
    }
  }
  // the longest beginning, or the longest run, that names something; the others mean nothing here
  for (let size = rest.length; size > 0 && found.structures.length === 0; size--)
    for (let from = 0; from + size <= rest.length; from++) {
      const part = rest.slice(from, from + size);
      const hits = fits(part);
      if (hits.length === 0) continue;
      found.structures = hits;
      const others = [...rest.slice(0, from), ...rest.slice(from + size)];
      found.quality ??= others.map(feels).find((each) => each !== undefined);
      found.unread = others.filter((word) => !feels(word));
      break;
    }
  if (found.structures.length === 0) found.unread = rest;
  return found;
}

/** A structure with side and layer, as it is read out: "quadratus lumborum, left, inner muscle". */
export const spoken = ({ name, layer, midline }: Named, side: Side | "both"): string =>
  `${name.toLowerCase()}${midline ? "" : side === "both" ? ", both sides" : sideBehind[side]}, ${layerName(layer).toLowerCase()}`;
