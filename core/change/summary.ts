import type { Change } from "./compare";
import { changeNames } from "./words";

const numbers = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"];
const names = (changes: readonly Change[]) => {
  const list = changeNames(changes).map((name) => name.charAt(0).toLowerCase() + name.slice(1));
  return list.length > 1 ? `${list.slice(0, -1).join(", ")} and ${list.at(-1)}` : (list[0] ?? "");
};

/** What the changes amount to, in a line, and what follows from them. `kept` is the share kept since the last visit. */
export function summarise(changes: readonly Change[], kept: number | undefined): { title: string; next: string } {
  const real = changes.filter((change) => change.verdict === "real");
  const towards = real.filter((change) => change.direction === "towards");
  const away = real.filter((change) => change.direction === "away");
  const count = numbers[real.length] ?? String(real.length);
  const title =
    changes.length === 0
      ? "Nothing to compare"
      : `${count} real ${real.length === 1 ? "change" : "changes"}${away.length > 0 ? `, ${(numbers[away.length] ?? String(away.length)).toLowerCase()} of them away from the usual range` : ""}`;
  const sentences: string[] = [];
  if (real.length === 0)
    sentences.push(
      "Nothing moved by more than the marking error. That is not the same as nothing happened: mark more carefully, or look again at the next visit.",
    );
  if (towards.length > 0) sentences.push(`Really nearer to the usual range: ${names(towards)}.`);
  if (away.length > 0) sentences.push(`Really further from it: ${names(away)}. Look at this before the next session.`);
  const unclear = changes.length - real.length;
  if (real.length > 0 && unclear > 0)
    sentences.push(`${unclear} more ${unclear === 1 ? "is" : "are"} too small to tell.`);
  if (kept !== undefined) {
    const share = `${Math.round(kept * 100)}% of the last visit’s change was kept until this one.`;
    if (kept < 0.5) sentences.push(`${share} Less than half: shorten the interval, or spend more on integration.`);
    else if (kept > 0.85) sentences.push(`${share} Nearly all: the interval may be longer.`);
    else sentences.push(share);
  }
  return { title, next: sentences.join(" ") };
}
