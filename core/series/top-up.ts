import { techniqueOf } from "../techniques/catalogue";
import type { PlanInput, PlannedSession, Step, StepMinutes } from "./plan";
import { minutesOf, sessionMinutes } from "./plan";
import { isRising, proneMinutesIn, rulebook, tableMinutesIn, verdictIn, turnMinutes } from "./rulebook";
import { breaches } from "./rules";
import { coverageItems, delivered, loadCost, positionsUsed, strain, totalLoad, worthOf } from "./score";

const grain = 0.5;

type Part = {
  step: number;
  side: "L" | "R" | "mid";
  most: number;
  /** Minutes face down that one more grain takes. */
  prone: number;
  cost: number;
  thumb: number;
  fingers: number;
  doses: [number, number][];
};

/**
 * Gives the half minutes that rounding left over to the steps where they are worth most, session by session, within
 * the rules. Steps and order stay. Returns the plan unchanged if a rule would break.
 */
export function topUp(input: PlanInput, sessions: readonly PlannedSession[]): PlannedSession[] {
  const items = coverageItems(input);
  const got = items.map((item) => delivered(item, sessions));
  const filled = sessions.map((session, s): PlannedSession => {
    if (s < input.done.length) return session;
    const minutes = session.steps.map((step) => ({ ...step.minutes }) as Record<string, number>);
    const parts = session.steps.flatMap((step, i): Part[] => {
      const technique = techniqueOf(step.technique);
      if (isRising(technique)) return [];
      const { sides } = verdictIn(technique, s, input);
      const left = technique.sided ? (["L", "R"] as const).filter((side) => sides[side]) : (["mid"] as const);
      return left.map((side) => ({
        step: i,
        side,
        prone: step.position === "prone" ? grain : 0,
        most: technique.minutes.ideal * rulebook.stretch,
        cost: loadCost * totalLoad(technique) * grain,
        thumb: (technique.load.thumb ?? 0) * grain,
        fingers: (technique.load.fingers ?? 0) * grain,
        doses: items.flatMap((item, n): [number, number][] => {
          if (item.session !== undefined && item.session !== s) return [];
          const dose = item.dose(technique)[side] * grain;
          return dose > 0 ? [[n, dose]] : [];
        }),
      }));
    });
    const turns = turnMinutes(positionsUsed(session));
    let prone =
      proneMinutesIn(s, input) -
      session.steps
        .filter((step) => step.position === "prone" && !isRising(techniqueOf(step.technique)))
        .reduce((sum, step) => sum + minutesOf(step.minutes), 0);
    let left = tableMinutesIn(s, input) - turns - sessionMinutes(session);
    let thumbs = input.thumbBudget - strain(session, "thumb");
    let fingers = rulebook.fingerBudget - strain(session, "fingers");
    const gain = (part: Part) =>
      part.doses.reduce((sum, [n, dose]) => {
        const { points, wanted } = items[n]!;
        return sum + points * (worthOf((got[n]! + dose) / wanted) - worthOf(got[n]! / wanted));
      }, -part.cost);
    while (left >= grain) {
      let best: Part | undefined;
      let value = 1e-9;
      for (const part of parts) {
        if (minutes[part.step]![part.side]! + grain > part.most) continue;
        if (part.thumb > thumbs || part.fingers > fingers || part.prone > prone) continue;
        const worth = gain(part);
        if (worth > value) [best, value] = [part, worth];
      }
      if (!best) break;
      minutes[best.step]![best.side]! += grain;
      for (const [n, dose] of best.doses) got[n]! += dose;
      left -= grain;
      prone -= best.prone;
      thumbs -= best.thumb;
      fingers -= best.fingers;
    }
    return { steps: session.steps.map((step, i): Step => ({ ...step, minutes: minutes[i] as StepMinutes })) };
  });
  return breaches(input, filled).length === 0 ? filled : [...sessions];
}
