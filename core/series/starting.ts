import { format, parseISO } from "date-fns";
import { daysBetween, type IsoDay } from "../days";
import { counted, listed } from "../words";
import { leastRest, type Rhythm } from "./dates";

type Stands = { ordinal: number; status: "planned" | "open" | "closed"; onDate: IsoDay };

const shortDay = (day: IsoDay) => format(parseISO(day), "d MMM");
const list = (visits: readonly Stands[]) =>
  `${visits.length === 1 ? "Visit" : "Visits"} ${listed(visits.map(({ ordinal }) => String(ordinal)))}`;

/**
 * What has to be agreed to before a planned visit is begun today, and what its plan assumed: another day, an order that is
 * not the series', too little rest. Empty where it is begun as planned.
 */
export function startingNow(
  visit: Stands,
  visits: readonly Stands[],
  today: IsoDay,
  rhythm: Pick<Rhythm, "intervalDays" | "laterDays"> | undefined,
  /** Of each visit by its place in the series: light touch only, which needs no rest. */
  light: (ordinal: number) => boolean,
): string[] {
  if (visit.status !== "planned") return [];
  const said: string[] = [];
  const skipped = visits.filter(({ ordinal, status }) => ordinal < visit.ordinal && status === "planned");
  if (skipped.length > 0)
    said.push(
      `${list(skipped)} ${skipped.length === 1 ? "comes" : "come"} before it and ${skipped.length === 1 ? "is" : "are"} not worked. The plan takes what ${skipped.length === 1 ? "it opens" : "they open"} for granted.`,
    );
  const last = visits
    .filter(({ ordinal, status }) => ordinal !== visit.ordinal && status !== "planned")
    .sort((a, b) => a.onDate.localeCompare(b.onDate))
    .at(-1);
  if (last && rhythm) {
    const gap = daysBetween(last.onDate, today);
    const ago = gap === 0 ? "today" : gap === 1 ? "yesterday" : `${gap} days ago`;
    const { intervalDays, laterDays = intervalDays } = rhythm;
    const assumed = Math.min(intervalDays, laterDays);
    const resting = gap < leastRest && !(light(last.ordinal) && light(visit.ordinal));
    if (resting)
      said.push(
        `Visit ${last.ordinal} was ${ago}: at least ${counted(leastRest, "day")} of rest lie between two sessions that are not light touch only, and the plan assumed ${counted(assumed, "day")}.`,
      );
    else if (gap < assumed && visit.onDate !== today)
      said.push(`Visit ${last.ordinal} was ${ago}; the plan assumed ${counted(assumed, "day")} between them.`);
  }
  if (visit.onDate !== today || said.length > 0)
    said.push(
      `${visit.onDate === today ? "" : `Planned for ${shortDay(visit.onDate)}; today is ${shortDay(today)}. `}Worked today, it is recorded as today’s, and the visits after it follow.`,
    );
  return said;
}
