/**
 * People and a camera for bench/honest.ts, written apart from the camera stand-in: proportions, how people differ, how they
 * sway, how they are photographed and how they are marked are all its own. It shares nothing with it but the names of
 * landmarks and of views.
 *
 * Millimetres; x to the person's left, y forward, z up from the floor, the middle of the ankles at x = y = 0.
 */

export type Vec = { x: number; y: number; z: number };
export type Body = Record<string, Vec>;

/** Chance of its own: xorshift128 with polar normals, and Student's t for heavy tails. */
export function chance(seed: number) {
  let [a, b, c, d] = [seed | 1, 362436069, 521288629, 88675123];
  const uniform = () => {
    const t = a ^ (a << 11);
    [a, b, c] = [b, c, d];
    d = d ^ (d >>> 19) ^ t ^ (t >>> 8);
    return (d >>> 0) / 4294967296;
  };
  for (let i = 0; i < 20; i++) uniform();
  const normal = (): number => {
    for (;;) {
      const [u, v] = [2 * uniform() - 1, 2 * uniform() - 1];
      const s = u * u + v * v;
      if (s > 0 && s < 1) return u * Math.sqrt((-2 * Math.log(s)) / s);
    }
  };
  /** Unit variance, but tails of Student's t with 6 degrees of freedom. */
  const tailed = (): number => {
    let chi = 0;
    for (let i = 0; i < 6; i++) chi += normal() ** 2;
    return (normal() / Math.sqrt(chi / 6)) * Math.sqrt(4 / 6);
  };
  return { uniform, normal, tailed };
}
export type Chance = ReturnType<typeof chance>;

/** Share of stature: half width, forward of the ankle's middle, height. Paired ones are given for the left. */
const proportions: Record<string, readonly [number, number, number]> = {
  "tragus.": [0.044, 0.033, 0.921],
  "canthus.": [0.028, 0.068, 0.933],
  c7: [0, -0.041, 0.85],
  "acromion.": [0.107, 0.002, 0.835],
  "sternal-notch": [0, 0.043, 0.816],
  "asis.": [0.072, 0.071, 0.562],
  "psis.": [0.026, -0.048, 0.58],
  "trochanter.": [0.097, 0.015, 0.523],
  "patella.": [0.051, 0.049, 0.285],
  "condyle.": [0.08, 0.011, 0.287],
  "malleolus.": [0.073, 0.002, 0.043],
  "ankle.": [0.052, 0.037, 0.043],
  t12: [0, -0.038, 0.635],
  "scapula-root.": [0.046, -0.07, 0.792],
  "scapula-low.": [0.055, -0.071, 0.731],
  "calf.": [0.052, -0.022, 0.097],
  "heel-top.": [0.052, -0.026, 0.037],
  "heel.": [0.051, -0.034, 0.011],
  "toe.": [0.066, 0.112, 0.006],
};

const radians = (degrees: number) => (degrees * Math.PI) / 180;
const each = (body: Body, keys: readonly string[], change: (point: Vec, sign: 1 | -1, key: string) => Partial<Vec>) => {
  for (const [key, point] of Object.entries(body))
    if (keys.some((name) => key === name || key.startsWith(`${name}.`)))
      Object.assign(point, change(point, key.endsWith(".R") ? -1 : 1, key));
};
const copy = (body: Body): Body => Object.fromEntries(Object.entries(body).map(([key, point]) => [key, { ...point }]));

/** A posture, or how it differs from one standing to the next: degrees and millimetres. */
export type Stance = {
  sideLean: number;
  lean: number;
  trunkLean: number;
  trunkShift: number;
  headTilt: number;
  headForward: number;
  headPitch: number;
  shoulderTilt: number;
  shoulderForwardL: number;
  shoulderForwardR: number;
  pelvicTilt: number;
  pelvicLevel: number;
  kneeInL: number;
  kneeInR: number;
  kneeBack: number;
  turnOutL: number;
  turnOutR: number;
  scapulaL: number;
  scapulaR: number;
  heelL: number;
  heelR: number;
};
const stanceKeys = [
  "sideLean",
  "lean",
  "trunkLean",
  "trunkShift",
  "headTilt",
  "headForward",
  "headPitch",
  "shoulderTilt",
  "shoulderForwardL",
  "shoulderForwardR",
  "pelvicTilt",
  "pelvicLevel",
  "kneeInL",
  "kneeInR",
  "kneeBack",
  "turnOutL",
  "turnOutR",
  "scapulaL",
  "scapulaR",
  "heelL",
  "heelR",
] as const satisfies readonly (keyof Stance)[];

