import { Lane } from "~data/lane";

/**
 * Files are held in memory while they arrive (25 MB each): at most eight at once, two of one practice; who comes then is
 * told to come again.
 */
export const uploads = new Lane({ atOnce: 8, inside: 8, ofOne: 2 });
