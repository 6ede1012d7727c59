import { startingNow } from "./starting";

const rhythm = { intervalDays: 10 };
const visit = (ordinal: number, status: "planned" | "open" | "closed", onDate: string) => ({ ordinal, status, onDate });
const never = () => false;

describe("starting a visit now", () => {
  it("asks nothing where it is begun as planned, or was begun", () => {
    const visits = [visit(1, "closed", "2026-11-21"), visit(2, "planned", "2026-12-01")];
    expect(startingNow(visits[1]!, visits, "2026-12-01", rhythm, never)).toEqual([]);
    expect(startingNow(visit(2, "open", "2026-11-01"), visits, "2026-12-01", rhythm, never)).toEqual([]);
  });

  it("says within which rest it would be, and what the plan assumed", () => {
    const visits = [visit(1, "closed", "2026-11-30"), visit(2, "planned", "2026-12-10")];
    expect(startingNow(visits[1]!, visits, "2026-12-01", rhythm, never)).toEqual([
      "Visit 1 was yesterday: at least 2 days of rest lie between two sessions that are not light touch only, and the plan assumed 10 days.",
      "Planned for 10 Dec; today is 1 Dec. Worked today, it is recorded as today’s, and the visits after it follow.",
    ]);
    // planned so close by hand: it is asked all the same
    const close = [visit(1, "closed", "2026-12-01"), visit(2, "planned", "2026-12-01")];
    expect(startingNow(close[1]!, close, "2026-12-01", rhythm, never)[0]).toMatch(
      /^Visit 1 was today: at least 2 days/,
    );
    // light touch needs none
    expect(startingNow(visits[1]!, visits, "2026-12-01", rhythm, () => true)[0]).toBe(
      "Visit 1 was yesterday; the plan assumed 10 days between them.",
    );
  });

  it("says what comes before it and was not worked", () => {
    const visits = [
      visit(1, "closed", "2026-11-01"),
      visit(2, "planned", "2026-11-11"),
      visit(3, "planned", "2026-11-21"),
      visit(4, "planned", "2026-12-01"),
    ];
    expect(startingNow(visits[3]!, visits, "2026-12-01", rhythm, never)).toEqual([
      "Visits 2 and 3 come before it and are not worked. The plan takes what they open for granted.",
      "Worked today, it is recorded as today’s, and the visits after it follow.",
    ]);
    expect(startingNow(visits[2]!, visits, "2026-11-21", rhythm, never)[0]).toMatch(/^Visit 2 comes before it and is/);
  });

  it("has only the day to ask about where there is no series", () => {
    const alone = [visit(1, "planned", "2026-12-05")];
    expect(startingNow(alone[0]!, alone, "2026-12-01", undefined, never)).toHaveLength(1);
  });
});
