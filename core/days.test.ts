import { execFileSync } from "node:child_process";
import fc from "fast-check";
import { daysBetween, isDay, plusDays, plusMonths } from "./days";

const day = fc
  .date({ min: new Date("1900-01-01"), max: new Date("2100-12-31"), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));

describe("days", () => {
  // the Gregorian rule: every fourth year, but not 1900 and 2100, and yet 2000
  it.each([
    ["2024-02-29", true],
    ["2023-02-29", false],
    ["2000-02-29", true],
    ["1900-02-29", false],
    ["2100-02-29", false],
    ["2026-11-31", false],
    ["2026-13-01", false],
    ["2026-1-1", false],
    ["24-11-2026", false],
    ["", false],
  ])("knows whether %s is a day: %s", (text, is) => expect(isDay(text)).toBe(is));

  it.each([
    ["2024-02-28", 1, "2024-02-29"],
    ["2024-02-28", 2, "2024-03-01"],
    ["2023-02-28", 1, "2023-03-01"],
    ["2026-12-31", 1, "2027-01-01"],
    ["2024-03-01", -1, "2024-02-29"],
    // twelve weeks over a leap day, and over the nights when clocks change
    ["2024-01-10", 84, "2024-04-03"],
    ["2023-01-10", 84, "2023-04-04"],
    ["2026-09-08", 84, "2026-12-01"],
  ])("%s and %i days is %s", (from, days, to) => {
    expect(plusDays(from, days)).toBe(to);
    expect(daysBetween(from, to)).toBe(days);
  });

  it.each([
    ["2026-01-31", 1, "2026-02-28"],
    ["2024-01-31", 1, "2024-02-29"],
    ["2024-02-29", 12, "2025-02-28"],
    ["2024-02-29", 48, "2028-02-29"],
    ["2026-03-31", -1, "2026-02-28"],
    ["2008-11-25", 216, "2026-11-25"],
  ])("%s and %i months is %s", (from, months, to) => expect(plusMonths(from, months)).toBe(to));

  it("refuses to count from what is no day", () => {
    expect(() => plusDays("tomorrow", 1)).toThrow(/a day is written/);
  });

  it("goes there and back again", () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -20_000, max: 20_000 }), (from, days) => {
        const to = plusDays(from, days);
        expect(isDay(to)).toBe(true);
        expect(daysBetween(from, to)).toBe(days);
        expect(plusDays(to, -days)).toBe(from);
      }),
    );
  });

  it("says the same wherever the server stands", () => {
    const script = `import { plusDays, plusMonths, daysBetween } from "./core/days";
      console.log([plusDays("2026-03-28", 1), plusDays("2026-10-24", 1), plusMonths("2026-03-29", 7),
        daysBetween("2026-03-08", "2026-11-01")].join(" "));`;
    const said = ["UTC", "America/St_Johns", "Pacific/Kiritimati", "Europe/Berlin"].map((zone) =>
      execFileSync("node_modules/.bin/tsx", ["--eval", script], {
        env: { ...process.env, TZ: zone },
        encoding: "utf8",
      }).trim(),
    );
    expect(new Set(said)).toEqual(new Set(["2026-03-29 2026-10-25 2026-10-29 238"]));
  });
});
