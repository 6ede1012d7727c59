import fc from "fast-check";
import { getISODay } from "date-fns";
import { daysBetween, plusDays } from "../days";
import { leastRest, sessionDays } from "./dates";

describe("the days of a series", () => {
  it("follow each other by the interval, over leap days and months", () => {
    expect(sessionDays([], { startOn: "2024-02-19", intervalDays: 10 }, 3)).toEqual([
      "2024-02-19",
      "2024-02-29",
      "2024-03-10",
    ]);
    expect(() => sessionDays([], { startOn: "2026-01-01", intervalDays: 1 }, 3)).toThrow(/at least 2 days/);
    expect(() => sessionDays([], { startOn: "2026-01-01", intervalDays: 7, laterDays: 0 }, 3)).toThrow(/got 0/);
  });

  it("lie further apart in the second half where that is asked for", () => {
    const days = sessionDays([], { startOn: "2026-03-02", intervalDays: 7, laterDays: 14 }, 6);
    expect(days.slice(1).map((day, i) => daysBetween(days[i]!, day))).toEqual([7, 7, 14, 14, 14]);
  });

  it("move to the nearest day of the week that is worked, the later of two as near", () => {
    // 2026-03-02 is a Monday; Tuesdays and Thursdays are worked
    const rhythm = { startOn: "2026-03-02", intervalDays: 10, weekdays: [2, 4] };
    // Tuesday; ten days on is Friday, and Thursday nearest; ten days on is Sunday: Tuesday is two off, Thursday three
    expect(sessionDays([], rhythm, 3)).toEqual(["2026-03-03", "2026-03-12", "2026-03-24"]);
    // Wednesday lies between both
    expect(sessionDays(["2026-03-08"], rhythm, 2)[1]).toBe("2026-03-19");
  });

  it("are late, not past, where a session was missed; what follows is reckoned from there", () => {
    const rhythm = { startOn: "2026-03-02", intervalDays: 7 };
    expect(sessionDays(["2026-03-02"], rhythm, 3, "2026-03-20")).toEqual(["2026-03-02", "2026-03-20", "2026-03-27"]);
    expect(sessionDays(["2026-03-02"], rhythm, 2, "2026-03-05")).toEqual(["2026-03-02", "2026-03-09"]);
    expect(sessionDays([], rhythm, 1, "2026-03-20")).toEqual(["2026-03-20"]);
    // 2026-03-20 is a Friday: the Tuesday before it has gone by
    expect(sessionDays(["2026-03-02"], { ...rhythm, weekdays: [2] }, 2, "2026-03-20")[1]).toBe("2026-03-24");
  });

  it("keep to the week and to rest, whatever was worked before, and each follows from the one before", () => {
    const day = fc.integer({ min: 0, max: 800 }).map((n) => plusDays("2026-01-01", n));
    const rhythm = fc.record({
      startOn: day,
      intervalDays: fc.integer({ min: leastRest, max: 42 }),
      laterDays: fc.option(fc.integer({ min: leastRest, max: 42 }), { nil: undefined }),
      weekdays: fc.subarray([1, 2, 3, 4, 5, 6, 7]),
    });
    fc.assert(
      fc.property(rhythm, day, fc.integer({ min: 0, max: 6 }), fc.integer({ min: 1, max: 14 }), (own, first, n, of) => {
        const worked = Array.from({ length: n }, (_, i) => plusDays(first, 3 * i));
        const days = sessionDays(worked, own, of);
        expect(days).toHaveLength(of);
        expect(days.slice(0, n)).toEqual(worked.slice(0, of));
        for (let s = Math.max(1, n); s < of; s++) {
          const apart = daysBetween(days[s - 1]!, days[s]!);
          const asked = s < of / 2 ? own.intervalDays : (own.laterDays ?? own.intervalDays);
          expect(apart).toBeGreaterThanOrEqual(leastRest);
          if (own.weekdays.length === 0) expect(apart).toBe(asked);
          else {
            expect(own.weekdays).toContain(getISODay(days[s]!));
            expect(Math.abs(apart - asked)).toBeLessThanOrEqual(6);
          }
        }
        // as if the sessions planned so far had been worked on their days
        if (of > n + 1) expect(sessionDays(days.slice(0, n + 1), own, of)).toEqual(days);
      }),
    );
  });
});
