import type { LayerKey } from "../anatomy/layers";
import type { RegionKey } from "../anatomy/regions";
import type { Minutes, Side } from "../units";

/** Where a pattern's usual order puts a target: before others, or after them. */
export type Placed = { pattern: string; name: string; order: string; when: "first" | "then" };

/** Something the series is to reach: how much work, where, how deep, on which side. */
export type Target = {
  id: string;
  /** In words: "Right upper trapezius". */
  name: string;
  /**
   * What is to be reached: structures or groups, any of them. Left out in plans that were solved before structures were
   * aimed at: everything of its region and layer.
   */
  structures?: readonly string[];
  /** Of the first structure. */
  region: RegionKey;
  layer: LayerKey;
  side: Side | "both";
  /** Latest grade (1–3) of the restriction it comes from; undefined where it comes from elsewhere. */
  grade?: number;
  /** Importance, 0–3. */
  weight: number;
  /** Minutes of work wanted over the whole series, all sides together. */
  wanted: Minutes;
  /** Why it is a target, as a sentence. */
  because: string;
  /** Patterns of the reading that ask for it. */
  patterns?: readonly string[];
  /** What it comes before or after, by the usual order of patterns that hold. */
  sequence?: readonly Placed[];
};
