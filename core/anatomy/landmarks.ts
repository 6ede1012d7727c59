import { sideWord } from "../words";
import type { Millimetres, Side } from "../units";

/**
 * Bony landmarks marked on a photograph. Names follow ISO 7250-1 and the ISB recommendations (Wu 2002, 2005).
 *
 * `lateral` and `forward` say where the skin over the landmark usually lies from the mid-plane and from the
 * malleoli, as fractions of stature: they give the depth at which the picture's scale holds for this point.
 * `depthSd` is how far people differ from that (mm). `placing` is how far a practised marker's points scatter
 * on the body (SD, mm): common practice, replaced by the practitioner's own figures once studied.
 */
export type Landmark = {
  name: string;
  paired: boolean;
  lateral: number;
  forward: number;
  height: number;
  depthSd: Millimetres;
  placing: Millimetres;
  /** Lies on the floor: how low it stands in the picture then tells how far forward it is. */
  onFloor?: boolean;
  /** Forward fraction of the joint that the mark on the skin stands for, where they differ. */
  joint?: number;
};

const catalogue = {
  tragus: {
    name: "Tragus",
    paired: true,
    lateral: 0.046,
    forward: 0.031,
    height: 0.922,
    depthSd: 14,
    placing: 2,
  },
  canthus: {
    name: "Outer canthus",
    paired: true,
    lateral: 0.027,
    forward: 0.065,
    height: 0.932,
    depthSd: 14,
    placing: 2,
  },
  c7: {
    name: "C7 spinous process",
    paired: false,
    lateral: 0,
    forward: -0.044,
    height: 0.846,
    depthSd: 14,
    placing: 4,
  },
  acromion: {
    name: "Acromion",
    paired: true,
    lateral: 0.104,
    forward: -0.002,
    height: 0.839,
    depthSd: 18,
    placing: 4,
  },
  "sternal-notch": {
    name: "Sternal notch",
    paired: false,
    lateral: 0,
    forward: 0.039,
    height: 0.818,
    depthSd: 16,
    placing: 3,
  },
  asis: {
    name: "ASIS",
    paired: true,
    lateral: 0.07,
    forward: 0.075,
    height: 0.566,
    depthSd: 16,
    placing: 5,
  },
  psis: {
    name: "PSIS",
    paired: true,
    lateral: 0.027,
    forward: -0.051,
    height: 0.583,
    depthSd: 16,
    placing: 6,
  },
  trochanter: {
    name: "Greater trochanter",
    paired: true,
    lateral: 0.099,
    forward: 0.012,
    height: 0.52,
    depthSd: 14,
    placing: 7,
  },
  patella: {
    name: "Mid-patella",
    paired: true,
    lateral: 0.052,
    forward: 0.046,
    height: 0.288,
    depthSd: 14,
    placing: 4,
  },
  condyle: {
    name: "Lateral femoral condyle",
    paired: true,
    lateral: 0.083,
    forward: 0.008,
    height: 0.289,
    depthSd: 14,
    placing: 5,
  },
  malleolus: {
    name: "Lateral malleolus",
    paired: true,
    lateral: 0.076,
    forward: 0.001,
    height: 0.041,
    depthSd: 12,
    placing: 3,
  },
  ankle: {
    name: "Mid-malleoli",
    paired: true,
    lateral: 0.052,
    forward: 0.037,
    height: 0.041,
    depthSd: 12,
    placing: 3,
    joint: 0.001,
  },
  t12: {
    name: "T12 spinous process",
    paired: false,
    lateral: 0,
    forward: -0.04,
    height: 0.64,
    depthSd: 16,
    placing: 5,
  },
  "scapula-root": {
    name: "Root of the scapular spine",
    paired: true,
    lateral: 0.045,
    forward: -0.074,
    height: 0.795,
    depthSd: 16,
    placing: 5,
  },
  "scapula-low": {
    name: "Inferior scapular angle",
    paired: true,
    lateral: 0.052,
    forward: -0.074,
    height: 0.735,
    depthSd: 16,
    placing: 5,
  },
  calf: {
    name: "Achilles tendon, upper end",
    paired: true,
    lateral: 0.052,
    forward: -0.023,
    height: 0.095,
    depthSd: 12,
    placing: 3,
  },
  "heel-top": {
    name: "Achilles tendon, insertion",
    paired: true,
    lateral: 0.052,
    forward: -0.025,
    height: 0.036,
    depthSd: 12,
    placing: 3,
  },
  heel: {
    name: "Heel",
    paired: true,
    lateral: 0.051,
    forward: -0.034,
    height: 0.01,
    depthSd: 12,
    placing: 3,
  },
  toe: {
    name: "Second toe",
    paired: true,
    lateral: 0.065,
    forward: 0.113,
    height: 0.006,
    depthSd: 12,
    placing: 3,
    onFloor: true,
  },
} as const satisfies Record<string, Landmark>;

export type LandmarkKey = keyof typeof catalogue;
export const landmarks: Record<LandmarkKey, Landmark> = catalogue;

/** A landmark of one body side, or of the mid-plane: "acromion.L", "c7". */
export type PointKey = LandmarkKey | `${LandmarkKey}.${Side}`;

type Split = { readonly landmark: LandmarkKey; readonly side: Side | undefined };
// asked thousands of times for every picture that is read
const splits = new Map<PointKey, Split>(
  (Object.keys(catalogue) as LandmarkKey[]).flatMap((landmark): [PointKey, Split][] => [
    [landmark, { landmark, side: undefined }],
    [`${landmark}.L`, { landmark, side: "L" }],
    [`${landmark}.R`, { landmark, side: "R" }],
  ]),
);

export const splitPoint = (point: PointKey): Split => {
  const known = splits.get(point);
  if (known) return known;
  const [landmark, side] = point.split(".");
  return { landmark: landmark as LandmarkKey, side: side as Side | undefined };
};

export const pointName = (point: PointKey): string => {
  const { landmark, side } = splitPoint(point);
  return side ? `${landmarks[landmark].name}, ${sideWord[side]}` : landmarks[landmark].name;
};
