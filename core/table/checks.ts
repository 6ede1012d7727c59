import type { PlaceKey } from "../anatomy/places";

/** How the client lies or sits, in the order of the run: nobody turns twice. */
export const lyings = ["supine", "prone", "seated"] as const;
export type Lying = (typeof lyings)[number];
export const lyingWords: Record<Lying, string> = { supine: "face up", prone: "face down", seated: "seated" };

/** By hand and eye, in words and grades; or by tape, rule or inclinometer. Kept and compared apart. */
export const ways = ["hand", "measured"] as const;
export type Way = (typeof ways)[number];

export type TableUnit = "mm" | "deg" | "/min";
export const unitWords: Record<TableUnit, string> = { mm: " mm", deg: "°", "/min": " a minute" };

/** What can be measured, with the standard error of one careful measurement, and what is a slip of the pen. */
export type Measure = {
  unit: TableUnit;
  se: number;
  limits: readonly [number, number];
};

/**
 * A comparison at the table. All methods and errors are common practice, from memory, until one's own are known; figures with
 * a source name it.
 */
export type Check = {
  key: string;
  name: string;
  lying: Lying;
  places: readonly PlaceKey[];
  /** What hands and eyes do. */
  how: string;
  /** What it may mean, and what is looked at next: where it is not even. */
  next: string;
  source: string;
  /** What is done to the body for it; a look, where nothing is. */
  act?: "hold" | "move";
  /** What `next` tells to do at the same places, where it tells more than what to look at or to plan. */
  then?: "hold" | "move";
  /** Asked only where that check is off. */
  follows?: string;
  /** Checks of one family are looked at alike, and share what is known of their error; its name. None: a family of its own. */
  family?: string;
} & (
  | {
      /** Which side stands out: even, or one side by a grade 1–3; or measured, positive: the client's left. */
      kind: "side";
      /** How a side stands out: "high", "short". */
      stands: "high" | "short";
      measure?: Measure;
      /** Measured differences of up to this are called even. */
      even?: number;
    }
  | {
      /** Each side for itself: in words from good to bad, or measured. */
      kind: "each";
      steps?: readonly string[];
      measure?: Measure;
      usual?: readonly [number, number];
      even?: number;
    }
  | {
      /** The whole: one of several words; or measured. */
      kind: "one";
      steps?: readonly string[];
      /** So many of the words, from the first on, are usual. */
      usualSteps?: number;
      measure?: Measure;
      usual?: readonly [number, number];
    }
);

const common = "common practice";
/** How far one side stands out. */
export const standsOut = ["even", "a little", "clearly", "strongly"] as const;

const mm = (se: number, most: number): Measure => ({ unit: "mm", se, limits: [-most, most] });

const malleoli = (key: string, name: string, how: string, next: string): Check => ({
  key,
  name,
  family: "Ankle bones",
  lying: "supine",
  places: ["ankle"],
  how,
  next,
  kind: "side",
  stands: "short",
  measure: mm(4, 80),
  even: 5,
  source: "Under 5 mm is common in the healthy (Knutson 2005: mean 5.2 mm, SD 4.1; from memory).",
});

const groups = [
  ["neck", "neck", ["neck-back"]],
  ["t-upper", "upper thoracic", ["t-upper"]],
  ["t-mid", "middle thoracic", ["t-mid"]],
  ["t-low", "lower thoracic", ["t-low"]],
  ["l-upper", "upper lumbar", ["l-upper"]],
  ["l-low", "lower lumbar", ["l-low"]],
  ["sacrum", "sacrum", ["sacrum"]],
] as const satisfies readonly (readonly [string, string, readonly PlaceKey[]])[];

/** Segment groups from the head down. */
export const segmentGroups = groups.map(([key, name]) => ({ key, name }));

const bladeDistance = (key: string, name: string, how: string): Check => ({
  key,
  name,
  family: "Blade from the spine",
  lying: "seated",
  places: ["blade-edge"],
  how,
  next: "A wide blade: is serratus anterior holding, are rhomboids long? Look at trigger points between the ribs.",
  kind: "each",
  measure: { unit: "mm", se: 5, limits: [0, 200] },
  usual: [0, 76],
  even: 15,
  source:
    "More than 15 mm between the sides is the classic positive (Kibler 1998, from memory); 3 inches wide is common practice.",
});

