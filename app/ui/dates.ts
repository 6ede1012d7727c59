import { format, parseISO } from "date-fns";

/** "14 Oct" or, in another year than `today`, "14 Oct 2025". */
export function shortDay(iso: string, today?: string): string {
  return format(parseISO(iso), today && today.slice(0, 4) === iso.slice(0, 4) ? "d MMM" : "d MMM yyyy");
}

export const weekday = (iso: string): string => format(parseISO(iso), "EEEE d MMMM");
