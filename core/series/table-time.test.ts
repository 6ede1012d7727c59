import type { PlannedSession } from "./plan";
import { tableTime, tableTimeWords } from "./table-time";

const session: PlannedSession = {
  steps: [
    { technique: "cross-spread", position: "prone", minutes: { L: 2.5, R: 2 } },
    { technique: "quad-iron", position: "supine", minutes: { L: 3, R: 3 } },
    { technique: "groove-strip", position: "prone", minutes: { L: 2, R: 2 } },
    { technique: "rise-slowly", position: null, minutes: { mid: 2 } },
  ],
};

describe("what a session takes at the table", () => {
  it("adds up tenths of what was worked to tenths", () => {
    const worked = { steps: [10.1, 20.2, 28.1].map((mid) => ({ ...session.steps[3]!, minutes: { mid } })) };
    expect(tableTimeWords(worked, 70)).toBe("58.4 of 70 min, no turns");
  });

  it("is its work and every turn that happens, half minutes and all", () => {
    expect(tableTime(session)).toEqual({ work: 16.5, turns: 3, all: 19.5 });
    expect(tableTimeWords(session, 70)).toBe("16.5 min of work and 3 turns, 19.5 of 70 min");
    expect(tableTimeWords(session)).toBe("16.5 min of work and 3 turns, 19.5 min");
    const still = { steps: session.steps.slice(0, 1) };
    expect(tableTimeWords(still, 70)).toBe("4.5 of 70 min, no turns");
  });
});
