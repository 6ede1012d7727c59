import { offered } from "../techniques/library";
import { usualPreferences, type School } from "./facts";
import type { Technique } from "../techniques/technique";
import type { Outcome } from "./outcome";
import { screen } from "./screen";
import { verdictOn } from "./verdict";

/** A school of the trade as a starting point: its limits, and where others see it differently. Common practice. */
export type SchoolKind = { key: string; name: string; means: string; others: string; school: School };

const usual = { oil: true, wax: true, withoutElbow: false, withoutThumb: false, avoids: [], order: 0.2 } as const;

export const schoolKinds: readonly SchoolKind[] = [
  {
    key: "strong",
    name: "Strong, steered by the client",
    means:
      "Deep compression as far as the client asks for it, weight instead of muscle, elbows where they are angled to the flesh.",
    others: "Others never pass 4 of 10, or use the forearm because the elbow is too pointed.",
    school: {
      ...usual,
      pressureCeiling: 8,
      hold: { least: 10, most: 60 },
      way: "direct",
      avoids: ["unwinding"],
      order: 0,
    },
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
      avoids: ["rib compression", "lever", "end range", "sustained point", "deep belly"],
      order: 0,
    },
  },
  {
    key: "direct",
    name: "Direct",
    means: "To the barrier, and wait there until it gives; holds of half a minute to a minute and a half.",
    others: "Others go away from the barrier and let it unwind.",
    school: {
      ...usual,
      pressureCeiling: 6,
      hold: { least: 30, most: 90 },
      way: "direct",
      avoids: ["unwinding"],
      order: 0.5,
    },
  },
  {
    key: "indirect",
    name: "Indirect",
    means: "Into ease and follow; what loosens is allowed to find its own way.",
    others: "Others hold that a barrier that is never met stays where it is.",
    school: {
      ...usual,
      pressureCeiling: 4,
      hold: { least: 30, most: 90 },
      way: "indirect",
      withoutElbow: true,
      avoids: ["rib compression", "lever", "end range"],
    },
  },
  {
    key: "mixed",
    name: "Structural and cranial, mixed",
    means:
      "Fascial work up to 5 of 10 in the usual order, and a light-touch block where the tissue asks for one; no levers on the neck.",
    others: "Others keep the two apart: a session is either the one or the other.",
    school: {
      ...usual,
      pressureCeiling: 5,
      hold: { least: 20, most: 90 },
      way: "both",
      avoids: ["neck lever"],
      order: 0.5,
    },
  },
];

const wayWords: Record<School["way"], string> = {
  direct: "to the barrier",
  indirect: "follow ease",
  both: "either way",
};

/** How much the usual order of patterns weighs, as it is said. */
export const orderWords = (order: number): string =>
  order === 0 ? "does not matter" : order < 0.4 ? "is kept where it costs little" : "is kept firmly";

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
  const gone = to.avoids.filter((tag) => !from.avoids.includes(tag));
  const back = from.avoids.filter((tag) => !to.avoids.includes(tag));
  if (gone.length > 0) changes.push(`Left out: ${gone.join(", ")}.`);
  if (back.length > 0) changes.push(`Done again: ${back.join(", ")}.`);
  if (from.order !== to.order)
    changes.push(
      `The usual order of patterns ${orderWords(to.order)} in series that are begun; it ${orderWords(from.order).replace(/^is/, "was").replace("does not", "did not")}.`,
    );
  return changes;
}

const known = new WeakMap<School, Outcome[]>();
/** What a school rules out and lowers, as cautions. */
function cautionsOf(school: School): Outcome[] {
  const made =
    known.get(school) ??
    screen({ born: null, history: [], answers: [], preferences: usualPreferences, school }).filter(
      ({ origin }) => origin === "setting",
    );
  known.set(school, made);
  return made;
}

/** Whether a school does without a technique altogether. */
export const leavesOut = (school: School, technique: Technique): boolean =>
  verdictOn(technique, cautionsOf(school)).no !== undefined;

/** Techniques that a school leaves out altogether, by key. */
export const outOfSchool = (school: School): Set<string> =>
  new Set(
    offered()
      .filter((technique) => leavesOut(school, technique))
      .map(({ key }) => key),
  );