/** Which way a segment group is bent, and where it comes level: with its high side they tell how it is held. */
const howItIsHeld = (key: string, name: string, places: readonly PlaceKey[]): Check[] => [
  {
    key: `bend-${key}`,
    name: `Hollow side, ${name}`,
    family: "Hollow side",
    lying: "prone",
    places,
    how: "Which side is the hollow one, with the spinous processes bowed away from it?",
    next: "With the high side it tells how the segments are held.",
    kind: "side",
    stands: "short",
    source: common,
    follows: `high-${key}`,
  },
  {
    key: `evens-${key}`,
    name: `Comes level, ${name}`,
    family: "Comes level",
    lying: "prone",
    places,
    how: "On the elbows for bent back, over a cushion for bent forward: where does the high side come level?",
    next: "With the high side and the hollow side it tells how the segments are held.",
    kind: "one",
    steps: ["level while straight", "level bent forward", "level bent back", "level in none"],
    usualSteps: 4,
    source: common,
    follows: `high-${key}`,
  },
];

const springSteps = ["free", "slow", "stuck"] as const;

export const checks: readonly Check[] = [
  malleoli(
    "malleoli",
    "Ankle bones",
    "Legs straight, thumbs under the inner ankle bones, eyes right above them.",
    "Toes out, too? The pelvis may be turned and the hip rotators short: work the pelvis first, then look again.",
  ),
  {
    key: "leg-tape",
    name: "Leg length by tape",
    lying: "supine",
    places: ["hip-front", "ankle"],
    how: "From the front hip bone to the inner ankle bone, each side twice; the mean of both.",
    next: "Against the ankle bones: a difference that the tape does not find comes from the pelvis.",
    kind: "each",
    measure: { unit: "mm", se: 4, limits: [400, 1300] },
    even: 5,
    source: "Under 5 mm is common in the healthy (Knutson 2005, from memory).",
  },
  {
    key: "turn-out",
    name: "Feet turned out at rest",
    lying: "supine",
    places: ["instep"],
    how: "Feet let go; the foot's long axis against the vertical.",
    next: "The side turned out more: hip rotators, back of the hip; rolled in: inner thigh, front of the hip.",
    kind: "each",
    measure: { unit: "deg", se: 4, limits: [-40, 100] },
    usual: [10, 50],
    even: 12,
    source: common,
  },
  {
    key: "shoulder-point",
    name: "Shoulder point off the table",
    lying: "supine",
    places: ["shoulder-point", "upper-chest"],
    how: "Arms beside the body, let go: from the table to the back edge of the acromion.",
    next: "High off the table: pectoralis minor, coracobrachialis and the short head of biceps are short. Open the front before loosening the back.",
    kind: "each",
    measure: { unit: "mm", se: 5, limits: [0, 200] },
    usual: [0, 26],
    even: 15,
    source: "An inch and more is taken as short (common practice).",
  },
  {
    key: "chest-expansion",
    name: "Chest expansion",
    lying: "supine",
    places: ["breastbone", "side-ribs"],
    how: "Tape at the xiphoid: from full out to full in.",
    next: "Little: rib edge, diaphragm and the muscles between the ribs; look at how the breath moves.",
    kind: "one",
    measure: { unit: "mm", se: 6, limits: [0, 200] },
    usual: [40, 200],
    source: common,
  },
  {
    key: "breath-path",
    name: "Where the breath moves first",
    lying: "supine",
    places: ["upper-belly", "breastbone"],
    how: "Watch three quiet breaths; say nothing.",
    next: "Chest first: scalenes and the front of the neck help to breathe. Against each other: the diaphragm first.",
    kind: "one",
    steps: ["belly first", "side ribs first", "chest first", "belly against chest"],
    usualSteps: 2,
    source: common,
  },
  {
    key: "breath-rate",
    name: "Breaths a minute",
    lying: "supine",
    places: ["breastbone"],
    how: "Count half a minute, unseen.",
    next: "Fast at rest: give more time before deep work; ask how they are.",
    kind: "one",
    measure: { unit: "/min", se: 1, limits: [2, 60] },
    usual: [8, 18],
    source: common,
  },
  {
    key: "rib-spring-front",
    name: "Rib spring, front",
    family: "Rib spring",
    lying: "supine",
    places: ["upper-chest", "rib-edge"],
    how: "Flat hand on the ribs, a little weight on the out-breath, let go.",
    act: "move",
    next: "Stuck: the muscles between those ribs, and pectoralis minor above them.",
    kind: "each",
    steps: springSteps,
    source: common,
  },
  malleoli(
    "malleoli-sitting",
    "Ankle bones, sitting up",
    "They sit up with straight legs; thumbs stay under the ankle bones.",
    "Changed from lying: the pelvis makes it. The same: the legs may differ.",
  ),
  {
    key: "hip-height",
    name: "Hip height",
    lying: "prone",
    places: ["buttock", "hip-side"],
    how: "From the feet: sight across the iliac crests and the trochanters.",
    next: "Crossed legs by habit? The other side's low back is stretched and tight; look at feet, shoulders and ribs of the same side.",
    kind: "side",
    stands: "high",
    measure: mm(5, 80),
    even: 5,
    source: common,
  },
  {
    key: "shoulder-height",
    name: "Shoulder height",
    lying: "prone",
    places: ["shoulder-top", "blade"],
    how: "From the head end: sight across the tops of both shoulders.",
    next: "The high side: upper trapezius and levator; the low one: what pulls it down, latissimus.",
    kind: "side",
    stands: "high",
    measure: mm(5, 80),
    even: 5,
    source: common,
  },
  ...groups.flatMap(([key, name, places]): Check[] => [
    {
      key: `high-${key}`,
      name: `High side, ${name}`,
      family: "High side beside the spine",
      lying: "prone",
      places,
      how: "From the head end, the stronger eye over the mid-line: which strip beside the spine stands higher?",
      then: "hold",
      next: "The vertebrae or their ribs may be turned: bring the high side to the mid-line, draw the low side away, look again.",
      kind: "side",
      stands: "high",
      measure: { unit: "deg", se: 1.5, limits: [-30, 30] },
      even: 2,
      source: "Refer at 5 to 7° in forward bend (Bunnell 1984, from memory); what counts as even is common practice.",
    },
    ...(key === "sacrum" ? [] : howItIsHeld(key, name, places)),
  ]),
  ...groups.map(([key, name, places]): Check => ({
    key: `rock-${key}`,
    name: `Rock, ${name}`,
    family: "Rock",
    lying: "prone",
    places,
    how: "Rock it from the near side, three times; then from the other.",
    act: "move",
    then: "hold",
    next: "Stuck: sink beside it and wait; then rock again.",
    kind: "each",
    steps: springSteps,
    source: common,
  })),
  {
    key: "rib-spring-back",
    name: "Rib spring, back",
    family: "Rib spring",
    lying: "prone",
    places: ["t-mid", "t-low"],
    how: "Flat hands beside the spine, a little weight on the out-breath, let go.",
    act: "move",
    next: "Stuck: erectors over it, then the joints of those ribs.",
    kind: "each",
    steps: springSteps,
    source: common,
  },
  bladeDistance(
    "blade-rest",
    "Blade from the spine, at rest",
    "Hands in the lap: from the inner edge to the spinous processes.",
  ),
  bladeDistance("blade-hanging", "Blade from the spine, arm hanging", "Arms hang: the same line again."),
  bladeDistance(
    "blade-behind",
    "Blade from the spine, hand behind",
    "One hand behind the back, then the other: the same line.",
  ),
  {
    key: "ridge",
    name: "Ridge of the blade, hand behind the back",
    lying: "seated",
    places: ["blade"],
    how: "With the hand behind the back: does the inner edge stand out as a ridge?",
    next: "No ridge: it is pulled from the front. Subscapularis and the chest first.",
    kind: "each",
    steps: ["seen", "hardly", "none"],
    source: common,
  },
];

export const familyOf = ({ family, name }: Check): string => family ?? name;

const byKey = new Map(checks.map((check) => [check.key, check]));
export const isCheck = (key: string): boolean => byKey.has(key);
/** The check of a key; throws on one that is none. */
export function checkOf(key: string): Check {
  const check = byKey.get(key);
  if (!check) throw new RangeError(`check ${key}`);
  return check;
}
