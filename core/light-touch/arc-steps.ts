/** What a hand does in a hold, in this order; some holds leave some out. */
export const phaseWords = {
  "melt in": "Melt in: nothing but contact",
  compress: "Take it together, and no further than it comes",
  wait: "Wait, and follow",
  lift: "Lift, or draw, by the weight of a coin",
  "melt out": "Melt out, slower than you came",
} as const;
export type Phase = keyof typeof phaseWords;

/** What a hand waits for; which one came is logged. */
export const signs = [
  "softening",
  "lengthening",
  "warmth",
  "a deep breath",
  "a settling pulse",
  "fluid spread",
  "floating",
] as const;
export type Sign = (typeof signs)[number];

/** One hold of the arc. Amounts in grams on the hand. All of it common teaching; where schools part, `others` says how. */
export type Hold = {
  key: string;
  name: string;
  hands: string;
  direction: string;
  grams: readonly [number, number];
  phases: readonly Phase[];
  /** Usual minutes: the tissue leads. */
  minutes: readonly [number, number];
  others?: string;
  /** The technique of the catalogue whose cautions hold for it. */
  technique: string;
  /** Part of the short form. */
  short?: true;
};

export type ArcStep = {
  key: string;
  name: string;
  /** Why it stands where it does. */
  why: string;
  /** Begun by listening at the stations, or ended by it: its holds are the stations' own. */
  listens?: "first" | "again";
  holds: readonly Hold[];
};

const soft: readonly Phase[] = ["melt in", "wait", "melt out"];
const drawn: readonly Phase[] = ["melt in", "wait", "lift", "wait", "melt out"];
const taken: readonly Phase[] = ["melt in", "compress", "wait", "lift", "wait", "melt out"];

const hold = (
  technique: string,
  key: string,
  name: string,
  hands: string,
  direction: string,
  rest: Partial<Omit<Hold, "technique" | "key" | "name">> = {},
): Hold => ({ technique, key, name, hands, direction, grams: [0, 5], phases: soft, minutes: [1, 5], ...rest });

