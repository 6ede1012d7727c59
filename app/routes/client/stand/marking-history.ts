import type { Marking, MarkingHistory } from "~core/measure/marking";
import type { MarkKey, Marks } from "~core/measure/calibration";

const key = (id: string) => `ember-undo-${id}`;

/** The same points at the same places, in whatever order the store gives them back. */
const same = (a: Marks, b: Marks): boolean => {
  const keys = Object.keys(a) as MarkKey[];
  return (
    keys.length === Object.keys(b).length && keys.every((key) => a[key]!.x === b[key]?.x && a[key]!.y === b[key]?.y)
  );
};

/** What can still be undone in a picture: kept in this tab, so that another view or a reload does not lose it. */
export function keptHistory(id: string, marks: Marks): MarkingHistory | undefined {
  try {
    const kept = JSON.parse(sessionStorage.getItem(key(id)) ?? "null") as (MarkingHistory & { marks: Marks }) | null;
    // marked elsewhere meanwhile: these steps belong to other marks
    return kept && same(kept.marks, marks) ? kept : undefined;
  } catch {
    return undefined;
  }
}

export function keepHistory(id: string, { marks, past, future }: Marking): void {
  try {
    sessionStorage.setItem(key(id), JSON.stringify({ marks, past, future }));
  } catch {
    // storage full or forbidden: undo then ends with this view
  }
}
