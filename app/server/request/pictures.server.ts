import { Lane } from "~data/lane";

/**
 * Pictures are decoded one at a time, so that other requests and their compression go on beside it. At most eight are
 * held in memory (25 MB each), two of one practice; who comes then is told to come again.
 */
export const pictures = new Lane({ atOnce: 1, inside: 8, ofOne: 2 });
