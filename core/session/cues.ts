import { cautionsAt } from "../screening/consequence";
import type { School } from "../screening/facts";
import type { Outcome } from "../screening/outcome";
import { reaches, verdictOn } from "../screening/verdict";
import { zonesOf } from "../screening/zones";
import { hasTag, placesTouched } from "../techniques/touches";
import type { Technique } from "../techniques/technique";

/** What has to be known about one technique at the table, today and with this client. */
export type Cues = {
  /** Highest pressure, 0–10, and what lowered it, in two or three words. */
  cap: number;
  capBy: string | undefined;
  /** What to use instead, and other things that hold for this work. */
  mind: string[];
  /** What cautions say about the places this work reaches. */
  here: string[];
  /** Places to stay clear of. */
  clear: string[];
  /** How long a point is held, and which way, by the practitioner's school. */
  hold: string | undefined;
};

const wayWord = {
  direct: "to the barrier, wait",
  indirect: "follow ease",
  both: "to the barrier or with ease",
} as const;

/** Cues for a technique under the cautions of the day, the client's ceiling (0–10) and the practitioner's school. */
export function cuesFor(technique: Technique, cautions: readonly Outcome[], ceiling: number, school: School): Cues {
  const { cap } = verdictOn(technique, cautions);
  const lowered = cautions.find((caution) => caution.pressure === cap && reaches(caution.scope, technique));
  const skin = technique.medium !== "dry";
  return {
    cap: Math.min(cap, ceiling),
    capBy: cap < technique.pressure && cap <= ceiling ? lowered?.title : undefined,
    mind: cautions
      .filter((caution) => caution.instead !== undefined && skin && !caution.instead.includes("gloves"))
      .map((caution) => `Use ${caution.instead}`),
    here: cautionsAt(technique, cautions),
    clear: [...new Set(zonesOf(placesTouched(technique)).map((zone) => zone.name.toLowerCase()))],
    hold: hasTag(technique, "sustained point")
      ? `Hold ${school.hold.least}–${school.hold.most} s, ${wayWord[school.way]}`
      : undefined,
  };
}
