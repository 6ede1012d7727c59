import type { Kept } from "../change/carry-over";
import type { Target } from "../reading/target";
import type { Outcome } from "../screening/outcome";
import { exampleInput } from "../test/plan-inputs";
import type { PlanInput } from "./plan";
import { courseHints } from "./suggest-course";
import { rhythmHint, worthAWait } from "./suggest-rhythm";

const done = (n: number): PlanInput => ({ ...exampleInput, done: Array.from({ length: n }, () => ({ steps: [] })) });
const cover = (grade: number, over: Partial<Target> = {}): Target => ({
  ...exampleInput.targets[1]!,
  id: `cover ${grade}`,
  region: "low-back",
  layer: "SM",
  grade,
  ...over,
});

describe("before the next session", () => {
  it("joins again one step earlier after more than five weeks, and only then", () => {
    const five = ["2026-01-01", "2026-01-11", "2026-01-21"];
    expect(courseHints(done(3), five, "2026-02-25")).toEqual([]);
    const [hint] = courseHints(done(3), five, "2026-02-26");
    expect(hint).toMatchObject({ kind: "join again", change: { kind: "again", session: 2 } });
    expect(hint!.why).toMatch(/^36 days lie between session 3/);
    // what goes back already is not sent back further
    expect(courseHints({ ...done(3), course: [0, 1, 2, 2, 3] }, five, "2026-03-26")).toEqual([]);
    expect(courseHints(done(0), [], "2026-03-26")).toEqual([]);
    // under way: nothing is put before it any more
    expect(courseHints(done(2), five, "2026-03-26")).toEqual([]);
  });

  it("waits where what covers a deep session still grades 2 or 3", () => {
    const days = Array.from({ length: 5 }, (_, i) => `2026-01-${String(10 + 3 * i)}`);
    const at = (targets: Target[]) => courseHints({ ...done(5), targets }, days, "2026-01-26");
    // the sixth session goes to joints at pelvis, low back and thighs
    const [hint] = at([cover(2), cover(3)]);
    expect(hint).toMatchObject({ kind: "wait for the cover", change: { kind: "again", session: 4 } });
    expect(hint!.why).toMatch(/graded 3; .*graded 2\.$/);
    expect(at([cover(1)])).toEqual([]);
    expect(at([cover(3, { layer: "DM" })])).toEqual([]);
    expect(at([cover(3, { region: "head" })])).toEqual([]);
    const { grade: _, ...unfelt } = cover(3);
    expect(at([unfelt])).toEqual([]);
    // the fourth session stays in the sleeve: nothing waits
    expect(courseHints({ ...done(3), targets: [cover(3)] }, days.slice(0, 3), "2026-01-26")).toEqual([]);
  });
});

describe("days between sessions, by what was kept", () => {
  const kept = (low: number, high: number, told = true): Kept => ({ share: (low + high) / 2, low, high, told });
  const over = (share: Kept, days = 10) => ({ kept: share, days });
  const rhythm = { startOn: "2026-01-01", intervalDays: 10 };
  const at = { done: 3, sessions: 10, light: false };

  it("shortens only when surely less than half was kept, lengthens only when surely nearly all was", () => {
    expect(rhythmHint(over(kept(0.1, 0.45)), rhythm, at).change).toEqual({ of: "intervalDays", from: 10, to: 7 });
    expect(rhythmHint(over(kept(0.9, 1.2)), rhythm, at).change?.to).toBe(14);
    for (const unsure of [kept(0.1, 0.55), kept(0.6, 1), kept(0.3, 0.6), kept(0.1, 0.3, false), undefined])
      expect(rhythmHint(unsure && over(unsure), rhythm, at).change).toBeUndefined();
    expect(rhythmHint(over(kept(0.1, 0.3, false)), rhythm, at).why).toMatch(/cannot be told/);
  });

  it("does not go on from what was kept over another interval than the one of now", () => {
    // closer already than the ten days over which little was kept: the next visit will say
    expect(rhythmHint(over(kept(0, 0.3), 10), { ...rhythm, intervalDays: 7 }, at).change).toBeUndefined();
    expect(rhythmHint(over(kept(0.9, 1), 7), { ...rhythm, intervalDays: 10 }, at).change).toBeUndefined();
    // and a visit that came late says nothing against the usual interval
    expect(rhythmHint(over(kept(0, 0.3), 20), rhythm, at).change).toBeUndefined();
  });

  it("stays within what is usual for the half that comes next", () => {
    expect(rhythmHint(over(kept(0, 0.3), 5), { ...rhythm, intervalDays: 5 }, at).change).toBeUndefined();
    expect(rhythmHint(over(kept(0, 0.3), 5), { ...rhythm, intervalDays: 5 }, at).why).toMatch(/as close as is usual/);
    expect(rhythmHint(over(kept(0, 0.3), 5), { ...rhythm, intervalDays: 5 }, { ...at, light: true }).change?.to).toBe(
      4,
    );
    expect(rhythmHint(over(kept(0.9, 1), 14), { ...rhythm, intervalDays: 14 }, at).change).toBeUndefined();
    expect(rhythmHint(over(kept(0.9, 1), 14), { ...rhythm, intervalDays: 14 }, { ...at, done: 5 }).change?.to).toBe(20);
    // the second half has its own interval
    expect(rhythmHint(over(kept(0.9, 1)), rhythm, { ...at, done: 6 }).change).toMatchObject({
      of: "laterDays",
      from: 10,
    });
    expect(rhythmHint(over(kept(0, 0.3), 20), { ...rhythm, laterDays: 20 }, { ...at, done: 6 }).change?.to).toBe(14);
  });
});

describe("a caution that ends soon after the next session", () => {
  const until = (day: string, kind: Outcome["kind"] = "exclude"): Outcome => ({
    key: day,
    kind,
    title: "Marked skin",
    reason: "Rests.",
    until: day,
    origin: "answer",
  });
  it("is worth a wait of four days, and no longer", () => {
    expect(worthAWait([until("2026-03-05")], "2026-03-02")).toEqual({
      day: "2026-03-05",
      days: 3,
      titles: ["Marked skin"],
    });
    expect(worthAWait([until("2026-03-06"), until("2026-03-04")], "2026-03-02")!.day).toBe("2026-03-06");
    expect(worthAWait([until("2026-03-07")], "2026-03-02")).toBeUndefined();
    expect(worthAWait([until("2026-03-02")], "2026-03-02")).toBeUndefined();
    expect(worthAWait([until("2026-03-05", "inform")], "2026-03-02")).toBeUndefined();
  });
});
