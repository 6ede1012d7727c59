import type { HistoryEntry } from "./facts";

type Told = Omit<HistoryEntry, "id" | "at">;

const plain = (words: string) => words.trim().toLowerCase().replace(/\s+/g, " ");

/** Nothing new is said where it was not said this time. */
const adds = (now: string, before: string) => now !== "" && now !== before;

/**
 * The entry on record that says the same already: the same condition, or the same words where it is none of the catalogue's,
 * of the same person, and no other place, side, time or answer. Undefined where something new is told.
 */
export function toldAlready<E extends Told>(told: Told, record: readonly E[]): E | undefined {
  return record.find((entry) => {
    const same =
      told.condition === null
        ? entry.condition === null && plain(entry.words) === plain(told.words)
        : entry.condition === told.condition;
    return (
      same &&
      entry.status === "open" &&
      (entry.stance ?? "has") === (told.stance ?? "has") &&
      !adds(told.region ?? "", entry.region ?? "") &&
      !adds((told.places ?? []).join(" "), (entry.places ?? []).join(" ")) &&
      !adds(told.side ?? "", entry.side ?? "") &&
      !adds(told.answer ?? "", entry.answer ?? "") &&
      !adds(
        told.when ? `${told.when.earliest} ${told.when.latest}` : "",
        entry.when ? `${entry.when.earliest} ${entry.when.latest}` : "",
      )
    );
  });
}
