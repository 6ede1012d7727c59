import fc from "fast-check";
import { structures } from "../anatomy/structures";
import type { Target } from "../reading/target";
import { screen } from "../screening/screen";
import { faultsOf } from "../techniques/check";
import { techniqueOf } from "../techniques/library";
import { definitionOf } from "../techniques/definition";
import { entryOf, factsOf } from "../test/facts";
import type { Side } from "../units";
import { exerciseOf, exercises } from "./exercises";
import { continuedBy, homeCareFor, minutesADay, notOn, shareFor } from "./suggest";
import { homeDose } from "./words";

const target = (structure: string, side: Side | "both" = "both", weight = 2): Target => {
  const { name, region, layer } = structures.find(({ key }) => key === structure)!;
  return {
    id: `${structure} ${side}`,
    name,
    structures: [structure],
    region,
    layer,
    side,
    weight,
    wanted: 10,
    because: `${name}.`,
  };
};
const under = (...entries: Parameters<typeof entryOf>[]) =>
  screen(factsOf({ history: entries.map((each) => entryOf(...each)) }));
const offered = (targets: Target[], cautions: Parameters<typeof homeCareFor>[1] = []) =>
  homeCareFor(targets, cautions).map(({ exercise }) => exercise.key);

describe("home care", () => {
  it("is written in the body’s own words: every exercise is sound, with a dose and when to stop", () => {
    expect(new Set(exercises.map(({ key }) => key)).size).toBe(exercises.length);
    for (const { key, work, dose, stop, what } of exercises) {
      expect({ key, faults: faultsOf(definitionOf(work)) }).toEqual({ key, faults: [] });
      expect(dose.times * dose.minutes).toBeGreaterThan(0);
      expect(dose.times * dose.minutes).toBeLessThanOrEqual(15);
      expect(stop).not.toMatch(/^[A-Z]|\.$/);
      expect(what).toMatch(/\.$/);
      expect(exerciseOf(key)?.work).toBe(work);
    }
  });

  // common practice: what continues which work
  it.each([
    ["pectoralis-minor", "doorway-chest"],
    ["gastrocnemius", "calf-lunge"],
    ["rectus-femoris", "hip-flexor-lunge"],
    ["biceps-femoris-long-head", "heel-on-step"],
    ["sole-of-the-foot", "sole-ball"],
    ["rectus-capitis-posterior-major", "chin-nods"],
    ["masseter", "jaw-rest"],
    ["serratus-anterior", "blade-slides"],
    ["adductor-longus", "soles-together"],
    ["piriformis", "sole-and-hip"],
    ["flexor-carpi-ulnaris", "wall-forearm"],
  ])("for %s offers %s first", (structure, key) => {
    expect(offered([target(structure)])[0]).toBe(key);
  });

  it("is done on the side that asks for it, on each where both do, on what a caution leaves", () => {
    const side = (targets: Target[], cautions: Parameters<typeof homeCareFor>[1] = []) =>
      homeCareFor(targets, cautions).find(({ exercise }) => exercise.key === "calf-lunge")!;
    expect(side([target("gastrocnemius", "L")]).side).toBe("L");
    expect(side([target("gastrocnemius", "R")]).side).toBe("R");
    expect(side([target("gastrocnemius", "L"), target("gastrocnemius", "R")]).side).toBeNull();
    for (const each of ["L", "R"] as const) {
      const mirror = homeCareFor([target("pectoralis-minor", each)], [])[0]!;
      expect([mirror.exercise.key, mirror.side]).toEqual(["doorway-chest", each]);
    }
  });

  it("counts what is not served yet: two that do the same are not both first", () => {
    const targets = [target("gastrocnemius", "both", 3), target("rectus-capitis-posterior-major", "both", 2)];
    const [first, second] = offered(targets);
    expect([first, second].sort()).toEqual(["calf-lunge", "chin-nods"]);
  });

  it("is ruled out by the same cautions as the work at the table, with the reason", () => {
    const told = under(["osteoporosis"]);
    const roll = homeCareFor([target("pectoralis-minor")], told).find(({ exercise }) => exercise.key === "towel-roll")!;
    expect(roll.no).toMatch(/osteoporosis/i);
    // a new left knee is not taken to its end range: what bends it far is left to the right one
    const knee = under(["joint-replacement", { region: "leg", places: ["knee"], side: "L", on: "2026-10-01" }]);
    const lunge = homeCareFor([target("rectus-femoris")], knee).find(
      ({ exercise }) => exercise.key === "hip-flexor-lunge",
    )!;
    expect([lunge.no, lunge.side]).toEqual([undefined, "R"]);
    expect(
      homeCareFor([target("rectus-femoris")], []).find(({ exercise }) => exercise === lunge.exercise)!.side,
    ).toBeNull();
  });

  it("is refused on a side that a caution keeps out, on each where one is out, and nowhere else", () => {
    const knee = under(["joint-replacement", { region: "leg", places: ["knee"], side: "L", on: "2026-10-01" }]);
    const of = (key: string, cautions: Parameters<typeof homeCareFor>[1]) =>
      homeCareFor([], cautions).find(({ exercise }) => exercise.key === key)!;
    const lunge = of("hip-flexor-lunge", knee);
    expect(notOn(lunge, "L")).toBe("Not on the left: a caution keeps that side out.");
    expect(notOn(lunge, null)).toMatch(/^Not on the left/);
    expect(notOn(lunge, "R")).toBeUndefined();
    for (const side of ["L", "R", null] as const) {
      expect(notOn(of("hip-flexor-lunge", []), side)).toBeUndefined();
      expect(notOn(of("walking", []), side)).toBeUndefined();
      expect(notOn(of("towel-roll", under(["osteoporosis"])), side)).toMatch(/^Not for them: /);
    }
  });

  it("never offers as allowed what a caution rules out, and loses nothing of the list", () => {
    const conditions = fc.constantFrom("osteoporosis", "pregnancy", "hernia", "anticoagulant", "reflux", "whiplash");
    const some = fc.subarray(
      structures.filter(({ layer }) => layer !== "AR").map(({ key }) => key),
      { maxLength: 6 },
    );
    fc.assert(
      fc.property(fc.uniqueArray(conditions, { maxLength: 2 }), some, (told, aims) => {
        const cautions = under(...told.map((key): Parameters<typeof entryOf> => [key]));
        const all = homeCareFor(
          aims.map((each) => target(each)),
          cautions,
        );
        expect(all.map(({ exercise }) => exercise.key).sort()).toEqual(exercises.map(({ key }) => key).sort());
        const worth = all.filter(({ no }) => no === undefined).map((each) => each.worth);
        for (const [i, each] of worth.entries()) if (i > 0) expect(each).toBeLessThanOrEqual(worth[i - 1]! + 1e-9);
        const lawful = all.findIndex(({ no }) => no !== undefined);
        if (lawful >= 0) for (const { no } of all.slice(lawful)) expect(no).toBeDefined();
      }),
      { numRuns: 60 },
    );
  });

  it("adds up to minutes a day, and says the dose as it is read", () => {
    const calf = exerciseOf("calf-lunge")!;
    const walk = exerciseOf("walking")!;
    expect(minutesADay([{ exercise: calf, side: null, dose: { times: 2, minutes: 1.5 } }])).toBe(6);
    expect(
      minutesADay([
        { exercise: calf, side: "L", dose: { times: 2, minutes: 1.5 } },
        { exercise: walk, side: null, dose: walk.dose },
      ]),
    ).toBe(18);
    expect(homeDose(calf, { times: 2, minutes: 1.5 }, "L")).toBe("twice a day, 1.5 min on the left");
    expect(homeDose(walk, { times: 1, minutes: 15 }, null)).toBe("once a day, 15 min");
    expect(homeDose(calf, { times: 4, minutes: 1 }, null)).toBe("4 times a day, 1 min on each side");
  });

  it("continues techniques that reach the same, and no other", () => {
    const keys = (key: string) => continuedBy(techniqueOf(key)).map((exercise) => exercise.key);
    expect(keys("ham-iron")[0]).toBe("heel-on-step");
    expect(keys("masseter-melt")).toEqual(["jaw-rest"]);
    expect(keys("foot-open")[0]).toBe("sole-ball");
    expect(keys("arm-skin-roll")).toEqual([]);
  });

  it("reaches through one layer, never all the way down", () => {
    const chest = exerciseOf("doorway-chest")!;
    expect(shareFor(chest, target("pectoralis-major-upper"))).toBe(1);
    expect(shareFor(chest, target("pectoralis-minor"))).toBeCloseTo(0.4, 9);
    expect(shareFor(chest, target("masseter"))).toBe(0);
  });
});
