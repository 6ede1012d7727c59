import { daysBetween, isDay, plusDays, plusMonths, type IsoDay } from "../days";

/**
 * A date as people tell it: what was said, and the days it can mean. Rules that ask how long ago something was use
 * the latest of them, so that not knowing better never shortens a caution. `onset`: it began then ("since", "for") and
 * nothing says that it is over.
 */
export type RoughDate = { said: string; earliest: IsoDay; latest: IsoDay; onset?: true };

/** Words before a time that say that it began then and goes on. */
const goingOn = /^(ever since|since|for|still)\b/;

export const months = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const seasons: Record<string, [number, number]> = {
  spring: [3, 5],
  summer: [6, 8],
  autumn: [9, 11],
  fall: [9, 11],
  winter: [12, 14],
};
export const numberWords: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  "a couple of": 2,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  "a few": 3,
  few: 3,
  couple: 2,
  "a couple": 2,
  several: 5,
};
const pad = (value: number) => String(value).padStart(2, "0");
const endOfMonth = (year: number, month: number): IsoDay => plusDays(plusMonths(`${year}-${pad(month)}-01`, 1), -1);
/** First day of month `from` to last of month `to`; months over 12 are the next year's. */
const span = (year: number, from: number, to: number): [IsoDay, IsoDay] => {
  const at = (month: number): [number, number] => (month > 12 ? [year + 1, month - 12] : [year, month]);
  const [firstYear, firstMonth] = at(from);
  return [`${firstYear}-${pad(firstMonth)}-01`, endOfMonth(...at(to))];
};

/** How far "n units ago" can be from the truth when people say it (days): half a unit, twice that when "about". */
const vagueness: Record<string, { days: (n: number) => number; back: (day: IsoDay, n: number) => IsoDay }> = {
  day: { days: () => 0.5, back: (day, n) => plusDays(day, -n) },
  week: { days: () => 3, back: (day, n) => plusDays(day, -7 * n) },
  month: { days: () => 15, back: (day, n) => plusMonths(day, -n) },
  year: { days: (n) => Math.max(182, 0.1 * 365 * n), back: (day, n) => plusMonths(day, -12 * n) },
};

/**
 * Reads a rough date: "2019-04-12", "12/4/2019" (day first), "April 2019", "spring 2019", "2019", "about 10 years",
 * "3 weeks ago", "yesterday", "last month", "as a child". Seasons are the northern ones. `today` bounds what is past;
 * `born` is needed for "as a child" and "at 12". Undefined when it is not understood.
 */
export function readRoughDate(text: string, today: IsoDay, born: IsoDay | null = null): RoughDate | undefined {
  const said = text.trim().replace(/\s+/g, " ");
  const words = said
    .toLowerCase()
    .replace(
      /^((in|ever since|since|still|from|on|the|for|back in|about|over|more than|at least|nearly|almost)\b )+(?=\S)/,
      (lead) => (/about/.test(lead) ? "about " : ""),
    );
  const found = readSpan(words, today, born);
  return (
    found && { said, earliest: found[0], latest: found[1], ...(goingOn.test(said.toLowerCase()) && { onset: true }) }
  );
}

