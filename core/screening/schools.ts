import { offered } from "../techniques/library";
import { usualPreferences, type School } from "./facts";
import { screen } from "./screen";
import { verdictOn } from "./verdict";

/** A school of the trade as a starting point: its limits, and where others see it differently. Common practice. */
export type SchoolKind = { key: string; name: string; means: string; others: string; school: School };

const usual = { oil: true, wax: true, withoutElbow: false, withoutThumb: false } as const;

export const schoolKinds: readonly SchoolKind[] = [
  {
    key: "strong",
    name: "Strong, steered by the client",
    means:
      "Deep compression as far as the client asks for it, weight instead of muscle, elbows where they are angled to the flesh.",
    others: "Others never pass 4 of 10, or use the forearm because the elbow is too pointed.",
    school: { ...usual, pressureCeiling: 8, hold: { least: 10, most: 60 }, way: "direct" },
  },
  {
    key: "moderate",
    name: "Moderate",
    means: "3 to 4 of 10 and no more; more passes instead of more pressure; forearm and palm.",
    others: "Others hold that what is bound deeply lets go only under more.",
    school: { ...usual, pressureCeiling: 4, hold: { least: 10, most: 30 }, way: "both", withoutElbow: true },
  },
  {
    key: "light",
    name: "Light touch",
    means: "The weight of a coin; nothing is pushed through, and the tissue leads.",
    others: "Others find that it leaves firm bands as they are.",
    school: {
      ...usual,
      pressureCeiling: 2,
      hold: { least: 60, most: 180 },
      way: "indirect",
      oil: false,
      wax: false,
      withoutElbow: true,
      withoutThumb: true,
    },
  },
  {
    key: "direct",
    name: "Direct",
    means: "To the barrier, and wait there until it gives; holds of half a minute to a minute and a half.",
    others: "Others go away from the barrier and let it unwind.",
    school: { ...usual, pressureCeiling: 6, hold: { least: 30, most: 90 }, way: "direct" },
  },
  {
    key: "indirect",
    name: "Indirect",
    means: "Into ease and follow; what loosens is allowed to find its own way.",
    others: "Others hold that a barrier that is never met stays where it is.",
    school: { ...usual, pressureCeiling: 4, hold: { least: 30, most: 90 }, way: "indirect", withoutElbow: true },
  },
];

const wayWords: Record<School["way"], string> = {
  direct: "to the barrier",
  indirect: "follow ease",
  both: "either way",
};

/** What of how one works another school would change, as sentences; none where nothing. */
export function schoolChanges(from: School, to: School): string[] {
  const changes: string[] = [];
  if (from.pressureCeiling !== to.pressureCeiling)
    changes.push(`Pressure up to ${to.pressureCeiling} of 10 instead of ${from.pressureCeiling}.`);
  if (from.hold.least !== to.hold.least || from.hold.most !== to.hold.most)
    changes.push(`Holds of ${to.hold.least}–${to.hold.most} s instead of ${from.hold.least}–${from.hold.most} s.`);
  if (from.way !== to.way) changes.push(`At a barrier: ${wayWords[to.way]} instead of ${wayWords[from.way]}.`);
  const medium = (key: "oil" | "wax", name: string) => {
    if (from[key] !== to[key]) changes.push(to[key] ? `With ${name}.` : `Without ${name}.`);
  };
  medium("oil", "oil");
  medium("wax", "wax");
  const tool = (key: "withoutElbow" | "withoutThumb", name: string) => {
    if (from[key] !== to[key]) changes.push(to[key] ? `No ${name}.` : `The ${name} may be used.`);
  };
  tool("withoutElbow", "elbow");
  tool("withoutThumb", "thumb");
  return changes;
}

/** Techniques that a school leaves out altogether, by key. */
export function outOfSchool(school: School): Set<string> {
  const cautions = screen({ born: null, history: [], answers: [], preferences: usualPreferences, school }).filter(
    ({ origin }) => origin === "setting",
  );
  return new Set(
    offered()
      .filter((technique) => verdictOn(technique, cautions).no)
      .map(({ key }) => key),
  );
}
