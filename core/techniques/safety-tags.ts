import type { RegionKey } from "../anatomy/regions";

/**
 * Kinds of work that a caution may speak against, and the techniques of the starting catalogue that are one without their
 * tool, place or force telling so; the others follow (`follows.ts`). Common practice.
 */
export const safetyTags = {
  "rib compression": ["diagonal-spread", "spine-rock", "edge-lever"],
  lever: ["arm-off-lat", "hip-lift-press", "delt-across", "roll-glide", "roll-push-relax", "spine-rock"],
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
    "roll-glide",
    "roll-push-relax",
    "chest-pin-rise",
    "front-line-hold",
    "arm-line-stretch",
    "quad-stretch",
    "slr-push-relax",
    "knee-push-relax",
    "twist-press",
    "band-bend",
    "edge-lever",
    "coraco-lower",
    "scalene-pin",
  ],
  "neck lever": ["straighten-reset", "nod-release", "scalene-pin", "lt-unwind-neck"],
  "skull-base pressure": ["levator-strip"],
  "sustained point": [
    "pin-turn",
    "deep-groove-reach",
    "rotator-sink",
    "pec-major-sink",
    "pec-minor-open",
    "sit-bone-hook",
    "scalene-creep",
    "groove-strip",
    "shrug-release",
    "scalene-pin",
  ],
  "deep belly": [],
  "inner thigh": [],
  cranial: ["lt-still-point"],
  unwinding: ["lt-unwind-neck", "lt-unwind-arm", "lt-unwind-leg"],
  armpit: [],
  elbow: [],
  thumb: [],
  instrument: [],
  jaw: [],
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

export const safetyTagKeys = Object.keys(safetyTags) as SafetyTag[];

/** What a technique of the starting catalogue is beside what follows. */
export const tagsByKey = (key: string): SafetyTag[] =>
  safetyTagKeys.filter((tag) => (safetyTags[tag] as readonly string[]).includes(key));

/** Joints that levers and stretches of the starting catalogue move. Common practice. */
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
  "coraco-lower": "shoulder-joint blade-on-ribs elbow-joint",
  "scalene-pin": "neck-joints neck-root rib-joints",
  "spine-rock": "thoracic-segments lumbar-segments rib-joints lumbosacral",
};

export const jointsByKey: Readonly<Record<string, string[] | undefined>> = Object.fromEntries(
  Object.entries(moved).map(([key, joints]) => [key, joints.split(" ")]),
);
