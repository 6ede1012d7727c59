import { readPlace } from "~core/anatomy/read-place";
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

/** So many things can be told at once; of more, none is dropped: the form says so. */
export const mostParts = 24;

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
  const seen = new Map<string, number>();
  return reads.map((read) => {
    const name = `${read.condition ?? read.words}${read.place ? ` ${placeWords(read.place)}` : ""}`;
    // the same thing at another time is another thing
    const before = seen.get(name) ?? 0;
    seen.set(name, before + 1);
    const key = before > 0 ? `${name} ${before + 1}` : name;
    const refused = given.refused.includes(key);
    const condition = refused ? null : read.condition;
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
        // what was read wrongly was read wrongly altogether: it is theirs until they say otherwise
        stance: refused ? "has" : read.stance,
      },
    };
  });
}

/** Whether a rule turns on an answer about it: the condition's own question, or the one about what is not known. */
export const needsAnswer = ({ typed }: Part): boolean =>
  (typed.stance === "has" || typed.stance === "suspected") &&
  (typed.condition === null || conditionOf(typed.condition)?.question !== undefined);
