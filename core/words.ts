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

/** A side in words: "left", "right", "both sides". */
export const sideWord = { L: "left", R: "right", both: "both sides" } as const;
/** "Left", "Right": where it stands by itself. */
export const sideTitle = { L: "Left", R: "Right" } as const;
/** ", left": what is put behind a name; nothing where both sides, or the mid-line, are meant. */
export const sideBehind = { L: ", left", R: ", right", both: "", mid: "" } as const;