function readSpan(words: string, today: IsoDay, born: IsoDay | null): [IsoDay, IsoDay] | undefined {
  const day = (iso: string): [IsoDay, IsoDay] | undefined => (isDay(iso) ? [iso, iso] : undefined);
  if (/^\d{4}-\d{2}-\d{2}$/.test(words)) return day(words);
  const slashed = words.match(/^(\d{1,2})[./](\d{1,2})[./](\d{4})$/);
  if (slashed) return day(`${slashed[3]}-${pad(Number(slashed[2]))}-${pad(Number(slashed[1]))}`);
  const monthOnly = words.match(/^(?:(\d{4})-(\d{1,2})|(\d{1,2})[./](\d{4}))$/);
  if (monthOnly) {
    const [year, month] = [Number(monthOnly[1] ?? monthOnly[4]), Number(monthOnly[2] ?? monthOnly[3])];
    return month >= 1 && month <= 12 ? span(year, month, month) : undefined;
  }
  const year = words.match(/^(about |around |ca\.? |~)?(\d{4})$/);
  if (year) {
    const slack = year[1] ? 1 : 0;
    return capped([`${Number(year[2]) - slack}-01-01`, `${Number(year[2]) + slack}-12-31`], today);
  }
  const named = words.match(/^(?:(\d{1,2})\.? )?([a-z]{3,9})\.?,? (\d{4})$/);
  if (named) {
    const month = months.indexOf(named[2]!.slice(0, 3)) + 1;
    if (month > 0 && named[1]) return day(`${named[3]}-${pad(month)}-${pad(Number(named[1]))}`);
    if (month > 0) return span(Number(named[3]), month, month);
    const season = seasons[named[2]!];
    return season && span(Number(named[3]), season[0], season[1]);
  }
  if (words === "today") return [today, today];
  if (words === "yesterday") return day(plusDays(today, -1));
  const last = words.match(/^(this|last) (week|month|year|spring|summer|autumn|fall|winter)$/);
  if (last) return lastSpan(last[1]!, last[2]!, today);
  const ago = words.match(
    /^(about |around |ca\.? |~|over |more than |under |less than )?(\d+|a couple of|a few|[a-z]+) (day|week|month|year)s?( ago)?$/,
  );
  if (ago) {
    const count = /^\d+$/.test(ago[2]!) ? Number(ago[2]) : numberWords[ago[2]!];
    if (count === undefined || count > 120) return undefined;
    const unit = vagueness[ago[3]!]!;
    const middle = unit.back(today, count);
    const slack = Math.floor(unit.days(count) * (ago[1] ? 2 : 1));
    return capped([plusDays(middle, -slack), plusDays(middle, slack)], today);
  }
  const spoken = spokenSpan(words, today, born);
  if (spoken) return spoken;
  const age = words.match(/^(?:at|age|aged|at age|when i was|when i was about|i was) (\d{1,2}|(?!an?$)[a-z]+)$/);
  const years = age && (/^\d+$/.test(age[1]!) ? Number(age[1]) : numberWords[age[1]!]);
  if (born && years) return capped(span(Number(born.slice(0, 4)) + years, 1, 24), today);
  if (born && /^(as a |as |a |since |in |in my )?(child|kid|childhood|baby|schoolchild)$/.test(words))
    return capped([born, plusMonths(born, 12 * 14)], today);
  if (born && /^(as a |when i was a |i was a )?(teenager|teen|adolescent)$/.test(words))
    return capped([plusMonths(born, 12 * 13), plusMonths(born, 12 * 20)], today);
  const decade = words.match(/^(?:in )?my (teens|twenties|thirties|forties|fifties|sixties)$/);
  if (born && decade) {
    const from = 10 + 10 * ["teens", "twenties", "thirties", "forties", "fifties", "sixties"].indexOf(decade[1]!);
    return capped([plusMonths(born, 12 * from), plusMonths(born, 12 * (from + 10))], today);
  }
  return undefined;
}

const weekdays = ["sunday", "monday", "tuesday", "wednesday", "thursday", "friday", "saturday"];

/** Easter Sunday of a year (the anonymous Gregorian computus, Meeus, from memory). */
export function easter(year: number): IsoDay {
  const a = year % 19;
  const b = Math.floor(year / 100);
  const c = year % 100;
  const h = (19 * a + b - Math.floor(b / 4) - Math.floor((b - Math.floor((b + 8) / 25) + 1) / 3) + 15) % 30;
  const l = (32 + 2 * (b % 4) + 2 * Math.floor(c / 4) - h - (c % 4)) % 7;
  const m = Math.floor((a + 11 * h + 22 * l) / 451);
  const month = Math.floor((h + l - 7 * m + 114) / 31);
  return `${year}-${pad(month)}-${pad(((h + l - 7 * m + 114) % 31) + 1)}`;
}