/** The ten steps in the order most schools share: from the feet and the pelvis to the head, and back to the whole. */
export const arcSteps: readonly ArcStep[] = [
  {
    key: "listen",
    name: "Listen at the stations",
    why: "What is weakest now is known only now: without it nothing can be compared at the end.",
    listens: "first",
    holds: [],
  },
  {
    key: "sheets",
    name: "Cross-wise sheets",
    why: "The tube can glide only where the sheets across it let it: from the pelvis up.",
    holds: [
      hold(
        "lt-sheets",
        "sheet-pelvis",
        "Pelvic sheet",
        "Lower hand at L5 and sacrum, upper hand just above the pubic bone.",
        "Towards each other, from nothing, gram by gram.",
        { short: true },
      ),
      hold(
        "lt-sheets",
        "sheet-breath",
        "Respiratory sheet",
        "Lower hand at the thoracolumbar junction, upper hand below the xiphoid.",
        "Towards each other; the breath goes through.",
        { short: true },
      ),
      hold(
        "lt-sheets",
        "sheet-inlet",
        "Upper chest inlet",
        "Lower hand at C7, upper hand below the collarbones.",
        "Towards each other, collarbones wide.",
      ),
      hold(
        "lt-sheets",
        "sheet-hyoid",
        "Hyoid sheet",
        "Lower hand under the neck, thumb and finger of the upper one light on the hyoid.",
        "Follow; a small nudge if nothing moves.",
        { grams: [0, 3], others: "Some leave the hyoid out where swallowing is uneasy." },
      ),
    ],
  },
  {
    key: "skull-base",
    name: "Skull base",
    why: "The upper end of the tube hangs here: it is freed before anything is drawn along it.",
    holds: [
      hold(
        "lt-skull-base",
        "base-balance",
        "Head on a pedestal",
        "Fingertips under the edge of the skull, the head balanced on them.",
        "Up; wait until it softens and the head tips back.",
        {
          grams: [0, 50],
          minutes: [2, 6],
          short: true,
          others: "The head's own weight is on the fingers here; the hands themselves add nothing.",
        },
      ),
      hold(
        "lt-skull-base",
        "base-carry",
        "Carried forward",
        "The same fingers.",
        "Forward, as far as it comes by itself.",
      ),
      hold(
        "lt-skull-base",
        "base-away",
        "Occiput away from the first vertebra",
        "One finger steadies the first vertebra, the other hand has the occiput.",
        "Headward.",
        { phases: drawn, short: true },
      ),
      hold(
        "lt-skull-base",
        "base-spread",
        "Occiput spread",
        "Fingers to both sides of the mid-line of the occiput.",
        "Apart, gently sideways.",
        { phases: drawn },
      ),
    ],
  },
  {
    key: "sacrum",
    name: "Sacrum",
    why: "The lower end of the tube, before both ends are held together.",
    holds: [
      hold(
        "lt-sacrum",
        "sacrum-foot",
        "Sacrum from L5",
        "One hand under the sacrum, the other holds L5.",
        "Footward.",
        { phases: drawn },
      ),
      hold(
        "lt-sacrum",
        "sacrum-hips",
        "Front hip bones together",
        "Hands at both front hip bones.",
        "Towards each other, until the sacrum drops.",
        { phases: ["melt in", "compress", "wait", "melt out"] },
      ),
      hold("lt-sacrum", "sacrum-long", "Sacrum lengthened", "Hand under the sacrum.", "Footward, following.", {
        phases: drawn,
      }),
    ],
  },
  {
    key: "tube",
    name: "The tube between both ends",
    why: "Both ends are free: what still holds lies between them.",
    holds: [
      hold(
        "lt-tube",
        "tube-rock",
        "Rocking and gliding",
        "One hand at the sacrum, one at the occiput.",
        "Evaluate both ways; 5 g at each end of range; evaluate again; lengthen.",
        { phases: ["melt in", "wait", "lift", "wait", "melt out"], minutes: [2, 6] },
      ),
      hold("lt-tube", "tube-head", "From the occiput", "Both hands at the occiput.", "Headward, steady.", {
        grams: [5, 5],
        phases: drawn,
        minutes: [2, 5],
        short: true,
      }),
    ],
  },
  {
    key: "frontal",
    name: "Frontal",
    why: "The front of the vault first: it hangs on nothing that comes later.",
    holds: [
      hold(
        "lt-frontal",
        "frontal-lift",
        "Frontal lift",
        "Fingers at the ridges at the sides of the forehead.",
        "Forward; follow small turns until it floats.",
        { phases: taken },
      ),
    ],
  },
  {
    key: "parietals",
    name: "Parietals",
    why: "They overlap the temporals: they leave before those are turned.",
    holds: [
      hold(
        "lt-parietals",
        "parietal-lift",
        "Parietal lift",
        "A finger's breadth above the line of the ears.",
        "Inward until the edges flare, about ten seconds for the fluid, then headward.",
        { phases: taken },
      ),
    ],
  },
  {
    key: "sphenoid",
    name: "Sphenoid",
    why: "It meets every bone of the vault: with its neighbours free it can be told what itself holds.",
    holds: [
      hold(
        "lt-sphenoid",
        "sphenoid-lift",
        "Sphenoid back and forward",
        "Thumbs at the outer corners of the brow, fingers at the occiput.",
        "Ease back, wait, then lift forward; then feel its motions and their balance.",
        {
          phases: taken,
          minutes: [2, 6],
          others: "Some begin by lifting and never take it together: after whiplash that is the kinder way.",
        },
      ),
    ],
  },
  {
    key: "temporals",
    name: "Temporals and jaw",
    why: "What turned with the sphenoid follows it; the jaw hangs from the temporals.",
    holds: [
      hold(
        "lt-temporals",
        "temporal-turn",
        "Turning about the ears",
        "Around the ears, heel of the hand off the bone.",
        "Follow the turning; a leader is held at its end until the other side has caught up.",
        { minutes: [2, 5] },
      ),
      hold(
        "lt-temporals",
        "temporal-in-out",
        "In and out at the mastoids",
        "Fingertips at the mastoids.",
        "In and out, both together.",
        { grams: [0, 3] },
      ),
      hold(
        "lt-temporals",
        "temporal-ears",
        "Ears drawn",
        "The ear held near the head, one side and then both.",
        "Backward and outward.",
        { phases: drawn },
      ),
      hold(
        "lt-temporals",
        "jaw",
        "Jaw",
        "Fingertips along the edge of the lower jaw.",
        "Upward; then footward; then about ten degrees forward.",
        { phases: taken },
      ),
    ],
  },
  {
    key: "still",
    name: "Still point, and listen again",
    why: "The rest is the body's own work; and leaving out the last comparison is the usual mistake.",
    listens: "again",
    holds: [
      hold(
        "lt-occiput-still",
        "still-occiput",
        "Still point at the occiput",
        "Both hands under the occiput.",
        "Follow; do not follow one way, follow the other, until the rhythm stops; wait for its return; follow a few cycles.",
        { minutes: [3, 8], short: true, others: "At the feet or the sacrum where the head is not to be touched." },
      ),
    ],
  },
];

