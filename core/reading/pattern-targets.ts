import { partsOf, structureOf } from "../anatomy/structures";
import type { Side } from "../units";
import { capitalised, sideWord } from "../words";
import type { Holding, Site } from "./patterns";
import type { Suggestion } from "./reading";
import type { Placed, Target } from "./target";

/** From this support on a pattern asks for work by itself; one the practitioner takes up asks whatever its support. */
export const leastForWork = 0.5;
/** What is long or weak is worked at so much less than what was found there would ask for. */
const sparing = 0.4;
const minutesOf: Record<"short" | "stuck", number> = { short: 8, stuck: 8 };

const percent = (share: number) => `${Math.round(100 * share)} %`;

/** "suggested with 78 % (60–91 %), because hip high, left; …": why a pattern asks for work, with what speaks for it most. */
export function supportWords({ support, low, high, for: pieces }: Suggestion): string {
  const said = [...new Set(pieces.map(({ evidence }) => evidence.words || evidence.name.toLowerCase()))].slice(0, 3);
  return `suggested with ${percent(support)} (${Math.round(100 * low)}–${percent(high)})${said.length > 0 ? `, because ${said.join("; ")}` : ""}`;
}

const targetOf = (suggestion: Suggestion, { structure: key, state, side }: Holding): Target[] => {
  if (state !== "short" && state !== "stuck") return [];
  const structure = structureOf(key)!;
  const where = structure.midline ? "both" : side;
  const { pattern, support } = suggestion;
  return [
    {
      id: `pattern-${pattern.id}-${key}-${where}`,
      name: `${structure.name}${where === "both" ? "" : `, ${sideWord[where]}`}`,
      structures: [key],
      region: structure.region,
      layer: structure.layer,
      side: where,
      weight: (state === "short" ? 1.2 : 1) * support,
      wanted: minutesOf[state] * (where === "both" && !structure.midline ? 2 : 1) * support,
      patterns: [pattern.id],
      because: `${capitalised(state)} by “${pattern.name}”, ${supportWords(suggestion)}. ${pattern.order}`,
    },
  ];
};

const meets = (one: Side | "both", two: Side | "both") => one === two || one === "both" || two === "both";
const shares = (target: Target, key: string): boolean => {
  const parts = new Set([key, ...partsOf(key)]);
  return (
    target.structures?.some(
      (structure) => parts.has(structure) || partsOf(structure).some((part) => parts.has(part)),
    ) ?? false
  );
};

/**
 * Targets of what was found, with what the patterns behind it ask for. A pattern's structure that is a target already keeps the
 * heavier of the two weights and both reasons; what a pattern calls long or weak is worked less, and that is said.
 */
export function withPatterns(targets: readonly Target[], working: readonly Suggestion[]): Target[] {
  const all = new Map(targets.map((target) => [target.id, target]));
  const bySite = (wanted: Target) =>
    [...all.values()].find(
      ({ side, structures }) =>
        side === wanted.side && structures?.length === 1 && structures[0] === wanted.structures![0],
    );
  for (const wanted of working.flatMap((suggestion) =>
    suggestion.pattern.holds.flatMap((held) => targetOf(suggestion, held)),
  )) {
    const known = bySite(wanted);
    all.set(
      known?.id ?? wanted.id,
      known
        ? {
            ...known,
            weight: Math.max(known.weight, wanted.weight),
            wanted: Math.max(known.wanted, wanted.wanted),
            because: `${known.because} ${wanted.because}`,
            patterns: [...(known.patterns ?? []), ...wanted.patterns!],
          }
        : wanted,
    );
  }
  for (const suggestion of working)
    for (const { structure, state, side } of suggestion.pattern.holds) {
      if (state !== "long" && state !== "weak") continue;
      for (const [id, target] of all)
        // what hands found bound there is bound, whatever else holds
        if (
          !id.startsWith("restriction-") &&
          !id.startsWith("pattern-") &&
          meets(target.side, side) &&
          shares(target, structure)
        )
          all.set(id, {
            ...target,
            weight: sparing * target.weight,
            because: `${target.because} Less, because “${suggestion.pattern.name}” (${percent(suggestion.support)}) calls it ${state}.`,
          });
    }
  return [...all.values()];
}

/** What a practitioner decided of one target or pattern. */
export type Choice =
  | { key: string; body: { kind: "pattern"; as: "out" | "taken" } }
  /** The weight stays as it was turned, whatever is found later; 0 leaves the target out. */
  | { key: string; body: { kind: "target"; weight: number } }
  | { key: string; body: { kind: "own"; structure: string; side: Side | "both"; weight: number; minutes: number } };

export const mostWeight = 3;

/** Targets as the practitioner turned, left out and added them. `turned` of a target: its weight is theirs. */
export function chosenTargets(targets: readonly Target[], choices: readonly Choice[]): (Target & { turned?: true })[] {
  const weights = new Map(
    choices.flatMap(({ key, body }) => (body.kind === "target" ? [[key, body.weight] as const] : [])),
  );
  const own = choices.flatMap(({ key, body }): Target[] => {
    const structure = body.kind === "own" ? structureOf(body.structure) : undefined;
    if (body.kind !== "own" || !structure) return [];
    const side = structure.midline ? "both" : body.side;
    return [
      {
        id: key,
        name: `${structure.name}${side === "both" ? "" : `, ${sideWord[side]}`}`,
        structures: [body.structure],
        region: structure.region,
        layer: structure.layer,
        side,
        weight: body.weight,
        wanted: body.minutes,
        because: "You added it.",
      },
    ];
  });
  return [...targets, ...own].map((target) => {
    const weight = weights.get(target.id);
    return weight === undefined ? target : { ...target, weight, turned: true as const };
  });
}

/**
 * Targets with what they come before or after, by the usual order of patterns that hold. An order speaks of a target only where
 * something stands on both of its ends.
 */
export function inSequence<T extends Target>(targets: readonly T[], working: readonly Suggestion[]): T[] {
  const placed = new Map<string, Placed[]>();
  for (const { pattern } of working) {
    const { before, id, name, order } = pattern;
    if (!before) continue;
    const at = (sites: readonly Site[]) =>
      targets.filter(
        (target) =>
          target.weight > 0 &&
          sites.some(({ structure, side }) => meets(target.side, side) && shares(target, structure)),
      );
    const first = at(before.first);
    const then = at(before.then).filter((target) => !first.includes(target));
    if (first.length === 0 || then.length === 0) continue;
    const put = (list: readonly T[], when: Placed["when"]) => {
      for (const target of list)
        placed.set(target.id, [...(placed.get(target.id) ?? []), { pattern: id, name, order, when }]);
    };
    put(first, "first");
    put(then, "then");
  }
  return targets.map((target) => {
    const sequence = placed.get(target.id);
    return sequence ? { ...target, sequence } : target;
  });
}
