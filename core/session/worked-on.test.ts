import type { PlannedSession } from "../series/plan";
import { minutesOn, sessionsOn } from "./worked-on";

const session = (technique: string, minutes: PlannedSession["steps"][number]["minutes"]): PlannedSession => ({
  steps: [{ technique, position: "prone", minutes }],
});

describe("which sessions worked a spot", () => {
  it("counts the share of a step that reaches it, on its side, groups by any of their parts", () => {
    const calves = session("deep-calf-sink", { L: 3, R: 0 });
    expect(minutesOn(calves, "soleus", "L")).toBe(3);
    expect(minutesOn(calves, "soleus", "R")).toBe(0);
    expect(minutesOn(calves, "deep-calf", "both")).toBe(3);
    expect(minutesOn(calves, "hamstrings", "L")).toBe(0);
    // a long glide gives the nape three tenths of its time
    expect(minutesOn(session("long-glide", { mid: 4 }), "skin-of-the-nape", "L")).toBeCloseTo(1.2);
  });

  it("names them by number, and leaves out what was touched in passing", () => {
    const list = [
      session("ham-iron", { L: 4, R: 4 }),
      session("ham-iron", { L: 0.3, R: 4 }),
      session("calf-pin", { L: 2, R: 2 }),
    ];
    expect(sessionsOn(list, { structure: "hamstrings", side: "L" })).toEqual([1]);
    expect(sessionsOn(list, { structure: "hamstrings", side: "R" })).toEqual([1, 2]);
    expect(sessionsOn([], { structure: "hamstrings", side: "R" })).toEqual([]);
  });
});
