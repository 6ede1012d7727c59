import type { PointKey } from "../anatomy/landmarks";
import { toDegrees, type Side } from "../units";
import type { BodyPoint } from "./calibration";
import { bend, footAngle, fromLine, middle, offset, rootMeanSquare, shiftOfPairs, tilt } from "./geometry";
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
  /** Where the value is the root mean square of several distances: the distances, from which it is reckoned without bias. */
  offsets?: (points: readonly BodyPoint[]) => readonly number[];
  /** A property of the whole body that both of its views show: they are brought together to one figure. */
  midline?: true;
  /** What the sign means: [below zero, above zero]. */
  words: readonly [string, string];
  /** How an eye grade below and above the usual is said, where that differs from `words`. */
  graded?: readonly [string, string];
  /** Computed from marks only: there is no way to take it by hand. */
  pictureOnly?: true;
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
  | "knee-position"
  | "foot-turn-out"
  | "scapula-root-distance"
  | "scapula-low-distance"
  | "heel-line"
  | "shoulder-angle"
  | "plumb-rms";

const common = "common practice";

const pair = (landmark: "tragus" | "acromion" | "asis" | "psis" | "ankle"): readonly PointKey[] => [
  `${landmark}.R`,
  `${landmark}.L`,
];

const frontBack = ["front", "back"] as const;
const sideViews = ["left", "right"] as const;

const plumbOffsets = (points: readonly BodyPoint[]) =>
  points.slice(0, -1).map((point) => offset([point, points.at(-1)!]));

export const metrics: readonly Metric[] = [
  {
    key: "head-tilt",
    name: "Head tilt",
    unit: "deg",
    views: frontBack,
    sides: "none",
    midline: true,
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
    midline: true,
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
    midline: true,
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
    midline: true,
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
    midline: true,
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
    midline: true,
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
    midline: true,
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
    key: "foot-turn-out",
    name: "Foot turn-out",
    unit: "deg",
    views: ["front"],
    sides: "each",
    points: (side) => [`ankle.${side}`, `toe.${side}`],
    value: footAngle,
    words: ["inward", "outward"],
    usual: [0, 15],
    source: common,
    definition:
      "Line of the foot against straight ahead; outward positive. From the front the heel is hidden: the middle of the malleoli, which lies over the line of the foot, stands in for it.",
  },
  ...(
    [
      ["scapula-root-distance", "Upper blade to spine", "scapula-root", "root of the scapular spine"],
      ["scapula-low-distance", "Lower blade to spine", "scapula-low", "inferior angle"],
    ] as const
  ).map(([key, name, landmark, what]): Metric => ({
    key,
    name,
    unit: "mm",
    views: ["back"],
    sides: "each",
    points: (side) => [`${landmark}.${side}`, "c7", "t12"],
    value: fromLine,
    words: ["", ""],
    graded: ["close to the spine", "wide"],
    usual: landmark === "scapula-root" ? [55, 90] : [65, 105],
    source: `${common}; about 3 inches for a wide blade`,
    definition: `Distance of the ${what} from the line C7 to T12.`,
  })),
  {
    key: "heel-line",
    name: "Heel line",
    unit: "deg",
    views: ["back"],
    sides: "each",
    points: (side) => [`calf.${side}`, `heel-top.${side}`, `heel.${side}`],
    // the chain bulges inward when the heel tips outward
    value: bend,
    words: ["heel tipped in", "heel tipped out"],
    usual: [-3, 9],
    source: common,
    definition: "Line of the Achilles tendon against the line of the heel bone; heel tipped outward positive.",
  },
  ...(["front", "back"] as const).map((view): Metric => {
    const [chest, hips] = view === "front" ? (["sternal-notch", "asis"] as const) : (["c7", "psis"] as const);
    const offsets: Metric["offsets"] = ([a, b, trunk, c, d, e, f]) => {
      const feet = middle(e!, f!);
      return [middle(a!, b!), trunk!, middle(c!, d!)].map((point) => offset([point, feet]));
    };
    return {
      key: "plumb-rms",
      name: "Off the plumb, all together",
      unit: "mm",
      views: [view],
      sides: "none",
      points: () => [...pair("tragus"), chest, ...pair(hips), ...pair("ankle")],
      value: (points) => rootMeanSquare(offsets(points)),
      offsets,
      words: ["", ""],
      pictureOnly: true,
      usual: [0, 12],
      source: common,
      definition: `Head, ${view === "front" ? "sternal notch" : "C7"} and pelvis: how far each stands sideways from the plumb through the ankles, as a root mean square with the error of measuring taken off.`,
    };
  }),
  {
    key: "craniovertebral",
    name: "Craniovertebral angle",
    unit: "deg",
    views: sideViews,
    sides: "near",
    midline: true,
    points: (side) => ["c7", `tragus.${side}`],
    value: ([c7, tragus]) => toDegrees(Math.atan2(tragus!.up - c7!.up, tragus!.across - c7!.across)),
    words: ["", ""],
    graded: ["head forward", "head back"],
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
    midline: true,
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
  {
    key: "shoulder-angle",
    name: "C7 to shoulder",
    unit: "deg",
    views: sideViews,
    sides: "near",
    points: (side) => ["c7", `acromion.${side}`],
    value: ([c7, acromion]) => toDegrees(Math.atan2(acromion!.across - c7!.across, c7!.up - acromion!.up)),
    words: ["", ""],
    graded: ["shoulder back", "shoulder forward"],
    usual: [55, 105],
    source: common,
    definition:
      "Line from C7 to the acromion against vertical; larger means the shoulder is further forward or higher.",
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
    ...(landmark === "tragus" ? { midline: true as const } : {}),
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
    midline: true,
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
  {
    key: "plumb-rms",
    name: "Off the plumb, all together",
    unit: "mm",
    views: sideViews,
    sides: "near",
    points: (side) => [
      `tragus.${side}`,
      `acromion.${side}`,
      `trochanter.${side}`,
      `condyle.${side}`,
      `malleolus.${side}`,
    ],
    value: (points) => rootMeanSquare(plumbOffsets(points)),
    offsets: plumbOffsets,
    words: ["", ""],
    pictureOnly: true,
    usual: [5, 45],
    source: common,
    definition:
      "Head, shoulder, hip and knee: how far each stands before or behind the plumb through the ankle, as a root mean square with the error of measuring taken off.",
  },
];

/** The sides a metric is taken for in a view, in the order they are listed. */
export function sidesIn(metric: Metric, view: View): readonly (Side | undefined)[] {
  if (metric.sides === "each") return ["R", "L"];
  if (metric.sides === "near") return [view === "left" ? "L" : "R"];
  return [undefined];
}

export const metricsOf = (view: View): readonly Metric[] => metrics.filter((metric) => metric.views.includes(view));
