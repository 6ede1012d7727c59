import type { PointKey } from "../anatomy/landmarks";
import { toDegrees, type Side } from "../units";
import type { BodyPoint } from "./calibration";
import type { View } from "./view";

/**
 * A postural metric: which marked points it needs and what it makes of them. Points arrive in the order of
 * `points`, in mm in the plane of the body (see BodyPoint). Sides are the client's own.
 */
export type Metric = {
  key: MetricKey;
  name: string;
  unit: "deg" | "mm";
  views: readonly View[];
  /** "each": once per body side in the same picture; "near": of the side facing the camera; "none": of the whole. */
  sides: "each" | "near" | "none";
  points: (side: Side) => readonly PointKey[];
  value: (points: readonly BodyPoint[]) => number;
  /** What the sign means: [below zero, above zero]. */
  words: readonly [string, string];
  /** Usual range of adults without complaint, in the metric's unit. */
  usual: readonly [number, number];
  /** Where the usual range comes from. */
  source: string;
  definition: string;
};

export type MetricKey =
  | "head-tilt"
  | "shoulder-level"
  | "pelvic-level"
  | "head-shift"
  | "trunk-shift"
  | "knee-line"
  | "craniovertebral"
  | "head-pitch"
  | "shoulder-forward"
  | "tragus-offset"
  | "acromion-offset"
  | "trochanter-offset"
  | "condyle-offset"
  | "trunk-lean"
  | "pelvic-tilt"
  | "knee-position";

const common = "common practice";

/** Angle of the line right → left against horizontal, in degrees: positive when the left end is higher. */
const tilt = ([right, left]: readonly BodyPoint[]) =>
  toDegrees(Math.atan2(left!.up - right!.up, Math.abs(left!.across - right!.across)));

const middle = (a: BodyPoint, b: BodyPoint): BodyPoint => ({
  across: (a.across + b.across) / 2,
  up: (a.up + b.up) / 2,
});

/** Horizontal distance of the first pair's middle from the second pair's, in mm. */
const shiftOfPairs = ([a, b, c, d]: readonly BodyPoint[]) => middle(a!, b!).across - middle(c!, d!).across;

const offset = ([point, malleolus]: readonly BodyPoint[]) => point!.across - malleolus!.across;

/** Bend of the chain a–b–c at b in degrees: 0 when straight, positive when b lies on the negative side of a–c. */
const bend = ([a, b, c]: readonly BodyPoint[]) => {
  const upper = Math.atan2(a!.across - b!.across, a!.up - b!.up);
  const lower = Math.atan2(b!.across - c!.across, b!.up - c!.up);
  return toDegrees(upper - lower);
};

const pair = (landmark: "tragus" | "acromion" | "asis" | "psis" | "ankle"): readonly PointKey[] => [
  `${landmark}.R`,
  `${landmark}.L`,
];

const frontBack = ["front", "back"] as const;
const sideViews = ["left", "right"] as const;

