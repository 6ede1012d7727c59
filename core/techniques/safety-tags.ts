import { jointsAt } from "../anatomy/joints";
import { regionsOf, type PlaceKey } from "../anatomy/places";
import type { RegionKey } from "../anatomy/regions";
import type { Technique } from "./technique";

/** What a technique does that a caution may speak against. Common practice. */
export const safetyTags = {
  "rib compression": ["rib-breath", "broad-compress", "broad-compress-front", "cross-spread", "diagonal-spread"],
  lever: [
    "leg-as-lever",
    "open-close-twist",
    "arm-off-lat",
    "hip-lift-press",
    "delt-across",
    "roll-glide",
    "roll-push-relax",
    "edge-lever",
    "twist-press",
  ],
  "end range": [
    "leg-as-lever",
    "open-close-twist",
    "arm-off-lat",
    "delt-across",
    "ham-pin-straighten",
    "calf-pin",
    "rectus-bend",
    "quad-pin",
    "collar-turn",
    "wrist-pin",
    "shin-line",
    "roll-push-relax",
    "chest-pin-rise",
    "front-line-hold",
    "arm-line-stretch",
    "quad-stretch",
    "slr-push-relax",
    "knee-push-relax",
    "twist-press",
    "band-bend",
  ],
  "neck lever": [
    "straighten-reset",
    "collar-turn",
    "neck-sway",
    "neck-rounds",
    "nod-release",
    "scalene-pin",
    "lt-unwind-neck",
  ],
  "skull-base pressure": ["hand-cushion-skull", "levator-strip", "lt-skull-base", "side-forearm-neck"],
  "sustained point": [
    "cord-hold",
    "trap-point",
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
    "shrug-release",
    "serratus-point",
    "scalene-pin",
    "sacral-ligament-hold",
    "side-psoas-wait",
  ],
  "deep belly": ["psoas-wait", "oblique-slide", "side-psoas-wait", "rib-arch-ease"],
  "inner thigh": ["adductor-lean"],
  cranial: [
    "lt-skull-base",
    "lt-vault",
    "lt-tube",
    "lt-unwind-neck",
    "lt-still-point",
    "lt-frontal",
    "lt-parietals",
    "lt-sphenoid",
    "lt-temporals",
    "lt-occiput-still",
  ],
  unwinding: ["lt-unwind-neck", "lt-unwind-arm", "lt-unwind-leg"],
  armpit: ["subscap-reach", "chest-fold"],
  elbow: ["sit-bone-hook"],
  thumb: [
    "groove-strip",
    "deep-groove-reach",
    "crest-inch",
    "scalene-creep",
    "wrist-pin",
    "cord-hold",
    "trap-point",
    "foot-open",
    "angle-glide",
    "chest-fold",
    "serratus-point",
    "scalene-pin",
    "band-bend",
    "palm-open",
    "thumb-ball",
  ],
  jaw: ["masseter-melt", "temporalis-wait", "lt-vault", "lt-temporals"],
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

const touched = new WeakMap<Technique, readonly PlaceKey[]>();
/** Every place a technique's hands reach, however briefly: what an excluded area is judged by. */
export function placesTouched(technique: Technique): readonly PlaceKey[] {
  const known = touched.get(technique) ?? [...new Set(technique.reach.flatMap(({ places }) => places))];
  touched.set(technique, known);
  return known;
}

/** The regions of these places. */
export const regionsTouched = (technique: Technique): RegionKey[] => regionsOf(placesTouched(technique));

/** Joints that levers and stretches move. What is not named moves every joint where it reaches. Common practice. */
const moved: Readonly<Record<string, string>> = {
  "leg-as-lever": "hip-joint knee-joint sacroiliac lumbosacral lumbar-segments",
  "open-close-twist": "lumbar-segments thoracic-segments rib-joints lumbosacral",
  "arm-off-lat": "shoulder-joint blade-on-ribs collarbone-outer collarbone-inner elbow-joint",
  "hip-lift-press": "hip-joint sacroiliac lumbosacral lumbar-segments",
  "delt-across": "shoulder-joint blade-on-ribs collarbone-outer collarbone-inner elbow-joint",
  "roll-glide": "hip-joint knee-joint sacroiliac lumbosacral lumbar-segments",
  "ham-pin-straighten": "knee-joint kneecap-joint",
  "calf-pin": "ankle-joint subtalar",
  "rectus-bend": "knee-joint kneecap-joint hip-joint",
  "quad-pin": "knee-joint kneecap-joint",
  "collar-turn": "neck-joints atlas-axis skull-atlas neck-root",
  "wrist-pin": "wrist-joint forearm-turn thumb-base knuckles finger-joints elbow-joint",
  "shin-line": "hip-joint knee-joint kneecap-joint",
  "roll-push-relax": "hip-joint knee-joint sacroiliac lumbosacral lumbar-segments",
  "edge-lever": "thoracic-segments rib-joints",
  "twist-press": "hip-joint knee-joint sacroiliac lumbosacral lumbar-segments",
  "chest-pin-rise": "shoulder-joint blade-on-ribs collarbone-outer collarbone-inner",
  "front-line-hold": "shoulder-joint blade-on-ribs collarbone-outer collarbone-inner",
  "arm-line-stretch": "shoulder-joint elbow-joint wrist-joint forearm-turn finger-joints",
  "quad-stretch": "knee-joint kneecap-joint hip-joint",
  "slr-push-relax": "hip-joint knee-joint",
  "knee-push-relax": "hip-joint knee-joint",
  "band-bend": "knee-joint kneecap-joint",
};

const joints = new WeakMap<Technique, readonly string[]>();
/** The joints a technique moves: what a rule about a joint is judged by. */
export function jointsMoved(technique: Technique): readonly string[] {
  const known = joints.get(technique) ?? moved[technique.key]?.split(" ") ?? jointsAt(placesTouched(technique));
  joints.set(technique, known);
  return known;
}

/**
 * The lightest pressure a technique can still be done at: two points under its usual, one where it has to reach
 * inner muscle or a joint. Below that it is another technique. Common practice.
 */
export function lightest(technique: Technique): number {
  const inner = technique.layer === "DM" || technique.layer === "AR";
  return technique.layer === "LT" ? 0 : Math.max(0, technique.pressure - (inner ? 1 : 2));
}
