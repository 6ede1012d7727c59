import { daysBetween, isDay, plusDays, plusMonths, type IsoDay } from "../days";

/**
 * A date as people tell it: what was said, and the days it can mean. Rules that ask how long ago something was use
 * the latest of them, so that not knowing better never shortens a caution.
 */
export type RoughDate = { said: string; earliest: IsoDay; latest: IsoDay };

const months = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const seasons: Record<string, [number, number]> = {
  spring: [3, 5],
  summer: [6, 8],
  autumn: [9, 11],
  fall: [9, 11],
  winter: [12, 14],
};
const numberWords: Record<string, number> = {
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
  "a few": 3,
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
  const words = said.toLowerCase().replace(/^(in|since|from|on|the) /, "");
  const found = readSpan(words, today, born);
  return found && { said, earliest: found[0], latest: found[1] };
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
  const age = words.match(/^(?:at|age|aged|at age) (\d{1,2})$/);
  if (born && age) return capped(span(Number(born.slice(0, 4)) + Number(age[1]), 1, 24), today);
  if (born && /^(as a |since )?child(hood)?$/.test(words)) return capped([born, plusMonths(born, 12 * 14)], today);
  return undefined;
}

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