/** Days that are named by what they are near: a weekday, a month alone, a feast; the latest that is past. */
function spokenSpan(words: string, today: IsoDay, born: IsoDay | null): [IsoDay, IsoDay] | undefined {
  const year = Number(today.slice(0, 4));
  const back = (day: (year: number) => IsoDay, days: number): [IsoDay, IsoDay] => {
    const at = [year, year - 1].map(day).find((each) => each <= today)!;
    return [plusDays(at, -days), plusDays(at, days) > today ? today : plusDays(at, days)];
  };
  const feast = words.replace(/^(last|at|this|around|over) /, "");
  if (feast === "easter") return back(easter, 2);
  if (feast === "christmas" || feast === "xmas") return back((each) => `${each}-12-25`, 2);
  if (/^new year('?s)?( eve| day)?$/.test(feast)) return back((each) => `${each}-01-01`, 1);
  if (/^(this (morning|afternoon|evening)|now|at the moment|currently|just now|tonight)$/.test(words))
    return [today, today];
  if (words === "last night") return [plusDays(today, -1), today];
  if (/^(the )?(last |past )?weekend$/.test(words)) return [plusDays(today, -8), today];
  if (/^(many |some |several )?years ago$/.test(words)) return [born ?? `${year - 60}-01-01`, plusMonths(today, -12)];
  if (/^(for )?(years|ages)$/.test(words)) return [born ?? `${year - 60}-01-01`, plusMonths(today, -12)];
  if (/^((a|one) )?decade( ago)?$/.test(words)) return [plusMonths(today, -144), plusMonths(today, -96)];
  if (/^(months|some months|several months) ago$/.test(words)) return [plusMonths(today, -11), plusMonths(today, -2)];
  if (/^(weeks|some weeks|several weeks) ago$/.test(words)) return [plusDays(today, -60), plusDays(today, -14)];
  if (/^(days|some days|the other day|recently|lately)( ago)?$/.test(words)) return [plusDays(today, -21), today];
  const weekday = weekdays.indexOf(words.replace(/^(last|this|on) /, ""));
  if (weekday >= 0) {
    const now = new Date(`${today}T12:00:00Z`).getUTCDay();
    const at = plusDays(today, -((now - weekday + 7) % 7));
    return words.startsWith("last ") ? [plusDays(at, -7), at === today ? plusDays(at, -7) : at] : [at, at];
  }
  const alone = words.match(/^(last |this |early |late |mid |the end of |the beginning of )?([a-z]{3,9})\.?$/);
  const month = alone && monthNames.findIndex((name) => name === alone[2] || name.slice(0, 3) === alone[2]) + 1;
  if (month) {
    const [first, end] = span(year, month, month);
    if (first <= today) return capped([first, end], today);
    return span(year - 1, month, month);
  }
  const season = alone && seasons[alone[2]!];
  return season ? lastSpan("this", alone[2]!, today) : undefined;
}

const monthNames = [
  "january",
  "february",
  "march",
  "april",
  "may",
  "june",
  "july",
  "august",
  "september",
  "october",
  "november",
  "december",
];

function lastSpan(which: string, unit: string, today: IsoDay): [IsoDay, IsoDay] {
  const year = Number(today.slice(0, 4));
  const season = seasons[unit];
  if (season) {
    const years = [year, year - 1, year - 2].map((each) => span(each, season[0], season[1]));
    const past = years.find(([first, end]) => (which === "this" ? first <= today : end < today));
    return capped(past ?? years[2]!, today);
  }
  const back = which === "this" ? 0 : 1;
  if (unit === "week") return capped([plusDays(today, -7 * (back + 1)), plusDays(today, back ? -1 : 0)], today);
  if (unit === "month") {
    const first = plusMonths(`${today.slice(0, 7)}-01`, -back);
    return capped([first, plusDays(plusMonths(first, 1), -1)], today);
  }
  return capped([`${year - back}-01-01`, `${year - back}-12-31`], today);
}

/** What can have been already was by today; what lies wholly ahead is left for the caller to judge. */
const capped = ([earliest, latest]: [IsoDay, IsoDay], today: IsoDay): [IsoDay, IsoDay] => [
  earliest,
  earliest <= today && latest > today ? today : latest,
];

/** "12 weeks", "7 months", "about 10 years": how long before `day` something was, as people say it. */
export function agoInWords(when: RoughDate, day: IsoDay): string {
  const middle = plusDays(when.earliest, Math.floor(daysBetween(when.earliest, when.latest) / 2));
  const days = daysBetween(middle, day);
  const about = when.earliest === when.latest ? "" : "about ";
  const whole = about ? Math.round : Math.floor;
  const count = (n: number, unit: string) => `${about}${n} ${unit}${n === 1 ? "" : "s"}`;
  if (days < 0) return `in ${count(Math.round(-days / 7), "week")}`;
  if (days < 14) return count(days, "day");
  if (days < 7 * 26) return count(whole(days / 7), "week");
  if (days < 365 * 2) return count(whole(days / 30.44), "month");
  return count(whole(days / 365.25), "year");
}
