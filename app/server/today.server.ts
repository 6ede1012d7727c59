import { format } from "date-fns";

/** Today's day where the server stands, as ISO. */
export const today = (): string => format(new Date(), "yyyy-MM-dd");
