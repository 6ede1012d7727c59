import { handParts, loadOf, type HandPart } from "../techniques/hand-parts";
import { techniqueOf } from "../techniques/library";
import { minutesOf, type PlanInput, type PlannedSession } from "./plan";
import { rulebook } from "./rulebook";

/** Load × minutes of a session on each part. */
export const sessionLoad = ({ steps }: PlannedSession): Record<HandPart, number> => {
  const sum = { thumb: 0, fingers: 0, wrist: 0, shoulder: 0, back: 0 };
  for (const step of steps) {
    const technique = techniqueOf(step.technique);
    for (const part of handParts) sum[part] += loadOf(technique, part) * minutesOf(step.minutes);
  }
  return sum;
};

/** What a part may take in a session: the least of what the series, the session, its day and its week allow. */
export const budgetIn = (part: HandPart, session: number, input: PlanInput): number =>
  Math.min(
    part === "thumb" ? input.thumbBudget : part === "fingers" ? rulebook.fingerBudget : Infinity,
    input.hands?.[session]?.[part] ?? Infinity,
  );
