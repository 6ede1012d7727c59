import { getISODay } from "date-fns";
import { plusDays, type IsoDay } from "../days";
import { handParts, type HandBudget, type HandPart, type Hands } from "../techniques/hand-parts";

/** What other work takes of the practitioner on a day. */
export type DayLoad = { day: IsoDay; load: HandBudget };

const weekOf = (day: IsoDay): IsoDay => plusDays(day, 1 - getISODay(day));

/**
 * What each session of a series may take of a practitioner's parts: what a session may at most, and no more than other work leaves
 * of its day and of its week (Monday to Sunday). Sessions of the series that lie in one week, or on one day, share what is left
 * equally: which of them needs more is not known before they are solved. `days`: undefined where a session is not these hands'
 * to give, or was worked already.
 */
export function handsLeft(
  hands: Hands,
  days: readonly (IsoDay | undefined)[],
  others: readonly DayLoad[],
): HandBudget[] {
  const taken = (part: HandPart, within: (day: IsoDay) => boolean) =>
    others.reduce((sum, { day, load }) => sum + (within(day) ? (load[part] ?? 0) : 0), 0);
  const sharing = (within: (day: IsoDay) => boolean) => days.filter((day) => day !== undefined && within(day)).length;
  return days.map((day): HandBudget => {
    if (day === undefined) return {};
    const budget: HandBudget = {};
    const within: [HandBudget, (day: IsoDay) => boolean][] = [
      [hands.day, (each) => each === day],
      [hands.week, (each) => weekOf(each) === weekOf(day)],
    ];
    for (const part of handParts) {
      const limits = within.flatMap(([most, when]) =>
        most[part] === undefined ? [] : [Math.max(0, most[part] - taken(part, when)) / sharing(when)],
      );
      const least = Math.min(hands.session[part] ?? Infinity, ...limits);
      if (Number.isFinite(least)) budget[part] = Math.floor(least * 2) / 2;
    }
    return budget;
  });
}
