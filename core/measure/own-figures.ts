import { landmarks, type LandmarkKey } from "../anatomy/landmarks";
import type { Spread } from "../statistics/within";
import type { MetricKey } from "./metrics";
import { isSideView, type View } from "./view";

/**
 * What a practitioner's repeatability study found: the spread of their own marks. `sem` is by metric (deg or mm),
 * `placing` by landmark (mm on the body, one direction).
 */
export type OwnFigures = {
  sem: Partial<Record<FigureKey, Spread>>;
  placing: Partial<Record<LandmarkKey, Spread>>;
};

/** A metric in one kind of view: left and right side are marked alike and share their figures. */
export type FigureKey = `${MetricKey}.${"front" | "back" | "side"}`;
export const figureKey = (metric: MetricKey, view: View): FigureKey =>
  `${metric}.${isSideView(view) ? "side" : (view as "front" | "back")}`;

/** Below this many degrees of freedom (repeat pairs) one's own figure says too little to be used. */
export const leastPairs = 5;
/** What the model's or a published figure counts for beside one's own, in degrees of freedom: common practice. */
export const modelDof = 10;

/**
 * Own and model standard deviation pooled by degrees of freedom: √((ν₁s₁² + ν₂s₂²) / (ν₁ + ν₂)). The model's alone
 * while there are fewer than five own repeat pairs. Units are those of the inputs.
 */
export function pool(own: Spread | undefined, model: number): { sd: number; basis: Basis } {
  if (!own || own.dof < leastPairs) return { sd: model, basis: { kind: "model" } };
  const variance = (own.dof * own.sd ** 2 + modelDof * model ** 2) / (own.dof + modelDof);
  return { sd: Math.sqrt(variance), basis: { kind: "own", dof: own.dof } };
}

/** How many times the catalogue's placing error a landmark's is by one's own figures; 1 while there are too few. */
export const figureOfPoint = (own: OwnFigures | undefined, landmark: LandmarkKey): number =>
  pool(own?.placing[landmark], landmarks[landmark].placing).sd / landmarks[landmark].placing;

/** Whose marking error a standard error rests on. */
export type Basis = { kind: "model" } | { kind: "own"; dof: number };
