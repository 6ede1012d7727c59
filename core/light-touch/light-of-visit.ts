import type { BoneFelt } from "./bones";
import type { Listening } from "./stations";

/** What light touch found and did at a visit: its lines in words, how the bones moved, what was heard at the stations. */
export type LightOfVisit = {
  visit: number;
  lines: string[];
  bones: BoneFelt[];
  heard: Partial<Record<"before" | "after", Listening>>;
  /** Whose hands listened, where it is known. */
  by: Partial<Record<"before" | "after", string>>;
};
