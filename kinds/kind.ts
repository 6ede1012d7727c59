import type { Moment } from "../core/findings/restriction";
import type { Lying } from "../core/findings/working-order";
import { falseDiscovery } from "../core/statistics/false-discovery";
import { verdictOf, type Difference, type Verdict } from "../core/statistics/verdict";

/** What does not apply is said, with its reason: a kind that forgets a question does not compile. */
export type None = { none: string };
export const none = (because: string): None => ({ none: because });
export const isNone = (answer: unknown): answer is None =>
  typeof answer === "object" && answer !== null && "none" in answer;

/** When something was found: at a visit (its place in the series), before the work or after it. */
export type At = { visit: number; moment: Moment };

/** One line of a visit's note and summary; `lying` says where hands come to it, where it lies on the body. */
export type Line = { id: string; name: string; what: string; lying?: Lying };

/** A difference between two moments, in words, with its error: before it is judged among the others. */
export type Differing = Difference & { id: string; name: string; from: string; to: string; by: string };
export type Judged = Differing & { verdict: Verdict };

/** One row of an export: plain columns. */
export type Row = Readonly<Record<string, string | number | boolean | null>>;

/** The screen of a kind. */
export type Home = {
  /** Below the client: "assess/scars". */
  path: string;
  /** Its name in the row of its stage: "Scars". */
  part: string;
  /** How Ctrl+K names it: "Touch: scars". */
  command: string;
  /** What one comes there to press: it has to be in view on every size of screen. */
  act: { role: "button" | "link" | "textbox" | "group" | "heading" | "spinbutton"; name: string };
  /** Its screen lies in the kind's own folder; else in `app/routes`. */
  own?: true;
};

/** A table, what the application may do with it, and by what a row belongs to somebody. */
export type Table = { rights: string; of: "client" | "visit" | "photo" };

/**
 * A kind of record: all that the rest of the house asks of one. `R` is one record as it is loaded (`records.server.ts`). Who
 * walks over kinds holds no list of its own.
 */
export type Kind<R> = {
  /** What there are several of: "Scars". */
  name: string;
  homes: readonly Home[] | None;
  tables: Readonly<Record<string, Table>>;
  /** Moments at which something of it was found. */
  moments: ((records: readonly R[]) => readonly At[]) | None;
  /** Each that was found at both moments, second minus first, with the error of both. */
  differences: ((records: readonly R[], first: At, second: At) => readonly Differing[]) | None;
  /** Its lines in the summary of a visit. */
  summary: ((records: readonly R[], visit: number) => readonly Line[]) | None;
  /** Its lines in the note that is drafted when a visit is closed. */
  note: ((records: readonly R[], visit: number) => readonly string[]) | None;
  exported: ((records: readonly R[]) => readonly Row[]) | None;
};

/** Whether two moments are the same. */
export const isAt = (a: At, b: At): boolean => a.visit === b.visit && a.moment === b.moment;

/** What was found at a moment, of a list. */
export const foundAt = <T extends At>(list: readonly T[], at: At): T | undefined => list.find((each) => isAt(each, at));

/** Verdicts on differences that were looked at together, the rarest by chance first. */
export function judgedTogether(list: readonly Differing[]): Judged[] {
  const q = falseDiscovery(list.map(({ p }) => p));
  return list.map((each, i) => ({ ...each, verdict: verdictOf(each.p, q[i]!) })).sort((a, b) => a.p - b.p);
}

/** "2 → 1": what stood before the work and after it at a visit, as far as it was found; undefined where nothing was. */
export function beforeAfter<T extends At>(
  found: readonly T[],
  visit: number,
  say: (one: T) => string,
): string | undefined {
  const own = (["before", "after"] as const).flatMap((moment) => {
    const one = foundAt(found, { visit, moment });
    return one ? [`${say(one)}${moment === "after" ? " after" : ""}`] : [];
  });
  return own.length > 0 ? own.join(" → ") : undefined;
}

/** "+2 ±1.4 mm": rounded to `digits`, no more of them than it has. */
export function signed(difference: number, band: number, unit = "", digits = 0): string {
  const round = (value: number) => String(Math.round(Math.abs(value) * 10 ** digits) / 10 ** digits);
  return `${difference > 0 ? "+" : difference < 0 ? "−" : ""}${round(difference)} ±${round(band)}${unit}`;
}
