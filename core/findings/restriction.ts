import type { LayerKey } from "../anatomy/layers";
import type { RegionKey } from "../anatomy/regions";
import type { Side } from "../units";

/** What a restriction feels like under the hand. What is felt is recorded; no mechanism is claimed. */
export const qualities = ["drag", "band", "nodule", "tether", "fluid", "hot", "cold", "numb"] as const;
export type Quality = (typeof qualities)[number];

export const directions = ["head", "feet", "in", "out", "front", "back"] as const;
export type Direction = (typeof directions)[number] | "";

export const gradeWords = ["0 free", "1 drags", "2 stops early", "3 fixed"] as const;
export type Grade = 0 | 1 | 2 | 3;

export type Moment = "before" | "after";

/** One spot over time: where and what it is, and every grading of it. */
export type Restriction = {
  id: string;
  region: RegionKey;
  /** Key of a structure of the region. */
  structure: string;
  side: Side | "both";
  layer: LayerKey;
  quality: Quality;
  /** Where it binds and where it goes with ease. */
  bind: Direction;
  ease: Direction;
  grades: readonly Grading[];
};

export type Grading = { visit: number; moment: Moment; grade: Grade; tenderness: number };

/** What was felt, in the order it was felt: by visit, before the work and after it. */
export const inOrder = <T extends { visit: number; moment: Moment }>(felt: readonly T[]): T[] =>
  [...felt].sort((a, b) => a.visit - b.visit || (a.moment === b.moment ? 0 : a.moment === "before" ? -1 : 1));

export const latestGrade = (restriction: Restriction): Grading | undefined => inOrder(restriction.grades).at(-1);

/** "2 → 1 → 1": the history of a spot. */
export const historyOf = (restriction: Restriction): string =>
  inOrder(restriction.grades)
    .map((grading) => grading.grade)
    .join(" → ");
