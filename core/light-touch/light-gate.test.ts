import type { Outcome } from "../screening/outcome";
import { arcGate, unwindingGate } from "./light-gate";
import { unwound } from "./unwinding";

const caution = (rest: Partial<Outcome>): Outcome => ({
  key: "k",
  kind: "exclude",
  title: "New shoulder",
  reason: "It waits.",
  origin: "history",
  ...rest,
});
const out = (rest: Partial<Outcome>) =>
  unwound.filter((part) => unwindingGate(part, [caution(rest)], true) !== undefined);

describe("who is unwound", () => {
  it("needs an explicit yes, whatever else is so", () => {
    expect(unwindingGate("neck", [], undefined)).toMatch(/explicit consent/);
    expect(unwindingGate("neck", [], false)).toMatch(/declined/);
    expect(unwindingGate("neck", [], true)).toBeUndefined();
  });

  it("keeps every part that moves a joint which is to be left alone, on its side", () => {
    expect(out({ scope: { joints: ["shoulder-joint"], side: "L" } })).toEqual(["left arm", "whole body"]);
    expect(out({ scope: { joints: ["hip-joint"] } })).toEqual(["left leg", "right leg", "whole body"]);
    expect(out({ scope: { tags: ["neck lever"] } })).toEqual(["neck", "whole body"]);
    expect(out({ scope: { tags: ["unwinding"] } })).toEqual([...unwound]);
    expect(out({ scope: { regions: ["arm"], side: "R" } })).toEqual(["right arm", "whole body"]);
    expect(out({ scope: { places: ["knee"], side: "R" } })).toEqual(["right leg", "whole body"]);
    expect(out({})).toEqual([...unwound]);
  });

  it("goes on where only depth or pressure is, and stops altogether at a referral", () => {
    expect(out({ scope: { regions: ["arm"], fromDepth: 3 } })).toEqual([]);
    expect(out({ scope: { regions: ["arm"], fromPressure: 5 } })).toEqual([]);
    expect(out({ kind: "limit", scope: { regions: ["arm"] }, pressure: 3 })).toEqual([]);
    expect(out({ kind: "refer", scope: { regions: ["leg"] } })).toEqual([...unwound]);
  });
});

describe("which holds of the arc are out", () => {
  it("are those of cranial work where that waits, each with its reason; the sheets and the sacrum stay", () => {
    const gate = arcGate([caution({ title: "Lumbar puncture", scope: { tags: ["cranial"] } })]);
    expect(gate["lt-sheets"]).toBeUndefined();
    expect(gate["lt-sacrum"]).toBeUndefined();
    expect(Object.keys(gate)).toHaveLength(8);
    expect(gate["lt-sphenoid"]).toMatch(/^Lumbar puncture: it waits/);
    expect(arcGate([])).toEqual({});
  });
});
