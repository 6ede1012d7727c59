import { entryOf } from "~core/test/facts";
import { laneY, timeLineLayout } from "./time-line-layout";

const today = "2026-11-25";
const width = 820;
const make = (key: string, on: string | null, change = {}) => entryOf(key, { id: `${key} ${on}`, on, ...change });
const layout = (entries: ReturnType<typeof make>[], label = "1 Something") =>
  timeLineLayout(entries, new Map(entries.map((entry) => [entry.id, label])), today, width);

describe("the life line", () => {
  const entries = [
    make("fracture", "2026-11-01"),
    make("osteoporosis", "2024-04-01"),
    make("dental", "2004-01-01"),
    make("scar", "1988-01-01", { status: "ended", endedOn: "1989-01-01" }),
    make("reflux", null),
  ];

  it("runs from long ago on the left to today on the right, and leaves out what has no date", () => {
    const { bars, today: right } = layout(entries);
    expect(bars.map((bar) => bar.id.split(" ")[0])).toEqual(["scar", "dental", "osteoporosis", "fracture"]);
    const starts = bars.map((bar) => bar.from);
    expect([...starts].sort((a, b) => a - b)).toEqual(starts);
    for (const bar of bars) {
      expect(bar.from).toBeGreaterThanOrEqual(0);
      expect(bar.to).toBeGreaterThanOrEqual(bar.from + 6);
      expect(bar.until).toBeLessThanOrEqual(right + 1);
    }
  });

  it("draws what is open up to today and what is over up to its end", () => {
    const { bars, today: right } = layout(entries);
    expect(bars.find((bar) => bar.id.startsWith("osteo"))!.until).toBe(right);
    expect(bars.find((bar) => bar.id.startsWith("scar"))!.until).toBeLessThan(right / 2);
  });

  it("gives the last year more room than the year ten years before it", () => {
    const year = (on: string) => layout([make("scar", "1988-01-01"), make("sprain", on)]).bars[1]!.from;
    expect(year("2026-11-25") - year("2025-11-25")).toBeGreaterThan(4 * (year("2016-11-25") - year("2015-11-25")));
    const { ticks } = layout(entries);
    expect(ticks[0]!.text).toBe("today");
    for (const [i, tick] of ticks.slice(1).entries()) expect(ticks[i]!.x - tick.x).toBeGreaterThan(40);
  });

  it("never lets two bars of one lane, or their labels, overlap", () => {
    const many = Array.from({ length: 24 }, (_, i) => make("sprain", `20${String(i + 2).padStart(2, "0")}-03-01`));
    const { bars, height } = layout(many, "12 Sprain or strain: lower legs");
    for (const a of bars)
      for (const b of bars)
        if (a !== b && a.lane === b.lane)
          expect(a.until < b.from || b.until < a.from || a.anchor === "end" || b.anchor === "end").toBe(true);
    expect(height).toBeGreaterThan(laneY(Math.max(...bars.map((bar) => bar.lane))));
  });

  it("has a scale even for an empty life", () => {
    const { bars, ticks, height } = layout([]);
    expect(bars).toEqual([]);
    expect(ticks.map((tick) => tick.text)).toContain("1 year");
    expect(height).toBeGreaterThan(40);
  });
});