/** Between people (SD). */
const people: Stance = {
  sideLean: 0.4,
  lean: 0.6,
  trunkLean: 2,
  trunkShift: 8,
  headTilt: 2,
  headForward: 15,
  headPitch: 5,
  shoulderTilt: 1.6,
  shoulderForwardL: 10,
  shoulderForwardR: 10,
  pelvicTilt: 4,
  pelvicLevel: 1.5,
  kneeInL: 7,
  kneeInR: 7,
  kneeBack: 8,
  turnOutL: 4,
  turnOutR: 4,
  scapulaL: 8,
  scapulaR: 8,
  heelL: 2,
  heelR: 2,
};

/** Between standings of one person (SD): chosen so that metrics vary as in the simulation. */
const standings: Stance = {
  sideLean: 0.2,
  lean: 0.32,
  trunkLean: 1.2,
  trunkShift: 4.6,
  headTilt: 1.4,
  headForward: 5,
  headPitch: 2.1,
  shoulderTilt: 0.6,
  shoulderForwardL: 6,
  shoulderForwardR: 6,
  pelvicTilt: 1.2,
  pelvicLevel: 0.5,
  kneeInL: 2.7,
  kneeInR: 2.7,
  kneeBack: 3.8,
  turnOutL: 1.4,
  turnOutR: 1.4,
  scapulaL: 3.8,
  scapulaR: 3.8,
  heelL: 1.3,
  heelR: 1.3,
};

const drawn = (spread: Stance, of: Chance, tails: boolean): Stance =>
  Object.fromEntries(stanceKeys.map((key) => [key, spread[key] * (tails ? of.tailed() : of.normal())])) as Stance;
export const plus = (a: Stance, b: Stance): Stance =>
  Object.fromEntries(stanceKeys.map((key) => [key, a[key] + b[key]])) as Stance;
export const times = (a: Stance, share: number): Stance =>
  Object.fromEntries(stanceKeys.map((key) => [key, a[key] * share])) as Stance;

export type Person = { stature: number; bones: Body; stance: Stance };

export function drawPerson(of: Chance): Person {
  const stature = 1700 + 85 * of.normal();
  const bones: Body = {};
  for (const [key, [half, forward, height]] of Object.entries(proportions))
    for (const side of key.endsWith(".") ? (["L", "R"] as const) : [""]) {
      const sign = side === "R" ? -1 : 1;
      bones[key + side] = {
        x: sign * half * stature + (key.endsWith(".") ? 10 * of.normal() : 0),
        y: forward * stature + (key === "ankle." || key === "malleolus." ? 6 : 13) * of.normal(),
        z: height * stature + (height > 0.1 ? 8 : 2) * of.normal(),
      };
    }
  return { stature, bones, stance: drawn(people, of, false) };
}

/** One standing: somebody's usual stance and how they happen to stand this time. */
export const standingOf = (person: Person, of: Chance, amount = 1): Stance =>
  plus(person.stance, times(drawn(standings, of, true), amount));

