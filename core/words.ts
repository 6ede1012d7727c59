/** "1 step", "3 steps": a number with its word. */
export const counted = (n: number, word: string): string => `${n} ${word}${n === 1 ? "" : "s"}`;

/** "2:05": seconds as minutes and whole seconds. */
export const clockWords = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;

/** With its first letter large: what begins a sentence. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

const conjunction = new Intl.ListFormat("en", { type: "conjunction" });
/** "thumb, jaw and armpit": a list as it is read out. */
export const listed = (words: readonly string[]): string => conjunction.format(words);
