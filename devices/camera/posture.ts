import type { Degrees, Millimetres } from "../../core/units";
import { seeded, type Random } from "../../core/random";

/**
 * How the lay figure stands, as departures from its neutral stance. Sides are the figure's own.
 * These are causes, not readings: what a metric truly is follows from the posed landmarks.
 */
export type Posture = {
  stature: Millimetres;
  /** Left ear up is positive, like the levels below. */
  headTilt: Degrees;
  shoulderTilt: Degrees;
  pelvisTiltFrontal: Degrees;
  headShift: Millimetres;
  trunkShift: Millimetres;
  headForward: Millimetres;
  shouldersForward: Millimetres;
  /** Front of the pelvis down is positive. */
  pelvisTiltSagittal: Degrees;
  kyphosis: Millimetres;
  lordosis: Millimetres;
  /** Whole body leaning forward from the ankles. */
  lean: Degrees;
  kneeInL: Millimetres;
  kneeInR: Millimetres;
  /** Knees back beyond straight. */
  kneesBack: Millimetres;
  turnOut: Degrees;
};

export const neutralPosture: Posture = {
  stature: 1750,
  headTilt: 0,
  shoulderTilt: 0,
  pelvisTiltFrontal: 0,
  headShift: 0,
  trunkShift: 0,
  headForward: 0,
  shouldersForward: 0,
  pelvisTiltSagittal: 0,
  kyphosis: 0,
  lordosis: 0,
  lean: 0,
  kneeInL: 0,
  kneeInR: 0,
  kneesBack: 0,
  turnOut: 7,
};

/** How far ordinary people depart from neutral (SD): common practice, wide on purpose. */
const spread: Omit<Posture, "stature" | "turnOut"> = {
  headTilt: 2.5,
  shoulderTilt: 2,
  pelvisTiltFrontal: 1.8,
  headShift: 9,
  trunkShift: 9,
  headForward: 18,
  shouldersForward: 12,
  pelvisTiltSagittal: 5,
  kyphosis: 10,
  lordosis: 8,
  lean: 0.8,
  kneeInL: 8,
  kneeInR: 8,
  kneesBack: 8,
};

/** A random person. */
export function drawPosture(random: Random): Posture {
  const posture = { ...neutralPosture, stature: Math.round(1700 + 80 * random.normal()) };
  for (const key of Object.keys(spread) as (keyof typeof spread)[])
    posture[key] = Math.round(spread[key] * Math.max(-2.5, Math.min(2.5, random.normal())) * 10) / 10;
  return posture;
}

/** How much each part differs from one standing to the next of one person (SD): assumed, as in core/measure/stance.ts. */
const standing: Omit<Posture, "stature"> = {
  headTilt: 1.5,
  shoulderTilt: 0.6,
  pelvisTiltFrontal: 0.5,
  headShift: 5,
  trunkShift: 4.5,
  headForward: 9,
  shouldersForward: 5,
  pelvisTiltSagittal: 1.4,
  kyphosis: 4,
  lordosis: 3,
  lean: 0.3,
  kneeInL: 2.5,
  kneeInR: 2.5,
  kneesBack: 3.5,
  turnOut: 2,
};

/** Nobody stands twice the same: one standing of somebody who usually stands as `posture`. `amount` 1 is ordinary. */
export function sway(posture: Posture, seed: number, amount = 1): Posture {
  const random = seeded(seed);
  const swayed = { ...posture };
  for (const key of Object.keys(standing) as (keyof typeof standing)[])
    swayed[key] = posture[key] + amount * standing[key] * random.normal();
  return swayed;
}

/** A stance part of the way from `posture` (share 0) to neutral (share 1), stature kept. */
export function eased(posture: Posture, share: number): Posture {
  const result = { ...posture };
  for (const key of Object.keys(spread) as (keyof typeof spread)[]) result[key] = posture[key] * (1 - share);
  return result;
}