/** The landmarks of a person who stands so. */
export function posed({ stature, bones }: Person, stance: Stance): Body {
  const body = copy(bones);
  const head = ["tragus", "canthus"];
  const above = [...head, "c7", "acromion", "sternal-notch", "t12", "scapula-root", "scapula-low"];
  const hip = 0.52 * stature;
  const neck = 0.86 * stature;
  each(body, head, ({ x, y, z }) => ({
    y: y + stance.headForward - (z - neck) * radians(stance.headPitch) * 0.2,
    z: z + x * Math.tan(radians(stance.headTilt)) + (y - 0.033 * stature) * Math.tan(radians(stance.headPitch)),
  }));
  each(body, ["acromion", "scapula-root", "scapula-low"], ({ x, y, z }, _, key) => ({
    z: z + x * Math.tan(radians(stance.shoulderTilt)),
    y: y + (key.startsWith("acromion") ? (key.endsWith("L") ? stance.shoulderForwardL : stance.shoulderForwardR) : 0),
  }));
  each(body, ["scapula-root", "scapula-low"], ({ x }, sign, key) => ({
    x: x + sign * (key.endsWith("L") ? stance.scapulaL : stance.scapulaR),
  }));
  each(body, above, ({ x, y, z }) => ({
    x: x + stance.trunkShift * Math.min(1, (z - hip) / (0.3 * stature)),
    y: y + (z - hip) * Math.tan(radians(stance.trunkLean)),
  }));
  each(body, ["asis", "psis"], ({ x, y, z }) => ({
    z: z + x * Math.tan(radians(stance.pelvicLevel)) - (y - 0.012 * stature) * Math.tan(radians(stance.pelvicTilt)),
  }));
  each(body, ["patella"], ({ x }, sign, key) => ({
    x: x - sign * (key.endsWith("L") ? stance.kneeInL : stance.kneeInR),
  }));
  each(body, ["patella", "condyle"], ({ y }) => ({ y: y - stance.kneeBack }));
  each(body, ["toe"], ({ x, y }, sign, key) => ({
    x: x + sign * y * Math.tan(radians(key.endsWith("L") ? stance.turnOutL : stance.turnOutR)),
  }));
  each(body, ["heel"], ({ x }, sign, key) => ({
    x: x - sign * 0.027 * stature * Math.tan(radians(key.endsWith("L") ? stance.heelL : stance.heelR)),
  }));
  // whoever leans the trunk back carries the hips forward
  const forward = Math.tan(radians(stance.lean - 0.35 * stance.trunkLean));
  const sideways = Math.tan(radians(stance.sideLean));
  for (const [key, point] of Object.entries(body))
    if (!/^(ankle|malleolus|toe|heel|heel-top|calf)/.test(key)) {
      point.y += point.z * forward;
      point.x += point.z * sideways;
    }
  return body;
}

export type Look = {
  view: "front" | "back" | "left" | "right";
  distance: number;
  lens: number;
  roll: number;
  yaw: number;
  /** The lens looks up by this (degrees). */
  pitch: number;
  behind: number;
};
export const [width, height] = [900, 1350];
const focal = 1900;
export const stick = 1800;

/** A camera as it stands in a practice: not quite where the tape says. */
export const drawLook = (view: Look["view"], of: Chance): Look => ({
  view,
  distance: 3000 + 50 * of.normal(),
  lens: 950 + 25 * of.normal(),
  roll: 1.5 * of.normal(),
  yaw: 1.5 * of.normal(),
  pitch: 0.7 * of.normal(),
  behind: 20 * of.normal(),
});

/** Where a point of the body falls in the picture. */
export function seen(point: Vec, look: Look): { x: number; y: number } {
  const { view, distance, lens, yaw } = look;
  const turn = radians(yaw);
  const x = point.x * Math.cos(turn) - point.y * Math.sin(turn);
  const y = point.x * Math.sin(turn) + point.y * Math.cos(turn);
  // towards the camera, and to the picture's right
  const [near, right] = { front: [y, x], back: [-y, -x], left: [x, -y], right: [-x, y] }[view] as [number, number];
  return onFilm(right, point.z - lens, distance - near, look);
}

function onFilm(right: number, above: number, away: number, { roll, pitch }: Pick<Look, "roll" | "pitch">) {
  const [cos, sin] = [Math.cos(radians(pitch)), Math.sin(radians(pitch))];
  const deep = away * cos + above * sin;
  const [u, v] = [(focal * right) / deep, (focal * (above * cos - away * sin)) / deep];
  const angle = radians(roll);
  return {
    x: width / 2 + u * Math.cos(angle) - v * Math.sin(angle),
    y: height / 2 - (v * Math.cos(angle) + u * Math.sin(angle)),
  };
}

/** Plumb line and stick, beside the person, `behind` the plane of the ankles. */
export const references = ({ distance, lens, behind, ...look }: Look) => ({
  "plumb.top": onFilm(-560, 2000 - lens, distance + behind, look),
  "plumb.foot": onFilm(-560, 60 - lens, distance + behind, look),
  "stick.top": onFilm(560, stick - lens, distance + behind, look),
  "stick.foot": onFilm(560, 0 - lens, distance + behind, look),
});
