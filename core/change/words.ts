import { sideWord } from "../words";
import { views, viewName } from "../measure/view";
import type { Change } from "./compare";

/** Where a change goes, said so that nobody has to ask “towards what?”. */
export const directionWords = (direction: Change["direction"]): string =>
  direction === "towards"
    ? "towards the usual"
    : direction === "away"
      ? "away from the usual"
      : "within the usual range";

/** The verdict on a change and where it goes: "clear, towards the usual", "cannot be told". */
export const changeWords = ({ verdict, direction }: Pick<Change, "verdict" | "direction">): string =>
  verdict === "cannot be told" ? verdict : `${verdict}, ${directionWords(direction)}`;

/**
 * A name for each change: its metric's and side's, and the view it was taken in wherever another of the list has the same.
 * In their order.
 */
export function changeNames(changes: readonly Pick<Change, "id" | "first" | "parts">[]): string[] {
  const plain = changes.map(({ first, parts }) =>
    parts
      ? `${first.metric.name}, both views`
      : first.side
        ? `${first.metric.name}, ${sideWord[first.side]}`
        : first.metric.name,
  );
  return plain.map((name, i) => {
    if (plain.filter((other) => other === name).length === 1) return name;
    const view = views.find((each) => changes[i]!.id.split(".").includes(each));
    return view ? `${name} (${viewName[view].toLowerCase()})` : name;
  });
}
