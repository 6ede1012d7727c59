import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { retestsOf } from "./retest";

const names = (key: string) => retestsOf(techniqueOf(key)).map(({ name }) => name);

describe("what is looked at again after a technique", () => {
  // common practice: the range that the structure holds
  it.each([
    ["ham-iron", /leg|hip|knee/i],
    ["calf-pin", /ankle/i],
    ["levator-strip", /neck/i],
    ["psoas-wait", /hip/i],
    ["pec-minor-open", /shoulder|arm/i],
    ["masseter-melt", /jaw/i],
    ["side-back-glide", /low back|trunk/i],
  ])("%s: %s", (key, expected) => {
    expect(names(key).join(", ")).toMatch(expected);
  });

  it("is at most three, each once, and nothing where hands only listen", () => {
    for (const technique of catalogue) {
      const list = retestsOf(technique);
      expect(list.length).toBeLessThanOrEqual(3);
      expect(new Set(list).size).toBe(list.length);
      if (technique.layer === "LT") expect(list).toEqual([]);
    }
  });
});
