import { exampleInput } from "../test/plan-inputs";
import { patternsBehind, stepsByTarget } from "../series/explain";
import { quickPlan } from "../test/quick-plan";
import type { Evidence } from "./evidence";
import { chosenTargets, inSequence, withPatterns, type Choice } from "./pattern-targets";
import { patterns } from "./patterns";
import { readBody } from "./reading";
import { signWords } from "./signs";
import type { Target } from "./target";

const found = (sign: string, ratio = 8): Evidence => ({
  sign,
  ratio,
  name: signWords(sign),
  words: signWords(sign).toLowerCase(),
});
const tipped = ["pelvis-forward", "edge-rectus.L", "edge-rectus.R", "touch:lumbar-erectors.L", "low-back-short"].map(
  (sign) => found(sign, 15),
);
const working = readBody(tipped).suggestions.filter(({ pattern }) => pattern.id === "tipped-forward");
const target = (id: string, structure: string, weight: number, side: Target["side"] = "both"): Target => ({
  id,
  name: structure,
  structures: [structure],
  region: "thigh",
  layer: "SM",
  side,
  weight,
  wanted: 10,
  because: "Found.",
});

describe("what a pattern asks for", () => {
  it("is work where it is short or stuck, as heavy as it is supported, with its why and its order", () => {
    const targets = withPatterns([], working);
    expect(targets.map(({ structures }) => structures![0])).toEqual(["rectus-femoris", "lumbar-erectors"]);
    expect(targets[0]).toMatchObject({ side: "both", patterns: ["tipped-forward"] });
    expect(targets[0]!.weight).toBeCloseTo(1.2 * working[0]!.support, 10);
    expect(targets[0]!.because).toMatch(
      /^Short by “Pelvis tipped forward by the front of the thigh”, suggested with \d+ % \(\d+–\d+ %\), because .*pelvis tipped forward.*Front of the thigh before low back\.$/,
    );
  });

  it("keeps the heavier of two weights on one structure and both reasons, and never makes two targets of it", () => {
    const [one] = withPatterns([target("metric-tilt", "rectus-femoris", 3)], working);
    expect(one).toMatchObject({ id: "metric-tilt", weight: 3 });
    expect(one!.because).toMatch(/^Found\. Short by/);
  });

  it("works what is long less, and says so; what hands found bound there stays as it was", () => {
    const targets = withPatterns(
      [target("range-leg", "hamstrings", 1), target("restriction-x", "hamstrings", 2)],
      working,
    );
    expect(targets.find(({ id }) => id === "range-leg")).toMatchObject({ weight: 0.4 });
    expect(targets.find(({ id }) => id === "range-leg")!.because).toMatch(/Less, because .* calls it long\.$/);
    expect(targets.find(({ id }) => id === "restriction-x")).toMatchObject({ weight: 2, because: "Found." });
  });
});

describe("the usual order of patterns that hold", () => {
  const places = (targets: readonly Target[]) =>
    Object.fromEntries(inSequence(targets, working).map(({ id, sequence }) => [id, sequence?.map(({ when }) => when)]));

  it("puts the front of the thigh before the low back, whoever asks for either", () => {
    const targets = [
      target("thigh", "rectus-femoris", 2),
      target("back", "lumbar-erectors", 1, "L"),
      target("calf", "gastrocnemius", 1),
    ];
    expect(places(targets)).toEqual({ thigh: ["first"], back: ["then"], calf: undefined });
    expect(inSequence(targets, working)[0]!.sequence![0]).toMatchObject({
      pattern: "tipped-forward",
      order: "Front of the thigh before low back.",
    });
  });

  it("says nothing where only one of its ends is worked, or one is left out, or the pattern does not hold", () => {
    expect(places([target("thigh", "rectus-femoris", 2)])).toEqual({ thigh: undefined });
    expect(places([target("thigh", "rectus-femoris", 2), target("back", "lumbar-erectors", 0)])).toEqual({
      thigh: undefined,
      back: undefined,
    });
    const both = [target("thigh", "rectus-femoris", 2), target("back", "lumbar-erectors", 1)];
    expect(inSequence(both, [])).toEqual(both);
  });

  it("names structures that are in the anatomy, each at one end only, on their side", () => {
    for (const { id, before, side } of patterns) {
      if (!before) continue;
      const [first, then] = [before.first, before.then].map((sites) =>
        sites.map((each) => `${each.structure} ${each.side}`),
      );
      expect([id, first!.filter((each) => then!.includes(each))]).toEqual([id, []]);
      expect(first!.length * then!.length).toBeGreaterThan(0);
      if (side === null) for (const each of [...before.first, ...before.then]) expect(each.side).toBe("both");
    }
    // common practice, as the judgements have it
    expect(patterns.filter(({ before }) => before).length).toBeGreaterThan(30);
  });
});

describe("what the practitioner decides of targets", () => {
  const choices: Choice[] = [
    { key: "metric-tilt", body: { kind: "target", weight: 0 } },
    { key: "own-1", body: { kind: "own", structure: "masseter", side: "L", weight: 2, minutes: 6 } },
    { key: "own-2", body: { kind: "own", structure: "long forgotten", side: "L", weight: 2, minutes: 6 } },
    { key: "own-1", body: { kind: "target", weight: 2.5 } },
    { key: "jaw", body: { kind: "pattern", as: "out" } },
  ];
  it("turns, leaves out and adds them; what is not known any more is passed over", () => {
    const targets = chosenTargets([target("metric-tilt", "rectus-femoris", 3), target("b", "hamstrings", 1)], choices);
    expect(targets.map(({ id, weight, turned }) => [id, weight, turned])).toEqual([
      ["metric-tilt", 0, true],
      ["b", 1, undefined],
      ["own-1", 2.5, true],
    ]);
  });
});

describe("the trace", () => {
  it("goes from a target to its steps, and from a step back to the pattern that asks for it", () => {
    const input = {
      ...exampleInput,
      targets: exampleInput.targets.map((each) => (each.id === "b" ? { ...each, patterns: ["tipped-forward"] } : each)),
    };
    const plan = quickPlan(input)!;
    const all = stepsByTarget(input, plan);
    const steps = all.b!;
    expect(steps.length).toBeGreaterThan(0);
    const [{ session }] = steps as [(typeof steps)[number]];
    const back = plan[session]!.steps.map((step) => patternsBehind(input, step)).filter((each) => each.length > 0);
    expect(back.length).toBe(steps[0]!.techniques.length);
    expect(new Set(back.flat())).toEqual(new Set(["tipped-forward"]));
    expect(Object.keys(all)).toEqual(input.targets.map(({ id }) => id));
  });
});