export const metrics: readonly Metric[] = [
  {
    key: "head-tilt",
    name: "Head tilt",
    unit: "deg",
    views: frontBack,
    sides: "none",
    points: () => pair("tragus"),
    value: tilt,
    words: ["left low", "right low"],
    usual: [-2, 2],
    source: common,
    definition: "Line through both tragi against horizontal.",
  },
  {
    key: "shoulder-level",
    name: "Shoulder level",
    unit: "deg",
    views: frontBack,
    sides: "none",
    points: () => pair("acromion"),
    value: tilt,
    words: ["left low", "right low"],
    usual: [-1.5, 1.5],
    source: common,
    definition: "Line through both acromia against horizontal.",
  },
  {
    key: "pelvic-level",
    name: "Pelvic level",
    unit: "deg",
    views: ["front"],
    sides: "none",
    points: () => pair("asis"),
    value: tilt,
    words: ["left low", "right low"],
    usual: [-1.5, 1.5],
    source: common,
    definition: "Line through both ASIS against horizontal.",
  },
  {
    key: "pelvic-level",
    name: "Pelvic level",
    unit: "deg",
    views: ["back"],
    sides: "none",
    points: () => pair("psis"),
    value: tilt,
    words: ["left low", "right low"],
    usual: [-1.5, 1.5],
    source: common,
    definition: "Line through both PSIS against horizontal.",
  },
  {
    key: "head-shift",
    name: "Head shift",
    unit: "mm",
    views: frontBack,
    sides: "none",
    points: () => [...pair("tragus"), ...pair("ankle")],
    value: shiftOfPairs,
    words: ["to the right", "to the left"],
    usual: [-12, 12],
    source: common,
    definition: "Middle of the tragi sideways from the plumb through the mid-malleoli.",
  },
  {
    key: "trunk-shift",
    name: "Trunk shift",
    unit: "mm",
    views: ["front"],
    sides: "none",
    points: () => ["sternal-notch", ...pair("asis")],
    value: ([notch, right, left]) => notch!.across - middle(right!, left!).across,
    words: ["to the right", "to the left"],
    usual: [-10, 10],
    source: common,
    definition: "Sternal notch sideways from the middle of the ASIS.",
  },
  {
    key: "trunk-shift",
    name: "Trunk shift",
    unit: "mm",
    views: ["back"],
    sides: "none",
    points: () => ["c7", ...pair("psis")],
    value: ([c7, right, left]) => c7!.across - middle(right!, left!).across,
    words: ["to the right", "to the left"],
    usual: [-10, 10],
    source: common,
    definition: "C7 sideways from the middle of the PSIS.",
  },
  {
    key: "knee-line",
    name: "Knee line",
    unit: "deg",
    views: ["front"],
    sides: "each",
    points: (side) => [`asis.${side}`, `patella.${side}`, `ankle.${side}`],
    // Body points run towards the client's left; inward is towards the mid-plane.
    value: bend,
    words: ["outward", "inward"],
    usual: [-2, 8],
    source: common,
    definition: "Angle ASIS, mid-patella, mid-malleoli in the frontal plane; inward positive.",
  },
  {
    key: "craniovertebral",
    name: "Craniovertebral angle",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => ["c7", `tragus.${side}`],
    value: ([c7, tragus]) => toDegrees(Math.atan2(tragus!.up - c7!.up, tragus!.across - c7!.across)),
    words: ["", ""],
    usual: [49.3, 60.7],
    source: "Yip, Chiu & Poon, Manual Therapy 13 (2008) 148–154: no neck pain 55.0° (SD 2.9), mean ± 1.96 SD",
    definition: "Line from C7 to the tragus against horizontal; smaller means the head is further forward.",
  },
  {
    key: "head-pitch",
    name: "Head pitch",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => [`tragus.${side}`, `canthus.${side}`],
    value: ([tragus, canthus]) => toDegrees(Math.atan2(canthus!.up - tragus!.up, canthus!.across - tragus!.across)),
    words: ["face down", "face up"],
    usual: [8, 26],
    source: common,
    definition: "Line from the tragus to the outer canthus against horizontal.",
  },
  {
    key: "shoulder-forward",
    name: "Shoulder forward of C7",
    unit: "mm",
    views: sideViews,
    sides: "near",
    points: (side) => [`acromion.${side}`, "c7"],
    value: offset,
    words: ["behind", "forward"],
    usual: [30, 90],
    source: common,
    definition: "Acromion forward of the plumb through C7.",
  },
  ...(
    [
      ["tragus-offset", "Head forward of ankle", "tragus", [10, 85]],
      ["acromion-offset", "Shoulder forward of ankle", "acromion", [-10, 55]],
      ["trochanter-offset", "Hip forward of ankle", "trochanter", [5, 60]],
      ["condyle-offset", "Knee forward of ankle", "condyle", [-5, 40]],
    ] as const
  ).map(([key, name, landmark, usual]): Metric => ({
    key,
    name,
    unit: "mm",
    views: sideViews,
    sides: "near",
    points: (side) => [`${landmark}.${side}`, `malleolus.${side}`],
    value: offset,
    words: ["behind", "forward"],
    usual,
    source: common,
    definition: "Forward of the plumb through the lateral malleolus.",
  })),
  {
    key: "trunk-lean",
    name: "Trunk lean",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => [`acromion.${side}`, `trochanter.${side}`],
    value: ([acromion, hip]) => toDegrees(Math.atan2(acromion!.across - hip!.across, acromion!.up - hip!.up)),
    words: ["back", "forward"],
    usual: [-4, 4],
    source: common,
    definition: "Line from the trochanter to the acromion against vertical.",
  },
  {
    key: "pelvic-tilt",
    name: "Pelvic tilt",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => [`asis.${side}`, `psis.${side}`],
    value: ([asis, psis]) => toDegrees(Math.atan2(psis!.up - asis!.up, asis!.across - psis!.across)),
    words: ["back", "forward"],
    usual: [4, 14],
    source: common,
    definition: "Line from PSIS to ASIS against horizontal; front lower is positive (anterior tilt).",
  },
  {
    key: "knee-position",
    name: "Knee position",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => [`trochanter.${side}`, `condyle.${side}`, `malleolus.${side}`],
    value: bend,
    words: ["bent", "beyond straight"],
    usual: [-6, 5],
    source: common,
    definition: "Angle trochanter, condyle, malleolus; beyond straight is positive.",
  },
];

/** The sides a metric is taken for in a view, in the order they are listed. */
export function sidesIn(metric: Metric, view: View): readonly (Side | undefined)[] {
  if (metric.sides === "each") return ["R", "L"];
  if (metric.sides === "near") return [view === "left" ? "L" : "R"];
  return [undefined];
}

export const metricsOf = (view: View): readonly Metric[] => metrics.filter((metric) => metric.views.includes(view));
