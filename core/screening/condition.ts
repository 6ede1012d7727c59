import type { RegionKey } from "../anatomy/regions";
import type { Outcome, OutcomeKind, Scope } from "./outcome";

/** What a history is made of. */
export const entryKinds = {
  injury: "Injury",
  operation: "Operation",
  scar: "Scar",
  implant: "Implant",
  pregnancy: "Pregnancy",
  dental: "Dental work",
  trauma: "Head or neck trauma",
  condition: "Condition",
  medication: "Medication",
  allergy: "Allergy",
  pain: "What hurts",
  tried: "What was tried",
} as const;
export type EntryKind = keyof typeof entryKinds;

/**
 * Where a rule holds, seen from the place that was told. "here": that place. "near": it and all that touches it. "outward":
 * that, and what lies further out on the limb. "region": its region. "joints": the joints there. "joints around": those within two places of it,
 * so that nothing levers across. While only a region was told, each speaks of the whole region.
 */
export type Around = "here" | "near" | "outward" | "region" | "joints" | "joints around";

/** A rule of a condition. It holds while the entry is open, unless `days` or `due` say otherwise. */
export type Rule = {
  /** Stable within the condition: clearances and overrides refer to it. */
  key: string;
  kind: OutcomeKind;
  reason: string;
  /** From and until so many days after it happened, open or ended: healing runs on the calendar. */
  days?: { from?: number; until?: number };
  /** A state, not an event: while it is told as going on (“since”, “for”), no calendar ends it. */
  lasts?: true;
  /** At least so many days, even when it is said to be over sooner. */
  leastDays?: number;
  /** For a pregnancy: from and until so many days after its calculated start (280 days before the due date). */
  due?: { from: number; until: number };
  /** The answer to the condition's question that lifts the rule; every other answer keeps it. */
  unless?: "yes" | "no";
  /** `at`: where, seen from the entry's own place and side; the same everywhere when left out. */
  scope?: Omit<Scope, "places" | "joints" | "side"> & { at?: Around };
} & Pick<Outcome, "pressure" | "without" | "withoutMedia" | "instead" | "proneMost" | "tableMost">;

export type Condition = {
  key: string;
  name: string;
  kind: EntryKind;
  /** Everyday words people use for it, for type-ahead. */
  synonyms: readonly string[];
  /** Whether a place on the body is asked for, and which stands there at first. */
  place?: RegionKey | "ask";
  /** One question that some rules turn on; "not sure" counts as the cautious answer. */
  question?: string;
  rules: readonly Rule[];
};

const lightOnly = 2;
export const weeks = (n: number) => 7 * n;

export function plain(kind: EntryKind, rows: readonly (readonly [string, string, string])[]): Condition[] {
  return rows.map(([key, name, words]) => ({
    key,
    name,
    kind,
    synonyms: words.split(", "),
    ...(kind === "tried" || kind === "medication" || kind === "allergy" ? {} : { place: "ask" as const }),
    rules: [],
  }));
}

export function bones(reason: string): Rule[] {
  return [
    { key: "compression", kind: "exclude", scope: { tags: ["rib compression", "lever", "neck lever"] }, reason },
    { key: "pressure", kind: "limit", pressure: 3, reason },
  ];
}

export function bleeding(reason: string): Rule[] {
  return [
    {
      key: "points",
      kind: "exclude",
      scope: { tags: ["sustained point", "instrument"] },
      reason: `${reason} No deep held points, no instruments.`,
    },
    { key: "pressure", kind: "limit", pressure: 3, reason },
  ];
}

export function vein(reason: string, at: Around = "region"): Rule[] {
  return [{ key: "deep", kind: "exclude", scope: { at, fromDepth: 2 }, reason }];
}

export function lymph(light: string, area: string): Rule[] {
  return [
    { key: "light", kind: "limit", pressure: lightOnly, reason: light },
    { key: "area", kind: "exclude", scope: { at: "region" }, reason: area },
  ];
}

export function circulation(reason: string, unless?: "yes"): Rule[] {
  const lifted = unless ? { unless } : {};
  return [
    { key: "time", kind: "limit", proneMost: 15, tableMost: 45, reason, ...lifted },
    {
      key: "clearance",
      kind: "inform",
      reason: "Ask for the doctor's clearance and note it here.",
      ...lifted,
    },
  ];
}

export function looseNeck(reason: string): Rule[] {
  return [
    {
      key: "neck",
      kind: "exclude",
      scope: { tags: ["neck lever", "skull-base pressure"] },
      reason: `${reason} No traction, levers or skull-base pressure.`,
    },
  ];
}

export function faceDown(reason: string): Rule[] {
  return [{ key: "prone", kind: "limit", proneMost: 10, reason }];
}

export function notFlat(reason: string): Rule[] {
  return [{ key: "supine", kind: "limit", without: ["supine"], reason }];
}

export function belly(reason: string): Rule[] {
  return [
    { key: "belly", kind: "exclude", scope: { regions: ["belly"] }, reason },
    {
      key: "belly-deep",
      kind: "exclude",
      scope: { tags: ["deep belly"] },
      reason: "Hands that sink under the rib edge press on the belly all the same.",
    },
  ];
}
