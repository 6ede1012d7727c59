import { testReading } from "../test/reading";
import type { Restriction } from "../findings/restriction";
import { historyOf, latestGrade } from "../findings/restriction";
import { metrics, type MetricKey } from "../measure/metrics";
import type { Reading } from "../measure/reading";
import { outOfRange, targetOfRestriction, targetsFrom, targetsOfReading } from "./targets";

const reading = (key: MetricKey, value: number, se: number, view = "front"): Reading => {
  const metric = metrics.find((each) => each.key === key)!;
  return testReading(metric, value, { se, id: `${key}.${view}` });
};
const restriction: Restriction = {
  id: "r1",
  region: "neck",
  structure: "upper-trapezius",
  side: "R",
  layer: "SM",
  quality: "band",
  bind: "feet",
  ease: "head",
  grades: [
    { visit: 2, moment: "before", grade: 2, tenderness: 3 },
    { visit: 1, moment: "after", grade: 2, tenderness: 4 },
    { visit: 1, moment: "before", grade: 3, tenderness: 6 },
  ],
};

describe("targets", () => {
  it("takes a restriction's latest grade, wherever it stands in the list", () => {
    expect(latestGrade(restriction)).toMatchObject({ visit: 2, grade: 2 });
    expect(historyOf(restriction)).toBe("3 → 2 → 2");
    expect(targetOfRestriction(restriction)).toMatchObject({
      region: "neck",
      side: "R",
      wanted: 12,
      because: "Upper trapezius, right, graded 2 of 3 at visit 2, tender 3 of 10.",
    });
  });

  it("releases a restriction that has become free", () => {
    expect(
      targetOfRestriction({
        ...restriction,
        grades: [{ visit: 1, moment: "after", grade: 0, tenderness: 0 }],
      }),
    ).toBeUndefined();
  });

  it("works the higher side of the neck when a shoulder stands high", () => {
    const [neck] = targetsOfReading(reading("shoulder-level", 4, 0.8));
    expect(neck).toMatchObject({ region: "neck", side: "L" });
    expect(targetsOfReading(reading("shoulder-level", -4, 0.8))[0]).toMatchObject({ side: "R" });
  });

  it("gives less weight to what is less sure, and none below four chances in five or inside the range", () => {
    const sure = targetsOfReading(reading("shoulder-level", 4, 0.5))[0]!;
    const unsure = targetsOfReading(reading("shoulder-level", 4, 2))[0]!;
    expect(unsure.weight).toBeLessThan(sure.weight);
    expect(sure.because).toMatch(/^Shoulder level is 4\.0° right low ±1\.0°: it seems outside the usual/);
    // 2.5° beyond the range with an error of 3°: 0.80 of the normal distribution lies below 0.83
    expect(outOfRange(reading("shoulder-level", 4, 3)).sure).toBeCloseTo(0.7977, 3);
    expect(targetsOfReading(reading("shoulder-level", 4, 3))).toEqual([]);
    expect(targetsOfReading(reading("shoulder-level", 1, 0.5))).toEqual([]);
    expect(outOfRange(reading("shoulder-level", 1, 0.5))).toEqual({ by: 0, sure: 0 });
  });

  it("lists restrictions first and one target per place for the metrics", () => {
    const targets = targetsFrom([restriction], [reading("head-tilt", 6, 0.5), reading("head-tilt", 12, 0.5, "back")]);
    expect(targets[0]!.id).toBe("restriction-r1");
    expect(targets.filter((target) => target.id.startsWith("metric-head-tilt"))).toHaveLength(1);
    // front and back that agree are one
    const [both] = targetsFrom([], [reading("head-tilt", 6, 0.5), reading("head-tilt", 6.4, 0.5, "back")]);
    expect(both).toMatchObject({ id: "metric-head-tilt.front+back-levator-scapulae" });
  });

  it("takes nothing for a target that one picture cannot tell, or whose marks were only taken over", () => {
    expect(targetsOfReading(reading("shoulder-level", 40, 4))).toEqual([]);
    expect(targetsOfReading({ ...reading("shoulder-level", 4, 0.5), copied: true })).toEqual([]);
  });
});
