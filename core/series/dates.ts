import { getISODay } from "date-fns";
import { plusDays, type IsoDay } from "../days";

/** Days of rest there always are between two sessions. */
export const leastRest = 2;
/** Days between sessions where nobody says otherwise: within 5 to 14, common practice; and the most that may be asked for. */
export const usualInterval = 10;
export const mostInterval = 42;

/** When the sessions of a series are to be. */
export type Rhythm = {
  /** Day of the first session. */
  startOn: IsoDay;
  /** Days from session to session (usual: 5–14, never under 2; common practice). */
  intervalDays: number;
  /** The same in the second half of the series (usual: 7–21); left out: as in the first. */
  laterDays?: number | undefined;
  /** Days of the week on which they may be, Monday 1 to Sunday 7; left out or none: all. */
  weekdays?: readonly number[] | undefined;
};

/** The allowed day of the week nearest to a day, the later of two as near, and none before `from`. */
function onWeekday(wanted: IsoDay, weekdays: readonly number[], from: IsoDay): IsoDay {
  const day = wanted < from ? from : wanted;
  if (weekdays.length === 0) return day;
  for (let off = 0; off < 7 + leastRest; off++)
    for (const by of off === 0 ? [0] : [off, -off]) {
      const tried = plusDays(day, by);
      if (tried >= from && weekdays.includes(getISODay(tried))) return tried;
    }
  throw new RangeError(`no day of the week is one of ${weekdays.join(", ")}`);
}

/**
 * The day of each session: those that were worked, or are being worked, on their own days; those to come by the series'
 * rhythm from the last of them, or from its start while there is none. Each is reckoned from the one before, so that a
 * moved session moves what follows. None of those to come lies before `today`, where that is said: what was missed is late, not past.
 */
export function sessionDays(worked: readonly IsoDay[], rhythm: Rhythm, sessions: number, today: IsoDay = ""): IsoDay[] {
  const later = (one: IsoDay, other: IsoDay) => (one > other ? one : other);
  const { startOn, intervalDays, laterDays = intervalDays, weekdays = [] } = rhythm;
  for (const interval of [intervalDays, laterDays])
    if (!(interval >= leastRest))
      throw new RangeError(`at least ${leastRest} days lie between sessions, got ${interval}`);
  const days = worked.slice(0, sessions);
  while (days.length < sessions) {
    const last = days.at(-1);
    days.push(
      last === undefined
        ? onWeekday(startOn, weekdays, later(startOn, today))
        : onWeekday(
            plusDays(last, days.length < sessions / 2 ? intervalDays : laterDays),
            weekdays,
            later(plusDays(last, leastRest), today),
          ),
    );
  }
  return days;
}

/** Days of the visits at the beginning of a series that are not merely planned. */
export const daysWorked = (visits: readonly { status: string; onDate: string }[]): string[] => {
  const first = visits.findIndex((visit) => visit.status === "planned");
  return visits.slice(0, first < 0 ? undefined : first).map((visit) => visit.onDate);
};

const weekdayNames = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
export const weekdayName = (day: number): string => weekdayNames[day - 1]!;

/** "every 7 days, then every 14, on Tue, Thu" */
export function rhythmWords({ intervalDays, laterDays, weekdays = [] }: Rhythm): string {
  const later = laterDays === undefined || laterDays === intervalDays ? "" : `, then every ${laterDays}`;
  const on = weekdays.length === 0 || weekdays.length === 7 ? "" : `, on ${weekdays.map(weekdayName).join(", ")}`;
  return `every ${intervalDays} days${later}${on}`;
}
