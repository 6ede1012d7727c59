/** A day of the calendar, "2026-11-24": no clock, no time zone. */
export type IsoDay = string;

const dayMs = 86_400_000;
const pattern = /^\d{4}-\d{2}-\d{2}$/;

/** Whether a text is a day that exists: 2024-02-29 does, 2023-02-29 does not. */
export const isDay = (text: string): boolean =>
  pattern.test(text) && !Number.isNaN(Date.parse(text)) && new Date(text).toISOString().slice(0, 10) === text;

/** The day `days` after (before when negative) another. Throws on a text that is no day. */
export function plusDays(day: IsoDay, days: number): IsoDay {
  if (!isDay(day)) throw new RangeError(`a day is written 2026-11-24, got "${day}"`);
  return new Date(Date.parse(day) + days * dayMs).toISOString().slice(0, 10);
}

/** Whole days from one day to another; negative when the second is earlier. */
export const daysBetween = (from: IsoDay, to: IsoDay): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / dayMs);

/** The same day of the month `months` later, or that month's last day (31 January + 1 month is 28 or 29 February). */
export function plusMonths(day: IsoDay, months: number): IsoDay {
  const [year, month, date] = day.split("-").map(Number) as [number, number, number];
  const first = new Date(Date.UTC(year, month - 1 + months, 1));
  const last = new Date(Date.UTC(first.getUTCFullYear(), first.getUTCMonth() + 1, 0)).getUTCDate();
  first.setUTCDate(Math.min(date, last));
  return first.toISOString().slice(0, 10);
}
