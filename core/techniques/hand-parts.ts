import type { Load, Technique } from "./technique";

/** The practitioner's parts that work tires. */
export const handParts = ["thumb", "fingers", "wrist", "shoulder", "back"] as const satisfies readonly (keyof Load)[];
export type HandPart = (typeof handParts)[number];
export const handPartName: Record<HandPart, string> = {
  thumb: "Thumbs",
  fingers: "Fingers",
  wrist: "Wrists",
  shoulder: "Shoulders",
  back: "Low back",
};

/** Load (0–3) × minutes that parts take at most; what is left out has no limit. */
export type HandBudget = Partial<Record<HandPart, number>>;

/** What a practitioner wants to take in a session, a day and a week. */
export type Hands = { session: HandBudget; day: HandBudget; week: HandBudget };
export const noHands: Hands = { session: {}, day: {}, week: {} };

export const loadOf = (technique: Technique, part: HandPart): number => technique.load[part] ?? 0;

/** Parts that another technique tires less, by a minute. */
export const spares = (technique: Technique, other: Technique): HandPart[] =>
  handParts.filter((part) => loadOf(other, part) < loadOf(technique, part));
