import { readPlace } from "~core/anatomy/places";
import type { IsoDay } from "~core/days";
import { conditionOf } from "~core/screening/conditions";
import type { TypedEntry } from "~core/screening/entry";
import { readTold, type Read } from "~core/screening/told/read-told";
import { placeWords } from "./place-words";

/** One thing that was read in what was typed, as it will be sent. */
export type Part = { key: string; typed: TypedEntry };

type Given = {
  today: IsoDay;
  born: IsoDay | null;
  /** Keys of parts whose reading was refused: they are kept in the client's words, and asked about. */
  refused: readonly string[];
  answers: Readonly<Record<string, TypedEntry["answer"]>>;
  /** A condition chosen by hand for the whole of what was typed; null: none of the catalogue's. */
  picked?: { condition: string | null };
  /** When an entry is corrected it stays one. */
  single: boolean;
};

/**
 * What was typed, thing by thing. A time or place that was typed apart holds for everything that names none of its own,
 * and before the one that was read where there is one thing only.
 */
export function partsOf(text: TypedEntry, given: Given): Part[] {
  const what = text.what.trim();
  if (!what) return [];
  const whole: Read = {
    words: what,
    condition: given.picked?.condition ?? null,
    stance: text.stance ?? "has",
    medicine: false,
    when: null,
    place: null,
  };
  let reads = given.picked ? [whole] : readTold(what, given.today, given.born);
  // "nothing", "healthy": told, and it changes nothing
  if (reads.length === 0) reads = [{ ...whole, condition: "quiet" }];
  if (given.picked) {
    const [own] = readTold(what, given.today, given.born);
    reads = [{ ...whole, when: own?.when ?? null, place: own?.place ?? null }];
  }
  if (given.single) reads = reads.slice(0, 1).map((read) => ({ ...read, words: what }));
  const alone = reads.length === 1;
  return reads.slice(0, 12).map((read) => {
    const key = `${read.condition ?? read.words}${read.place ? ` ${placeWords(read.place)}` : ""}`;
    const condition = given.refused.includes(key) ? null : read.condition;
    const told = read.when?.said ?? "";
    const place = read.place ? placeWords(read.place) : "";
    const typedWhere = readPlace(text.where) || text.where.trim() ? text.where : "";
    return {
      key: given.single ? (condition ?? what) : key,
      typed: {
        what: alone ? what : read.words,
        condition,
        kind: read.medicine ? "medication" : text.kind,
        when: alone ? text.when.trim() || told : told || text.when.trim(),
        where: alone ? typedWhere || place : place || typedWhere,
        answer: given.answers[given.single ? (condition ?? what) : key] ?? null,
        stance: read.stance,
      },
    };
  });
}

/** Whether a rule turns on an answer about it: the condition's own question, or the one about what is not known. */
export const needsAnswer = ({ typed }: Part): boolean =>
  (typed.stance === "has" || typed.stance === "suspected") &&
  (typed.condition === null || conditionOf(typed.condition)?.question !== undefined);
