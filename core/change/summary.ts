import { possibleBelow } from "../statistics/verdict";
import type { Change } from "./compare";
import { counted } from "../words";
import { keptWords, type Kept } from "./carry-over";
import { changeNames } from "./words";

const numbers = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"];
const numberOf = (n: number) => numbers[n] ?? String(n);
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const names = (changes: readonly Change[]) => {
  const list = changeNames(changes).map(small);
  return list.length > 1 ? `${list.slice(0, -1).join(", ")} and ${list.at(-1)}` : (list[0] ?? "");
};

/** What the changes amount to, in a line, and what follows from them. `kept`: of the last visit's change. */
export function summarise(
  changes: readonly Change[],
  kept: Kept | undefined,
): { title: string; chance: string; next: string } {
  const clear = changes.filter(({ verdict }) => verdict === "clear");
  const possible = changes.filter(({ verdict }) => verdict === "possible");
  const judgedAtAll = changes.filter(({ unjudged }) => unjudged === undefined).length;
  const away = clear.filter(({ direction }) => direction === "away");
  const towards = clear.filter(({ direction }) => direction === "towards");
  const within = clear.filter(({ direction }) => direction === undefined);
  const title =
    changes.length === 0
      ? "Nothing to compare"
      : `${numberOf(clear.length)} clear ${clear.length < 2 ? "change" : "changes"}, ${possible.length === 0 ? "none" : small(numberOf(possible.length))} possible, of ${counted(judgedAtAll, "figure")}`;
  const sentences: string[] = [];
  if (clear.length === 0 && changes.length > 0)
    sentences.push(
      "Nothing changed by more than measuring and standing differ from one time to the next. That is not the same as nothing happened: average two or three standings, or look again at the next visit.",
    );
  if (towards.length > 0) sentences.push(`Clearly nearer to the usual range: ${names(towards)}.`);
  if (within.length > 0) sentences.push(`Clearly changed within the usual range: ${names(within)}.`);
  if (away.length > 0)
    sentences.push(`Clearly further from the usual range: ${names(away)}. Look at this before the next session.`);
  if (possible.length > 0) sentences.push(`Possible: ${names(possible)}. Look whether the next visit says the same.`);
  if (kept !== undefined) {
    sentences.push(keptWords(kept));
    if (kept.told && kept.high < 0.5)
      sentences.push("Less than half: shorten the interval, or spend more on integration.");
    if (kept.told && kept.low > 0.85) sentences.push("Nearly all: the interval may be longer.");
  }
  return { title, chance: judgedAtAll > 0 ? byChance(judgedAtAll) : "", next: sentences.join(" ") };
}

/** How many of `judged` figures chance alone would call possible where nothing changed. */
export function byChance(judged: number): string {
  const expected = judged * possibleBelow;
  const count = expected < 0.95 ? "less than one" : `about ${Math.round(expected)}`;
  return `Where nothing changed, chance alone would call ${count} of ${judged} possible.`;
}
