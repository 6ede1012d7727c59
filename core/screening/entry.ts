import { readPlace } from "../anatomy/read-place";
import type { IsoDay } from "../days";
import { conditionOf, entryKinds, type EntryKind } from "./conditions";
import type { HistoryEntry } from "./facts";
import { answers, entryAnswers, type EntryAnswer } from "./questions";
import { stances, type Stance } from "./told/stance";
import { readWhen } from "./told/when";

/** A history entry as it is typed: three short texts, and a choice or two. */
export type TypedEntry = {
  /** In their words: "broken left wrist". */
  what: string;
  /** Chosen from the catalogue; null when nothing there fits. */
  condition: string | null;
  /** Used when the catalogue knows nothing. */
  kind: EntryKind;
  /** "spring 2019", "11 weeks ago"; empty when not told. */
  when: string;
  /** "left wrist"; empty: read from `what`. */
  where: string;
  /** To the condition's own question, or to the one that is asked of what the catalogue does not know. */
  answer: EntryAnswer | null;
  /** Theirs, suspected, not theirs, or somebody else's; theirs when left out. */
  stance?: Stance;
};

export type EntryErrors = Partial<Record<keyof TypedEntry, string>>;
export type ReadEntry =
  { body: Omit<HistoryEntry, "id" | "at">; errors?: undefined } | { body?: undefined; errors: EntryErrors };

/** Reads a typed entry. Errors name the field, the rule and what was typed. `today` and `born` are ISO days. */
export function readEntry(typed: TypedEntry, today: IsoDay, born: IsoDay | null): ReadEntry {
  const errors: EntryErrors = {};
  const words = typed.what.trim();
  if (!words) errors.what = "What: type what it was, in their words.";
  if (words.length > 300) errors.what = "What: at most 300 characters.";
  const condition = typed.condition === null ? undefined : conditionOf(typed.condition);
  if (typed.condition !== null && !condition) errors.condition = `What: “${typed.condition}” is not in the catalogue.`;
  if (!(typed.kind in entryKinds)) errors.kind = `Kind: “${String(typed.kind)}” is not one of the kinds.`;
  const due = condition?.rules.some((rule) => rule.due) ?? false;
  const said = typed.when.trim();
  const when = said ? readWhen(said, today, born, due) : null;
  if (when === undefined)
    errors.when = `When: “${typed.when.trim()}” is not understood. Try “spring 2019”, “3 weeks ago”, “12 May 2024” or “about 10 years”.`;
  if (when && !due && when.earliest > today) errors.when = `When: “${typed.when.trim()}” is still to come.`;
  const place = readPlace(typed.where) ?? (typed.where.trim() ? undefined : readPlace(typed.what));
  if (typed.where.trim() && !place)
    errors.where = `Where: “${typed.where.trim()}” is no place we know. Try “left wrist”, “low back”, “both knees”.`;
  if (typed.answer !== null && !(condition ? (answers as readonly EntryAnswer[]) : entryAnswers).includes(typed.answer))
    errors.answer = `Answer: “${String(typed.answer)}” is not ${condition ? "yes, no or don’t know" : "yes, no, don’t know or a doctor first"}.`;
  const stance = typed.stance ?? "has";
  if (!stances.includes(stance)) errors.stance = `Whose: “${String(stance)}” is not one of the choices.`;
  if (Object.keys(errors).length > 0) return { errors };
  const fixed = condition?.place && condition.place !== "ask" ? condition.place : null;
  return {
    body: {
      kind: condition?.kind ?? typed.kind,
      condition: condition?.key ?? null,
      words,
      when: when ?? null,
      region: place?.region ?? fixed,
      ...(place && place.places.length > 0 ? { places: place.places } : {}),
      side: place?.side ?? null,
      answer: condition && !condition.question ? null : typed.answer,
      ...(stance === "has" ? {} : { stance }),
      status: "open",
      endedOn: null,
    },
  };
}
