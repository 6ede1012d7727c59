import type { LayerKey } from "../anatomy/layers";
import { placeOf } from "../anatomy/places";
import { partsOf, structureOf } from "../anatomy/structures";
import { areasThatFollow, stopThatFollows, tagsThatFollow, usualStop } from "./follows";
import { effortSaid, toolsSaid, usualIntent } from "./said";
import type { ForceKind, Way } from "./forces";
import { safetyTagKeys, type SafetyTag } from "./safety-tags";
import type { Dose, Effort, Hold, Intent, Load, Medium, Phase, Position, Reach, Technique, Tool } from "./technique";

/**
 * A technique as it is written down: in the starting catalogue, by a practice, and in the open files that go in and out.
 * `techniques.schema.json` says the same of the files. What is left out follows from the rest.
 */
export type Definition = {
  /** What all versions have in common: lower-case words with hyphens. */
  key: string;
  name: string;
  what: string;
  layer: LayerKey | "LT";
  /** Empty: any. */
  positions: Position[];
  medium: Medium;
  phase: Phase;
  minutes: { ideal: number; least: number };
  sided: boolean;
  pressure: number;
  load: Load;
  /** Structures or groups; in all their places, and with all of the time, unless said. */
  reach: { structure: string; places?: string[]; share?: number }[];
  stopWhen?: string;
  /** Marks beside those that follow from tool, place and force (`follows.ts`): they can be added to, not taken away. */
  consent?: boolean;
  tags?: SafetyTag[];
  joints?: string[];
  intent?: Intent;
  tools?: Tool[];
  effort?: Effort;
  hold?: Hold;
  force?: { kind: ForceKind; ways: Way[] };
};

/** "hamstrings@thigh-back,sit-bone*.6": how tables of this application write what is reached. */
export function readReach(text: string): Definition["reach"][number] {
  const [, structure, at, share] = /^([a-z-]+)(?:@([a-z,-]+))?(?:\*([\d.]+))?$/.exec(text) ?? [];
  return { structure: structure ?? text, ...(at && { places: at.split(",") }), share: Number(share ?? 1) };
}

/** Each part of a group for itself, where it lies in one of the places named; nothing where that is nowhere. */
export function reachOf({ structure, places, share }: Definition["reach"][number]): Reach[] {
  return partsOf(structure).flatMap((part): Reach[] => {
    const own = structureOf(part)?.places ?? [];
    // the first place named is the one the plan counts
    const at = places ? places.filter((place) => own.includes(place)) : own;
    return at.length > 0 ? [{ structure: part, places: at, share: share ?? 1 }] : [];
  });
}

/** The most each layer of each region gets; a structure counts for the region of its first place. */
function dosesOf(reach: readonly Reach[]): Dose[] {
  const doses = new Map<string, Dose>();
  for (const { structure, places, share } of reach) {
    const [region, { layer }] = [placeOf(places[0]!).region, structureOf(structure)!];
    const known = doses.get(`${region} ${layer}`);
    if (!known || known.share < share) doses.set(`${region} ${layer}`, { region, layer, share });
  }
  return [...doses.values()];
}

/** What is defined, under the key of its version. */
export function techniqueFrom(definition: Definition, key = definition.key): Technique {
  const { name, what, layer, positions, medium, phase, minutes, sided, pressure, load, hold, joints, force } =
    definition;
  const reach = definition.reach.flatMap(reachOf);
  const tools = definition.tools ?? toolsSaid(what, load);
  const done = { layer, tools, load, reach, force, pressure, hold, joints };
  const marks = new Set<SafetyTag>([...(definition.tags ?? []), ...tagsThatFollow(done)]);
  const tags = safetyTagKeys.filter((tag) => marks.has(tag));
  const { stopWhen = usualStop } = definition;
  return {
    key,
    stem: definition.key,
    name,
    what,
    intent: definition.intent ?? usualIntent(phase, layer),
    layer,
    positions,
    medium,
    phase,
    minutes,
    ...(hold && { hold }),
    ...(force && { force }),
    load,
    tools,
    effort: definition.effort ?? effortSaid(what),
    pressure,
    sided,
    reach,
    doses: dosesOf(reach),
    stopWhen: stopWhen === usualStop ? stopThatFollows(done, tags) : stopWhen,
    ...(definition.consent || areasThatFollow(done).length > 0 ? { consent: true as const } : {}),
    tags,
    ...(joints && { joints }),
  };
}

/** The definition that a technique comes from, with everything said that may be left out. */
export function definitionOf(technique: Technique): Definition {
  const { stem, key: _key, doses: _doses, reach, positions, tags, tools, joints, consent, force, ...rest } = technique;
  return {
    ...rest,
    key: stem,
    positions: [...positions],
    reach: reach.map(({ structure, places, share }) => ({ structure, places: [...places], share })),
    consent: consent ?? false,
    tags: [...tags],
    tools: [...tools],
    ...(joints && { joints: [...joints] }),
    ...(force && { force: { kind: force.kind, ways: [...force.ways] } }),
  };
}
