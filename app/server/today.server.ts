import { format } from "date-fns";

/** Today's day where the server stands, as ISO. */
export const today = (): string => format(new Date(), "yyyy-MM-dd");

/** The day of a moment (ISO) where the server stands, as ISO. */
export const dayOf = (at: string): string => format(new Date(at), "yyyy-MM-dd");
