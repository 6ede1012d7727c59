import fc from "fast-check";
import { daysBetween, plusDays } from "../days";
import { agoInWords, easter, readRoughDate } from "./rough-date";

const today = "2026-11-25";
const born = "1985-02-17";

describe("rough dates", () => {
  it.each<[string, string, string]>([
    ["2019-04-12", "2019-04-12", "2019-04-12"],
    ["12/4/2019", "2019-04-12", "2019-04-12"],
    ["12.04.2019", "2019-04-12", "2019-04-12"],
    ["29 Feb 2024", "2024-02-29", "2024-02-29"],
    ["12 April 2019", "2019-04-12", "2019-04-12"],
    ["April 2019", "2019-04-01", "2019-04-30"],
    ["Feb 2024", "2024-02-01", "2024-02-29"],
    ["4/2019", "2019-04-01", "2019-04-30"],
    ["2019-04", "2019-04-01", "2019-04-30"],
    ["spring 2019", "2019-03-01", "2019-05-31"],
    ["autumn 2023", "2023-09-01", "2023-11-30"],
    ["winter 2019", "2019-12-01", "2020-02-29"],
    ["2019", "2019-01-01", "2019-12-31"],
    ["in 2019", "2019-01-01", "2019-12-31"],
    ["since 2019", "2019-01-01", "2019-12-31"],
    ["about 2019", "2018-01-01", "2020-12-31"],
    ["2026", "2026-01-01", today],
    ["2030", "2030-01-01", "2030-12-31"],
    ["today", today, today],
    ["yesterday", "2026-11-24", "2026-11-24"],
    ["3 days ago", "2026-11-22", "2026-11-22"],
    ["11 weeks ago", "2026-09-06", "2026-09-12"],
    ["three weeks ago", "2026-11-01", "2026-11-07"],
    ["about 3 weeks ago", "2026-10-29", "2026-11-10"],
    ["a month ago", "2026-10-10", "2026-11-09"],
    ["10 years", "2015-11-26", "2017-11-25"],
    ["about 10 years", "2014-11-26", "2018-11-25"],
    ["last month", "2026-10-01", "2026-10-31"],
    ["last week", "2026-11-11", "2026-11-24"],
    ["this year", "2026-01-01", today],
    ["last spring", "2026-03-01", "2026-05-31"],
    ["last winter", "2025-12-01", "2026-02-28"],
    ["at 12", "1997-01-01", "1998-12-31"],
    ["as a child", born, "1999-02-17"],
  ])("reads “%s” as %s to %s", (text, earliest, latest) => {
    const onset = text.startsWith("since") ? { onset: true } : {};
    expect(readRoughDate(text, today, born)).toEqual({ said: text, earliest, latest, ...onset });
  });

  it.each([
    "",
    "soon",
    "31 Feb 2024",
    "2023-02-29",
    "13/2019",
    "the day of the flood",
    "999 years ago",
    "Marchember 2019",
  ])("does not pretend to understand “%s”", (text) => expect(readRoughDate(text, today, born)).toBeUndefined());

  it("needs a date of birth for an age", () => {
    expect(readRoughDate("at 12", today, null)).toBeUndefined();
    expect(readRoughDate("as a child", today, null)).toBeUndefined();
  });

  // days of Easter Sunday as calendars give them
  it.each([
    [2000, "2000-04-23"],
    [2008, "2008-03-23"],
    [2011, "2011-04-24"],
    [2024, "2024-03-31"],
    [2025, "2025-04-20"],
    [2026, "2026-04-05"],
    [2038, "2038-04-25"],
  ])("knows Easter of %i", (year, day) => expect(easter(year)).toBe(day));

  // today is a Wednesday
  it.each([
    ["june", "2026-06-01", "2026-06-30"],
    ["last december", "2025-12-01", "2025-12-31"],
    ["november", "2026-11-01", "2026-11-25"],
    ["monday", "2026-11-23", "2026-11-23"],
    ["last tuesday", "2026-11-17", "2026-11-24"],
    ["at christmas", "2025-12-23", "2025-12-27"],
    ["when i was 14", "1999-01-01", "2000-12-31"],
    ["in my twenties", "2005-02-17", "2015-02-17"],
    ["this morning", "2026-11-25", "2026-11-25"],
    ["years ago", "1985-02-17", "2025-11-25"],
    ["a decade ago", "2014-11-25", "2018-11-25"],
  ])("reads “%s” as people say it", (said, earliest, latest) => {
    expect(readRoughDate(said, today, born)).toMatchObject({ earliest, latest });
  });

  it("keeps what was said, and holds what was meant, however vague", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.constantFrom("day", "week", "month", "year"),
        fc.boolean(),
        (n, unit, about) => {
          const said = `${about ? "about " : ""}${n} ${unit}${n === 1 ? "" : "s"} ago`;
          const read = readRoughDate(said, today)!;
          expect(read.said).toBe(said);
          expect(read.earliest <= read.latest).toBe(true);
          expect(read.latest <= today).toBe(true);
          const length = { day: 1, week: 7, month: 30.44, year: 365.25 }[unit as "day"];
          const middle = plusDays(today, -Math.round(n * length));
          expect(daysBetween(read.earliest, middle)).toBeGreaterThanOrEqual(-2);
          expect(daysBetween(middle, read.latest)).toBeGreaterThanOrEqual(-2);
        },
      ),
    );
  });

  it.each([
    ["2026-11-25", "0 days"],
    ["2026-11-12", "13 days"],
    ["2026-09-08", "11 weeks"],
    ["2026-04-25", "7 months"],
    ["2016-11-24", "10 years"],
    ["2027-01-20", "in 8 weeks"],
  ])("says how long ago %s was: %s", (date, words) => {
    expect(agoInWords({ said: "", earliest: date, latest: date }, today)).toBe(words);
  });

  it("says about where it is about", () => {
    expect(agoInWords(readRoughDate("about 5 years", today)!, today)).toMatch(/^about [45] years$/);
  });
});
