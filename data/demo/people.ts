import type { TriggerPoint } from "../../core/findings/trigger-point";
import type { Rose, Scar } from "../../core/findings/scar";
import { neutralPosture, type Posture } from "../../devices/camera/posture";
import type { ClientDraft } from "../../core/client";
import type { RestrictionDraft } from "../findings";

/** The invented practice the demo loads. No real person, place or brand. */
export const practice = { id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e01", name: "Kiln Street Bodywork" };
export const password = "slow warm hands";
export const practitioners = [
  { id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e11", name: "Odile Marrow", email: "odile@kiln.example" },
  { id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a7e12", name: "Tamsin Veldt", email: "tamsin@kiln.example" },
];

export type Found = Omit<RestrictionDraft, "id"> & {
  tenderness: number;
  /** Grades before each visit, from the first on. */ grades: (0 | 1 | 2 | 3)[];
};
/** Answers by check, and side where it has one. */
type Heard = Record<string, number>;
export type Person = ClientDraft & {
  id: string;
  /** Visits closed, day of the next one from today, and days between visits. */
  worked: number;
  nextIn: number;
  interval: number;
  visits: number;
  found: Found[];
};

const person = (n: number, rest: Omit<Person, "id">): Person => ({
  id: `5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e${String(n).padStart(2, "0")}`,
  ...rest,
});
const found = (
  region: Found["region"],
  structure: string,
  side: Found["side"],
  layer: Found["layer"],
  quality: Found["quality"],
  grades: Found["grades"],
  tenderness = 0,
  bind: Found["bind"] = "",
  ease: Found["ease"] = "",
): Found => ({
  region,
  structure,
  side,
  layer,
  quality,
  grades,
  tenderness,
  bind,
  ease,
});

export const ruben = person(1, {
  name: "Ruben Asplund",
  born: "1985-02-17",
  occupation: "luthier",
  complaint: "By Thursday my low back is done and the right shoulder hangs.",
  complaintRegion: "low-back",
  statureMm: 1790,
  pressureCeiling: 6,
  worked: 4,
  nextIn: 0,
  interval: 9,
  visits: 10,
  found: [
    found("low-back", "lumbar-erectors", "both", "SM", "band", [3, 3, 2, 2, 2], 5, "head", "feet"),
    found("shoulder", "middle-trapezius", "R", "SM", "drag", [2, 2, 2, 1, 1], 3, "out", "in"),
    found("neck", "upper-trapezius", "R", "SM", "band", [3, 2, 2, 2, 1], 6, "feet", "head"),
    found("chest", "pectoralis-minor", "R", "DM", "tether", [3, 3, 3, 2, 2], 4, "out", "in"),
    found("pelvis", "hip-rotators", "R", "DM", "nodule", [3, 3, 3, 3, 3], 5, "in", "out"),
    found("thigh", "hamstrings", "both", "SM", "drag", [2, 2, 1, 1, 1], 0, "feet", "head"),
    found("belly", "iliopsoas", "R", "DM", "tether", [2, 2, 2, 2, 2], 3, "feet", "head"),
    found("leg", "calf", "L", "SM", "drag", [2, 1, 1, 1, 0]),
  ],
});

export const rubenStance: Posture = {
  ...neutralPosture,
  stature: 1790,
  headTilt: 3.2,
  shoulderTilt: 7.2,
  pelvisTiltFrontal: -2.6,
  trunkShift: -26,
  headShift: -8,
  headForward: 62,
  shouldersForward: 24,
  pelvisTiltSagittal: 14,
  kyphosis: 20,
  lordosis: 10,
  lean: 1.4,
  kneeInL: 5,
  kneeInR: 9,
  kneesBack: 10,
};

/** His appendix scar, and how it slid: it let go on the way. */
export const rubenScar: Omit<Scar, "roses"> & { roses: readonly Rose[] } = {
  id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a5c01",
  places: ["lower-belly"],
  side: "R",
  line: {
    view: "front",
    points: [
      [80, 226],
      [84, 233],
      [89, 240],
    ],
  },
  lengthMm: 85,
  since: "1998-06-30",
  closed: true,
  words: "appendix",
  roses: [
    { visit: 1, moment: "before", slides: [2, 1, 0, 1, 1, 2, 3, 2], lift: 1 },
    { visit: 1, moment: "after", slides: [2, 2, 1, 1, 2, 2, 3, 2], lift: 1 },
    { visit: 3, moment: "before", slides: [2, 2, 1, 1, 2, 3, 3, 2], lift: 2 },
    { visit: 4, moment: "after", slides: [3, 2, 1, 2, 3, 3, 3, 3], lift: 2 },
    { visit: 5, moment: "before", slides: [3, 3, 2, 2, 3, 3, 3, 3], lift: 2 },
  ],
};

/** What his table said: hips and the strip beside the upper lumbar spine come level, the right shoulder still rolls in. */
export const rubenTable: { visit: number; before: Heard; again: Heard; after: Heard }[] = [
  {
    visit: 1,
    before: {
      malleoli: -12,
      "malleoli-sitting": -2,
      "hip-height": -2,
      "shoulder-height": 2,
      "high-neck": 0,
      "high-t-upper": 0,
      "high-t-mid": -1,
      "high-t-low": 0,
      "high-l-upper": -2,
      "high-l-low": 0,
      "shoulder-point L": 22,
      "shoulder-point R": 36,
      "rock-l-low L": 1,
      "rock-l-low R": 2,
    },
    again: {
      malleoli: -9,
      "hip-height": -2,
      "shoulder-height": 2,
      "high-neck": 0,
      "high-t-upper": 0,
      "high-t-mid": -1,
      "high-t-low": 0,
      "high-l-upper": -2,
      "high-l-low": 1,
      "shoulder-point L": 25,
      "shoulder-point R": 34,
    },
    after: { malleoli: -3, "hip-height": -1, "shoulder-height": 1, "high-l-upper": -1, "high-t-mid": 0 },
  },
  {
    visit: 4,
    before: {
      malleoli: -4,
      "hip-height": -2,
      "shoulder-height": 1,
      "high-neck": 0,
      "high-t-upper": 1,
      "high-t-mid": 0,
      "high-t-low": 0,
      "high-l-upper": -2,
      "high-l-low": 0,
      "shoulder-point L": 22,
      "shoulder-point R": 31,
      "rock-l-low L": 0,
      "rock-l-low R": 1,
    },
    again: {
      malleoli: -6,
      "hip-height": -2,
      "shoulder-height": 1,
      "high-neck": 0,
      "high-t-upper": 0,
      "high-t-mid": 0,
      "high-t-low": 0,
      "high-l-upper": -2,
      "high-l-low": 0,
      "shoulder-point L": 20,
      "shoulder-point R": 33,
    },
    after: { "hip-height": 0, "shoulder-height": 0, "high-l-upper": 0, "rock-l-low L": 0, "rock-l-low R": 0 },
  },
];

/** How far his neck turned and his straight legs came up, each taken three times. */
export const rubenRanges: { visit: number; moment: "before" | "after"; movement: string; L: number[]; R: number[] }[] =
  [
    { visit: 1, moment: "before", movement: "neck-rotation", L: [66, 64, 67], R: [54, 52, 55] },
    { visit: 1, moment: "before", movement: "leg-raise", L: [61, 60, 63], R: [56, 58, 57] },
    { visit: 4, moment: "before", movement: "neck-rotation", L: [67, 69, 68], R: [62, 60, 63] },
    { visit: 4, moment: "after", movement: "neck-rotation", L: [69, 70, 68], R: [68, 70, 69] },
  ];

/** The tender point in his right upper trapezius: felt at the temple, and less tender from visit to visit. */
export const rubenPoint: TriggerPoint = {
  id: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a5d01",
  structure: "upper-trapezius",
  side: "R",
  at: { view: "back", point: [122, 90] },
  area: {
    view: "right",
    points: [
      [98, 24],
      [110, 28],
      [106, 50],
      [100, 70],
      [94, 84],
      [86, 80],
      [92, 56],
      [92, 36],
    ],
  },
  referral: [
    { place: "temple", side: "R" },
    { place: "neck-side", side: "R" },
  ],
  felt: [
    { visit: 1, moment: "before", tenderness: 7, reproduced: true, held: null },
    { visit: 1, moment: "after", tenderness: 4, reproduced: true, held: 70 },
    { visit: 2, moment: "before", tenderness: 6, reproduced: true, held: null },
    { visit: 4, moment: "before", tenderness: 4, reproduced: false, held: null },
    { visit: 4, moment: "after", tenderness: 2, reproduced: false, held: 35 },
    { visit: 5, moment: "before", tenderness: 3, reproduced: false, held: null },
  ],
};

/** How much of his stance has eased, before and after each visit: what the simulated body did, not what was measured. */
export const rubenEased = { before: [0, 0.2, 0.33, 0.46, 0.6], after: [0.3, 0.45, 0.55, 0.68] };

/** Nothing changes in how she stands: what the pictures differ by is marking and standing. */
export const leontine = person(7, {
  name: "Leontine Marsh",
  born: "1979-09-30",
  occupation: "glass engraver",
  complaint: "My neck tires over the wheel; some weeks it is nothing.",
  complaintRegion: "neck",
  statureMm: 1660,
  pressureCeiling: 6,
  worked: 3,
  nextIn: 2,
  interval: 10,
  visits: 6,
  found: [
    found("neck", "upper-trapezius", "L", "SM", "band", [2, 2, 2, 2], 3, "head", "feet"),
    found("chest", "pectoral-fascia", "both", "DF", "drag", [1, 1, 1, 1]),
  ],
});

export const leontineStance: Posture = {
  ...neutralPosture,
  stature: 1660,
  headTilt: -2,
  shoulderTilt: -1.8,
  headForward: 22,
  shouldersForward: 10,
  pelvisTiltSagittal: 3,
  kyphosis: 8,
  trunkShift: 6,
};

export const people: Person[] = [
  ruben,
  person(2, {
    name: "Ines Okafor-Lind",
    born: "1992-06-03",
    occupation: "bell-ringer",
    complaint: "The right shoulder blade sticks out like a wing and tires first.",
    complaintRegion: "shoulder",
    statureMm: 1680,
    pressureCeiling: 5,
    worked: 1,
    nextIn: 0,
    interval: 7,
    visits: 3,
    found: [
      found("chest", "serratus-anterior", "R", "SM", "drag", [3, 3], 4, "front", "back"),
      found("shoulder", "rhomboids", "R", "DM", "band", [2, 2], 3, "in", "out"),
      found("chest", "pectoralis-minor", "R", "DM", "tether", [2, 2], 2, "out", "in"),
    ],
  }),
  person(3, {
    name: "Petra Havlicek",
    born: "1968-11-22",
    occupation: "ferry pilot",
    complaint: "My ribs feel like a barrel that will not open.",
    complaintRegion: "chest",
    statureMm: 1640,
    pressureCeiling: 5,
    worked: 0,
    nextIn: 1,
    interval: 10,
    visits: 1,
    found: [found("chest", "pectoral-fascia", "both", "DF", "drag", [3], 2, "out", "in")],
  }),
  person(4, {
    name: "Jonah Teague",
    born: "1999-04-09",
    occupation: "trail surveyor",
    complaint: "First steps in the morning, under the left heel.",
    complaintRegion: "leg",
    statureMm: 1830,
    pressureCeiling: 7,
    worked: 0,
    nextIn: 2,
    interval: 8,
    visits: 1,
    found: [
      found("leg", "sole-of-the-foot", "L", "DF", "drag", [3], 6, "feet", "head"),
      found("leg", "calf", "L", "SM", "band", [2], 4, "feet", "head"),
    ],
  }),
  person(5, {
    name: "Maribel Sato-Wren",
    born: "1980-01-30",
    occupation: "tile setter",
    complaint: "Since the rear-end collision my head does not sit on top any more.",
    complaintRegion: "neck",
    statureMm: 1600,
    pressureCeiling: 3,
    worked: 2,
    nextIn: 4,
    interval: 7,
    visits: 3,
    found: [found("neck", "suboccipitals", "both", "DM", "tether", [3, 3, 2], 5, "feet", "head")],
  }),
  person(6, {
    name: "Desmond Achterberg",
    born: "1963-08-14",
    occupation: "retired diver",
    complaint: "Keep me moving. The new knee is good, the hip above it is not.",
    complaintRegion: "pelvis",
    statureMm: 1760,
    pressureCeiling: 4,
    worked: 0,
    nextIn: 6,
    interval: 28,
    visits: 1,
    found: [],
  }),
  leontine,
];
