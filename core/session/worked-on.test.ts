import type { PlannedSession } from "../series/plan";
import { minutesReached, sessionsOn } from "./worked-on";

const session = (technique: string, minutes: PlannedSession["steps"][number]["minutes"]): PlannedSession => ({
  steps: [{ technique, position: "prone", minutes }],
});

describe("which sessions worked a spot", () => {
  it("counts the share of a step that reaches it, on its side", () => {
    const calves = minutesReached(session("deep-calf-sink", { L: 3, R: 0 }));
    expect(calves.get("soleus")).toEqual({ L: 3, R: 0 });
    expect(calves.get("semitendinosus")).toBeUndefined();
    // a long glide has no sides and gives the nape three tenths of its time
    const nape = minutesReached(session("long-glide", { mid: 4 })).get("skin-of-the-nape")!;
    expect(nape.L).toBeCloseTo(1.2);
    expect(nape.R).toBe(nape.L);
    // two steps add up
    const { steps } = session("deep-calf-sink", { L: 1, R: 2 });
    expect(minutesReached({ steps: [...steps, ...steps] }).get("soleus")).toEqual({ L: 2, R: 4 });
  });

  it("names them by number, groups by any of their parts, and leaves out what was touched in passing", () => {
    const on = sessionsOn([
      session("ham-iron", { L: 4, R: 4 }),
      session("ham-iron", { L: 0.3, R: 4 }),
      session("calf-pin", { L: 2, R: 2 }),
    ]);
    expect(on({ structure: "hamstrings", side: "L" })).toEqual([1]);
    expect(on({ structure: "hamstrings", side: "R" })).toEqual([1, 2]);
    expect(on({ structure: "semitendinosus", side: "both" })).toEqual([1, 2]);
    expect(on({ structure: "calf", side: "both" })).toEqual([3]);
    expect(sessionsOn([])({ structure: "hamstrings", side: "R" })).toEqual([]);
  });
});
