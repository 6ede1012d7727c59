import type { PlaceKey } from "../anatomy/places";

/** How a range ends under the hand, or by itself. */
export const endFeels = ["soft", "firm", "hard", "empty"] as const;
export type EndFeel = (typeof endFeels)[number];
export const endFeelWords: Record<EndFeel, string> = {
  soft: "soft: flesh on flesh",
  firm: "firm: a stretch that gives a little",
  hard: "hard: bone on bone",
  empty: "empty: they stop it before anything else does",
};

/**
 * A range that is measured: from where the joint stands at rest. Errors are of one careful measurement by a practised hand,
 * common practice, from memory, until one's own are known.
 */
export type Movement = {
  key: string;
  name: string;
  /** Rows of the page. */
  group: string;
  places: readonly PlaceKey[];
  joints: readonly string[];
  sided: boolean;
  unit: "deg" | "mm";
  /** Mean of healthy adults, or what is called enough. */
  reference: number;
  source: string;
  /** Less is better: the floor to the fingertips. */
  lessIsMore?: true;
  se: number;
  limits: readonly [number, number];
  how: string;
};

const aaos = "American Academy of Orthopaedic Surgeons handbook mean, from memory";
const common = "common practice, from memory";

const degrees = (
  group: string,
  key: string,
  name: string,
  reference: number,
  source: string,
  places: string,
  joints: string,
  how: string,
  rest: Partial<Movement> = {},
): Movement => ({
  key,
  name,
  group,
  places: places.split(" ") as PlaceKey[],
  joints: joints.split(" "),
  sided: true,
  unit: "deg",
  reference,
  source,
  se: 3,
  limits: [-40, 220],
  how,
  ...rest,
});

export const movements: readonly Movement[] = [
  degrees(
    "Neck",
    "neck-rotation",
    "Neck, turning",
    80,
    aaos,
    "neck-back neck-side",
    "atlas-axis neck-joints",
    "Seated, shoulders still, the chin travels level.",
  ),
  degrees(
    "Neck",
    "neck-side-bend",
    "Neck, side-bending",
    45,
    aaos,
    "neck-side neck-back",
    "neck-joints neck-root",
    "Seated: ear towards the shoulder, the shoulder stays down.",
  ),
  degrees(
    "Neck",
    "neck-flexion",
    "Neck, bending forward",
    45,
    aaos,
    "neck-back skull-base",
    "skull-atlas neck-joints",
    "Seated: chin towards the breastbone.",
    { sided: false },
  ),
  degrees(
    "Shoulder",
    "shoulder-flexion",
    "Arm, raised forward",
    180,
    aaos,
    "shoulder-point",
    "shoulder-joint",
    "Face up, low back down: the arm goes overhead.",
  ),
  degrees(
    "Shoulder",
    "shoulder-abduction",
    "Arm, raised sideways",
    180,
    aaos,
    "shoulder-point",
    "shoulder-joint",
    "Seated, palm forward: the arm goes up the side.",
  ),
  degrees(
    "Shoulder",
    "shoulder-outward",
    "Arm, turned outward",
    90,
    aaos,
    "shoulder-point",
    "shoulder-joint",
    "Face up, upper arm out to the side, elbow bent: the hand goes back.",
  ),
  degrees(
    "Shoulder",
    "shoulder-inward",
    "Arm, turned inward",
    70,
    aaos,
    "shoulder-point",
    "shoulder-joint",
    "Face up, upper arm out to the side, elbow bent: the hand goes forward and down.",
  ),
  {
    key: "schober",
    name: "Low back, bending forward (15 cm mark)",
    group: "Trunk",
    places: ["l-upper", "l-low"],
    joints: ["lumbar-segments", "lumbosacral"],
    sided: false,
    unit: "mm",
    reference: 50,
    source: "Under 5 cm of increase counts as limited (Macrae & Wright 1969, from memory)",
    se: 5,
    limits: [0, 150],
    how: "Standing, marks 10 cm above and 5 cm below the dimples; bend forward: what 15 cm grow by.",
  },
  {
    key: "finger-floor",
    name: "Fingertips to the floor",
    group: "Trunk",
    places: ["l-upper", "l-low", "thigh-back"],
    joints: ["lumbar-segments", "hip-joint"],
    sided: false,
    unit: "mm",
    reference: 100,
    lessIsMore: true,
    source: common,
    se: 15,
    limits: [-300, 900],
    how: "Standing, knees straight, bend forward: from the middle finger to the floor; below it counts less than nothing.",
  },
  degrees(
    "Trunk",
    "trunk-side-bend",
    "Trunk, side-bending",
    35,
    aaos,
    "waist flank",
    "thoracic-segments lumbar-segments",
    "Standing: the hand slides down the thigh, both feet stay.",
  ),
  degrees(
    "Hip",
    "hip-inward",
    "Hip, turned inward",
    45,
    aaos,
    "hip-side groin",
    "hip-joint",
    "Face down, knee bent: the lower leg falls outward.",
  ),
  degrees(
    "Hip",
    "hip-outward",
    "Hip, turned outward",
    45,
    aaos,
    "hip-side buttock",
    "hip-joint",
    "Face down, knee bent: the lower leg falls inward.",
  ),
  degrees(
    "Hip",
    "leg-raise",
    "Straight leg, raised",
    80,
    aaos,
    "thigh-back",
    "hip-joint sacroiliac",
    "Face up, the other leg stays down, knee straight.",
  ),
  degrees(
    "Knee and ankle",
    "knee-extension",
    "Knee, straightened from 90/90",
    70,
    common,
    "thigh-back knee-back",
    "knee-joint",
    "Face up, hip and knee at a right angle: the lower leg goes up. How far it straightens from there.",
  ),
  degrees(
    "Knee and ankle",
    "ankle-lunge",
    "Ankle, in a lunge",
    38,
    common,
    "ankle calf",
    "ankle-joint",
    "Standing lunge, heel down: the shin against the vertical.",
  ),
  degrees(
    "Knee and ankle",
    "ankle-dorsiflexion",
    "Ankle, foot drawn up",
    20,
    aaos,
    "ankle calf",
    "ankle-joint",
    "Face up, knee straight: the foot comes up.",
  ),
  {
    key: "jaw-opening",
    name: "Jaw, opening",
    group: "Jaw",
    places: ["jaw"],
    joints: ["jaw"],
    sided: false,
    unit: "mm",
    reference: 40,
    source: common,
    se: 2,
    limits: [0, 80],
    how: "Seated: between the edges of the front teeth.",
  },
];

const byKey = new Map(movements.map((movement) => [movement.key, movement]));
export const isMovement = (key: string): boolean => byKey.has(key);
export function movementOf(key: string): Movement {
  const movement = byKey.get(key);
  if (!movement) throw new RangeError(`movement ${key}`);
  return movement;
}
