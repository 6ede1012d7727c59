import type { Build } from "./anatomy/shape";
import type { RegionKey } from "./anatomy/regions";

export type Complaint = { words: string; region: RegionKey | null };

/** A person who comes for bodywork, as far as measuring and planning need to know them. */
export type ClientDraft = {
  name: string;
  /** ISO day, or null when not told. */
  born: string | null;
  occupation: string;
  /** What they come for, in their words. */
  complaint: string;
  complaintRegion: RegionKey | null;
  /** What else they come for, in their order. The first complaint is the one that every session works on. */
  furtherComplaints?: readonly Complaint[];
  /** Standing height in mm; null uses the stature the stick measures, or 1700 for proportions. */
  statureMm: number | null;
  /** How they are built, as the eye has it: it shapes the figure and nothing else. Middle when left out. */
  build?: Build;
  /** Highest pressure they want, 0 to 10 as they report it. */
  pressureCeiling: number;
};

export type Client = ClientDraft & { id: string; archivedAt: Date | string | null; version: number };

/** Whole years between two ISO days; undefined when `born` is null. */
export function ageOn(born: string | null, day: string): number | undefined {
  if (!born) return undefined;
  const years = Number(day.slice(0, 4)) - Number(born.slice(0, 4));
  return day.slice(5) < born.slice(5) ? years - 1 : years;
}
