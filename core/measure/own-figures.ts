import { landmarks, type LandmarkKey } from "../anatomy/landmarks";
import { pooledRatio, type Ratio } from "../statistics/pooled-ratio";
import type { Spread } from "../statistics/within";
import type { HandMethodKey, MethodKey } from "./methods";
import type { MetricKey } from "./metrics";
import { isSideView, type View } from "./view";

/**
 * What a practitioner's repeatability study found: the spread of their own marks. `sem` is by metric (deg or mm),
 * `placing` by landmark (mm on the body, one direction).
 */
export type OwnFigures = {
  sem: Partial<Record<FigureKey, Ratio>>;
  placing: Partial<Record<LandmarkKey, Spread>>;
  /** From a standing study: everything that differs from one standing to the next, against the model's and the assumed. */
  standing?: Partial<Record<FigureKey, Ratio>>;
};

type Seen = `${MetricKey}.${"front" | "back" | "side"}`;
/** A metric in one kind of view, by one method: left and right side are taken alike and share their figures. */
export type FigureKey = Seen | `${Seen}.${HandMethodKey}`;
export const figureKey = (metric: MetricKey, view: View, method: MethodKey = "photo"): FigureKey => {
  const seen: Seen = `${metric}.${isSideView(view) ? "side" : (view as "front" | "back")}`;
  return method === "photo" ? seen : `${seen}.${method}`;
};

/** How many times the catalogue's placing error a landmark's is by one's own figures, never less than once. */
export function figureOfPoint(own: OwnFigures | undefined, landmark: LandmarkKey): number {
  const placing = own?.placing[landmark];
  return Math.max(1, pooledRatio(placing && { ratio: placing.sd / landmarks[landmark].placing, dof: placing.dof }));
}

/** Whose marking error a standard error rests on. */
export type Basis = { kind: "model" } | { kind: "own"; dof: number };
