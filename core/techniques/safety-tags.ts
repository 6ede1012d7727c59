import type { RegionKey } from "../anatomy/regions";
import type { Technique } from "./technique";

/** What a technique does that a caution may speak against. Common practice. */
export const safetyTags = {
  "rib compression": ["rib-breath", "broad-compress", "broad-compress-front", "cross-spread", "diagonal-spread"],
  lever: ["leg-as-lever", "open-close-twist", "arm-off-lat", "hip-lift-press", "delt-across", "roll-glide"],
  "end range": [
    "leg-as-lever",
    "open-close-twist",
    "arm-off-lat",
    "delt-across",
    "ham-pin-straighten",
    "calf-pin",
    "rectus-bend",
    "collar-turn",
    "wrist-pin",
    "shin-line",
  ],
  "neck lever": ["straighten-reset", "collar-turn", "neck-sway", "neck-rounds", "nod-release", "lt-unwind-neck"],
  "skull-base pressure": ["hand-cushion-skull", "levator-strip", "lt-skull-base", "side-forearm-neck"],
  "sustained point": [
    "cord-hold",
    "pin-turn",
    "scap-hook",
    "subscap-reach",
    "deep-groove-reach",
    "rotator-sink",
    "deep-calf-sink",
    "pec-major-sink",
    "pec-minor-open",
    "sit-bone-hook",
    "scalene-creep",
    "psoas-wait",
    "groove-strip",
  ],
  "deep belly": ["psoas-wait", "oblique-slide"],
  "inner thigh": ["adductor-lean"],
  cranial: ["lt-skull-base", "lt-vault", "lt-tube", "lt-unwind-neck", "lt-still-point"],
  unwinding: ["lt-unwind-neck"],
  armpit: ["subscap-reach"],
  elbow: ["sit-bone-hook"],
  thumb: ["groove-strip", "deep-groove-reach", "crest-inch", "scalene-creep", "wrist-pin", "cord-hold", "foot-open"],
  jaw: ["masseter-melt", "temporalis-wait", "lt-vault"],
} as const satisfies Record<string, readonly string[]>;

export type SafetyTag = keyof typeof safetyTags;

/** The region a kind of work belongs to, where it belongs to one: for showing it on the body. */
export const tagRegions: Partial<Record<SafetyTag, readonly RegionKey[]>> = {
  "rib compression": ["chest", "upper-back"],
  "neck lever": ["neck"],
  "skull-base pressure": ["neck"],
  "deep belly": ["belly"],
  "inner thigh": ["thigh"],
  cranial: ["head"],
  armpit: ["shoulder"],
  jaw: ["head"],
};

const tagsByTechnique = new Map<string, Set<SafetyTag>>();
for (const [tag, keys] of Object.entries(safetyTags) as [SafetyTag, readonly string[]][])
  for (const key of keys) tagsByTechnique.set(key, (tagsByTechnique.get(key) ?? new Set()).add(tag));

export const hasTag = (technique: Technique, tag: SafetyTag): boolean =>
  tagsByTechnique.get(technique.key)?.has(tag) ?? false;

/** Every region a technique's hands reach, however briefly: what an excluded area is judged by. */
export const regionsTouched = (technique: Technique): RegionKey[] => [
  ...new Set(technique.doses.map((dose) => dose.region)),
];

/**
 * The lightest pressure a technique can still be done at: two points under its usual, one where it has to reach
 * inner muscle or a joint. Below that it is another technique. Common practice.
 */
export function lightest(technique: Technique): number {
  const inner = technique.layer === "DM" || technique.layer === "AR";
  return technique.layer === "LT" ? 0 : Math.max(0, technique.pressure - (inner ? 1 : 2));
}