export const holds: readonly Hold[] = arcSteps.flatMap((step) => step.holds);
export const holdOf = (key: string): Hold | undefined => holds.find((each) => each.key === key);

/** How much of the arc one visit makes: all of it, its short form, or a part of it over two or three visits. */
export const forms = ["long", "short", "1 of 2", "2 of 2", "1 of 3", "2 of 3", "3 of 3"] as const;
export type Form = (typeof forms)[number];

export const formNames: Record<Form, string> = {
  long: "The whole arc in one visit",
  short: "Short form",
  "1 of 2": "First of two visits",
  "2 of 2": "Second of two visits",
  "1 of 3": "First of three visits",
  "2 of 3": "Second of three visits",
  "3 of 3": "Third of three visits",
};
/** The part that comes after another one; undefined after the last. */
export const formAfter = (form: Form): Form | undefined =>
  (({ "1 of 2": "2 of 2", "1 of 3": "2 of 3", "2 of 3": "3 of 3" }) as Partial<Record<Form, Form>>)[form];

/** Which steps between listening first and again each part makes. */
const parts: Partial<Record<Form, readonly string[]>> = {
  "1 of 2": ["sheets", "skull-base", "sacrum"],
  "2 of 2": ["tube", "frontal", "parietals", "sphenoid", "temporals"],
  "1 of 3": ["sheets", "skull-base"],
  "2 of 3": ["sacrum", "tube", "frontal", "parietals"],
  "3 of 3": ["sphenoid", "temporals"],
};

/**
 * The steps of one visit, in the order of the arc. Every visit begins with listening and ends with the still point and the same
 * listening again, in whatever form: the last comparison is never dropped.
 */
export function stepsOf(form: Form): ArcStep[] {
  const chosen = arcSteps.filter(({ key, listens }) => listens !== undefined || (parts[form]?.includes(key) ?? true));
  return form === "short"
    ? chosen
        .map((step) => ({ ...step, holds: step.holds.filter(({ short }) => short) }))
        .filter(({ holds: own, listens }) => own.length > 0 || listens !== undefined)
    : chosen;
}

/** The techniques that are listening: before the work, and again after it. */
export const listeningFirst = "lt-listen";
export const listeningAgain = "lt-listen-again";
/** Minutes of listening at all stations once. */
const listeningTime = 3;

/** One thing to do of an arc: a technique of the catalogue, with the least and the most minutes its holds usually take. */
export type ArcPart = { technique: string; minutes: { least: number; most: number } };

/** What one visit makes of the arc, in its order: listening, the techniques of its steps, the still point, listening again. */
export function partsOfForm(form: Form): ArcPart[] {
  const listening = (technique: string): ArcPart => ({
    technique,
    minutes: { least: listeningTime, most: listeningTime },
  });
  const made: ArcPart[] = [];
  for (const { technique, minutes } of stepsOf(form).flatMap((step) => step.holds)) {
    const known = made.find((each) => each.technique === technique);
    if (known) {
      known.minutes.least += minutes[0];
      known.minutes.most += minutes[1];
    } else made.push({ technique, minutes: { least: minutes[0], most: minutes[1] } });
  }
  return [listening(listeningFirst), ...made, listening(listeningAgain)];
}

/** The least and most minutes a form usually takes, both listenings with it. */
export const minutesOf = (form: Form): readonly [number, number] => {
  const own = partsOfForm(form).map(({ minutes }) => minutes);
  return [own.reduce((sum, { least }) => sum + least, 0), own.reduce((sum, { most }) => sum + most, 0)];
};
