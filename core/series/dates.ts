import { addDays, format, parseISO } from "date-fns";

/** ISO days of a series: every `interval` days from `start` (usual: 5–14 days, never under 2; common practice). */
export function seriesDates(start: string, interval: number, sessions: number): string[] {
  if (!(interval >= 2)) throw new RangeError(`at least 2 days lie between sessions, got ${interval}`);
  return Array.from({ length: sessions }, (_, i) => format(addDays(parseISO(start), i * interval), "yyyy-MM-dd"));
}

/** The day of each session: as worked for those done, by the series' interval for those to come. */
export const sessionDays = (
  worked: readonly string[],
  settings: { startOn: string; intervalDays: number },
  sessions: number,
): string[] => [
  ...worked.slice(0, sessions),
  ...seriesDates(settings.startOn, settings.intervalDays, sessions).slice(worked.length),
];
