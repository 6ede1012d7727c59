import { plusDays, type IsoDay } from "../../days";
import { months, numberWords, readRoughDate, type RoughDate } from "../rough-date";

/** Names of a time that are other words, too: taken for one only after a word that says so. */
const ambiguous =
  /^(may|march|mar|sun|mon|sat|fall|spring|summer|winter|autumn|second|dec|jan|feb|jun|jul|oct|nov|sep|apr|aug|now|today|one|weekend|years|ages)$/;
const leads =
  /^(in|since|last|this|until|till|due|on|at|from|early|late|mid|by|around|about|back|for|the|when|as|over|after|before)$/;

/** How often, how long late: no time at which something happened. */
const often = /^(every|each|most|many|several|per|alternate)$/;

/**
 * "since" or "for" where the words before a time, or any beside it, say that what is told began then and goes on: "for
 * about two weeks", "still, from January on", "ever since May".
 */
function goesOn(words: readonly string[], from: number): "since" | "for" | undefined {
  const lead = words.slice(0, from).join(" ");
  const near =
    /\b(since|for)( (about|around|over|nearly|almost|more than|at least|the|last|past|early|late|mid|a good))*$/.exec(
      lead,
    );
  if (near) return near[1] as "since" | "for";
  const all = words.join(" ");
  if (/\b(from|starting|started|began|beginning|onwards?)\b.*\b(on|onwards?)\b/.test(all)) return "since";
  return /\b(still|ongoing|continuing|persist\w*|constant\w*|keeps?|going on|not gone|won't go|never left|ever since)\b/.test(
    all,
  )
    ? "since"
    : undefined;
}

export type FoundDate = { when: RoughDate; from: number; to: number };

/**
 * The time that a part of a sentence names, and which of its words do (from, to: numbers of words, `to` not included).
 * The longest reading counts, the first of several.
 */
export function findDate(words: readonly string[], today: IsoDay, born: IsoDay | null): FoundDate | undefined {
  for (let length = Math.min(6, words.length); length >= 1; length--)
    for (let from = 0; from + length <= words.length; from++) {
      const part = words.slice(from, from + length);
      if (leads.test(part.at(-1)!)) continue;
      if (length === 1 && ambiguous.test(part[0]!) && !leads.test(words[from - 1] ?? "")) continue;
      if (length === 1 && /^\d{1,3}$/.test(part[0]!)) continue;
      if (often.test(words[from - 1] ?? "") || often.test(part[0]!) || words[from + length] === "late") continue;
      // "twice a month"
      if (part[0] === "a" && /^(once|twice|times)$/.test(words[from - 1] ?? "")) continue;
      // "as a baby" is a time, "trying for a baby" is none
      if (
        /^(baby|kid|child|teen|teenager)$/.test(part.at(-1)!) &&
        !/^(as|was|since)$/.test(part.at(-3) ?? part.at(-2) ?? "")
      )
        continue;
      // a bare year needs to look like one, and "two years" is a length as often as a time
      const text = part
        .join(" ")
        .replace(/\b(\d+)(st|nd|rd|th)\b/, "$1")
        .replace(/^(when i was|at|aged?) (\d+)$/, "when i was $2");
      const when = readRoughDate(text, today, born);
      const going = goesOn(words, from);
      if (when)
        return going
          ? { when: { ...when, said: `${going} ${text}`, onset: true }, from, to: from + length }
          : { when: { ...when, said: text }, from, to: from + length };
    }
  return undefined;
}

/**
 * The due date of a pregnancy as it is told: "32 weeks", "five months", "third trimester", "due in May", "in March".
 * Undefined when nothing is said of it: then every rule of a pregnancy holds.
 */
export function findDue(text: string, today: IsoDay): RoughDate | undefined {
  const spread = (said: string, weeksGone: number, slackDays: number): RoughDate => {
    const due = plusDays(today, 280 - Math.round(weeksGone * 7));
    return { said, earliest: plusDays(due, -slackDays), latest: plusDays(due, slackDays) };
  };
  const gone = /\b(\d{1,2}|[a-z]+)(?:\s*(?:\+|and)\s*\d)? (weeks?|months?)\b(?! late| overdue)/.exec(text);
  const count = gone && (/^\d/.test(gone[1]!) ? Number(gone[1]) : numberWords[gone[1]!]);
  if (gone && count && gone[2]!.startsWith("week") && count <= 42) return spread(gone[0], count, 4);
  if (gone && count && gone[2]!.startsWith("month") && count <= 9) return spread(gone[0], count * 4.35, 16);
  const trimester = /\b(first|second|third|last|1st|2nd|3rd) trimester\b/.exec(text);
  if (trimester) {
    const which = /first|1/.test(trimester[1]!) ? 7 : /second|2/.test(trimester[1]!) ? 20 : 34;
    return spread(trimester[0], which, 46);
  }
  const due =
    /\b(?:due|expecting|baby|in|until|comes?)\b.*?\b(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\b/.exec(
      text,
    );
  if (!due) return undefined;
  const month = months.indexOf(due[1]!) + 1;
  const year = Number(today.slice(0, 4)) + (month < Number(today.slice(5, 7)) ? 1 : 0);
  const first = `${year}-${String(month).padStart(2, "0")}-01`;
  return { said: due[0], earliest: first, latest: plusDays(plusDays(first, 31).slice(0, 8) + "01", -1) };
}

/** A typed time: a due date where the condition has one (`due`), else a rough date. Undefined when not understood. */
export const readWhen = (said: string, today: IsoDay, born: IsoDay | null, due: boolean): RoughDate | undefined =>
  (due ? findDue(said.toLowerCase(), today) : undefined) ?? readRoughDate(said, today, born);
