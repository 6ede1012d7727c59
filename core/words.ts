/** "1 step", "3 steps": a number with its word. */
export const counted = (n: number, word: string): string => `${n} ${word}${n === 1 ? "" : "s"}`;
