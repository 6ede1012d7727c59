import type { Unit } from "../units";
import type { MetricKey } from "./metrics";

/**
 * Nobody stands twice the same. `sd`: how much a metric differs from one standing to the next of one person who steps
 * off and stands again (standard deviation in the metric's unit). `plausible`: the largest change that a series of
 * sessions could be expected to bring. Both are **assumed** (common practice, from memory; no published table covers
 * them all) until a standing study replaces the first.
 */
export const stances: Record<MetricKey, { sd: number; plausible: number }> = {
  "head-tilt": { sd: 1.3, plausible: 8 },
  "shoulder-level": { sd: 0.6, plausible: 6 },
  "pelvic-level": { sd: 0.5, plausible: 6 },
  "head-shift": { sd: 7, plausible: 30 },
  "trunk-shift": { sd: 5, plausible: 30 },
  "knee-line": { sd: 0.7, plausible: 8 },
  craniovertebral: { sd: 1.4, plausible: 12 },
  "head-pitch": { sd: 2, plausible: 10 },
  "shoulder-forward": { sd: 6, plausible: 40 },
  "shoulder-angle": { sd: 3, plausible: 25 },
  "tragus-offset": { sd: 10, plausible: 60 },
  "acromion-offset": { sd: 9, plausible: 50 },
  "trochanter-offset": { sd: 8, plausible: 50 },
  "condyle-offset": { sd: 5, plausible: 35 },
  "trunk-lean": { sd: 1, plausible: 6 },
  "pelvic-tilt": { sd: 1.2, plausible: 10 },
  "knee-position": { sd: 1.2, plausible: 10 },
  "foot-turn-out": { sd: 2, plausible: 15 },
  "scapula-root-distance": { sd: 4, plausible: 30 },
  "scapula-low-distance": { sd: 4, plausible: 30 },
  "heel-line": { sd: 1.2, plausible: 8 },
  "plumb-rms": { sd: 6, plausible: 40 },
};

/**
 * How far a landmark at `height` (share of stature) strays sideways or forward, and up or down, from one standing to the
 * next, seen from the ankles (SD, mm): a body that sways about its ankles. Assumed like the rest.
 */
export const pointStance = (height: number): { across: number; up: number } => ({ across: 1 + 10 * height, up: 2 });

/** How much an eye grade changes from one standing to the next: assumed. */
const gradeSd = 0.4;

/** Standard deviation of one standing in the unit a value was taken in. */
export const stanceOf = (metric: MetricKey, unit: Unit): number => (unit === "grade" ? gradeSd : stances[metric].sd);
