import { addDays, format, parseISO } from "date-fns";

/** ISO days of a series: every `interval` days from `start` (usual: 5–14 days, never under 2; common practice). */
export function seriesDates(start: string, interval: number, sessions: number): string[] {
  if (!(interval >= 2)) throw new RangeError(`at least 2 days lie between sessions, got ${interval}`);
  return Array.from({ length: sessions }, (_, i) => format(addDays(parseISO(start), i * interval), "yyyy-MM-dd"));
}

/**
 * The day of each session: those that were worked, or are being worked, on their own days; those to come by the series'
 * interval from the last of them, or from its start while there is none.
 */
export function sessionDays(
  worked: readonly string[],
  settings: { startOn: string; intervalDays: number },
  sessions: number,
): string[] {
  const last = worked.at(-1);
  if (last === undefined) return seriesDates(settings.startOn, settings.intervalDays, sessions);
  const ahead = seriesDates(last, settings.intervalDays, Math.max(0, sessions - worked.length) + 1).slice(1);
  return [...worked.slice(0, sessions), ...ahead];
}

/** Days of the visits at the beginning of a series that are not merely planned. */
export const daysWorked = (visits: readonly { status: string; onDate: string }[]): string[] => {
  const first = visits.findIndex((visit) => visit.status === "planned");
  return visits.slice(0, first < 0 ? undefined : first).map((visit) => visit.onDate);
};
