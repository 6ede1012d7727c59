import type { Restriction } from "../findings/restriction";
import type { Reading } from "../measure/reading";
import { metrics } from "../measure/metrics";
import { testReading } from "../test/reading";
import type { Answer } from "../table/answers";
import { evidenceOf, mirrored, type Evidence, type Known } from "./evidence";
import { patterns, type Pattern } from "./patterns";
import { nextBest, readBody } from "./reading";
import { signWords, type SignId } from "./signs";

const found = (sign: SignId, ratio: number): Evidence => ({ sign, ratio, name: signWords(sign), words: "" });
/** Everything a pattern often shows is there; of what it rarely shows nothing is known. Of either side one is enough. */
const caseOf = ({ shows, side }: Pattern): Evidence[] =>
  [...shows]
    .filter(([sign, q]) => q >= 0.35 && (side !== null || !sign.endsWith(".R")))
    .map(([sign]) => found(sign, 12));
const supportOf = (evidence: readonly Evidence[], id: string) =>
  readBody(evidence).suggestions.find(({ pattern }) => pattern.id === id)?.support ?? 0;

describe("every pattern", () => {
  it.each(patterns.map((pattern) => [pattern.name, pattern] as const))(
    "%s comes first on its own case, and not on its mirror image; without its key sign it drops",
    (_, pattern) => {
      const own = caseOf(pattern);
      const { suggestions, unexplained } = readBody(own);
      expect(suggestions[0]!.pattern.id).toBe(pattern.id);
      expect(suggestions[0]!.for.length).toBeGreaterThan(0);
      if (suggestions[0]!.low > 0.8) expect(unexplained).toEqual([]);
      if (pattern.side) {
        const mirror = readBody(own.map((each) => found(mirrored(each.sign), each.ratio))).suggestions[0]!.pattern;
        expect(mirror.key).toBe(pattern.key);
        expect(mirror.side).not.toBe(pattern.side);
      }
      const [key] = [...pattern.shows].sort((a, b) => b[1] - a[1])[0]!;
      const denied = own.map((each) => (each.sign === key ? found(key, 1 / 8) : each));
      expect(supportOf(denied, pattern.id)).toBeLessThan(suggestions[0]!.support);
    },
  );

  it("is made of structures that are known and says what comes first", () => {
    expect(new Set(patterns.map(({ key }) => key)).size).toBeGreaterThanOrEqual(45);
    for (const { order, means, shows, prior } of patterns) {
      expect(order).toMatch(/\.$/);
      expect(means).toMatch(/\.$/);
      expect(shows.size).toBeGreaterThan(1);
      expect(prior).toBeLessThan(0.1);
    }
  });
});

describe("a reading", () => {
  it("suggests nothing where nothing was found, and says what would tell most", () => {
    const { suggestions, unexplained } = readBody([]);
    const next = nextBest([]);
    expect(suggestions).toEqual([]);
    expect(unexplained).toEqual([]);
    expect(next[0]!.perMinute).toBeGreaterThan(0);
  });

  it("leaves a finding alone that no pattern shows with the others", () => {
    const { unexplained } = readBody([...caseOf(patterns.find(({ id }) => id === "jaw")!), found("heel-out.L", 8)]);
    expect(unexplained.map(({ sign }) => sign)).toEqual(["heel-out.L"]);
  });

  it("does without what was ruled out, and lets what is left take its findings", () => {
    const own = caseOf(patterns.find(({ id }) => id === "short-flexor.L")!);
    const without = readBody(own, new Set(["short-flexor.L"]));
    expect(without.suggestions.some(({ pattern }) => pattern.id === "short-flexor.L")).toBe(false);
    expect(without.unexplained.map(({ sign }) => sign)).toContain("edge-flexor.L");
  });

  it("tells two readings of one thing from one reading, and the next check settles it", () => {
    // a shoulder that is high: carried, or the other hip drawn up
    const evidence = [found("at-neck", 6), found("neck-turn-short.L", 4), found("told-whiplash", 3)];
    const { suggestions } = readBody(evidence);
    const next = nextBest(evidence);
    const [first, second] = suggestions;
    expect(second!.support).toBeGreaterThan(0.1);
    expect(next.length).toBeGreaterThan(0);
    const told = next[0]!.signs[0]!;
    const settled = readBody([...evidence, found(told, 8)]).suggestions;
    const refuted = readBody([...evidence, found(told, 1 / 8)]).suggestions;
    const moved =
      Math.abs((settled[0]?.support ?? 0) - first!.support) + Math.abs((refuted[0]?.support ?? 0) - first!.support);
    expect(moved).toBeGreaterThan(0.05);
  });
});

const nothing: Known = {
  readings: [],
  table: [],
  moved: [],
  restrictions: [],
  points: [],
  heard: [],
  bones: [],
  told: [],
  words: "",
  complaintRegion: null,
};
const all = [...new Set(patterns.flatMap(({ shows }) => [...shows.keys()]))];
const ratios = (known: Partial<Known>) =>
  new Map(evidenceOf({ ...nothing, ...known }, all).map(({ sign, ratio }) => [sign, ratio]));
const said = (check: string, side: Answer["side"], value: number, way: Answer["way"] = "hand"): Answer => ({
  moment: "before",
  check,
  side,
  way,
  value,
});
const bound = (structure: string, side: Restriction["side"], grade: 0 | 1 | 2 | 3): Restriction => ({
  id: structure,
  region: "neck",
  structure,
  side,
  layer: "SM",
  quality: "band",
  bind: "",
  ease: "",
  grades: [{ visit: 1, moment: "before", grade, tenderness: 0 }],
});

describe("what was found", () => {
  it("is nothing where nobody looked: the absence of a check is not the absence of a sign", () => {
    expect(ratios({}).size).toBe(0);
    expect(ratios({ words: "", told: [] }).get("told-whiplash")).toBeUndefined();
  });

  it("weighs a metric by how probable it is to be past its usual range, through its error", () => {
    const tilt = (value: number, se: number): Reading =>
      testReading(
        metrics.find(({ key }) => key === "pelvic-tilt")!,
        value,
        { se, seRepeat: se, seStanding: se },
      );
    const [sure, unsure, within] = [tilt(22, 1), tilt(16, 4), tilt(9, 1)].map((reading) =>
      ratios({ readings: [reading] }).get("pelvis-forward")!,
    );
    expect(sure).toBeCloseTo(20, 6);
    expect(unsure).toBeGreaterThan(1);
    expect(unsure).toBeLessThan(sure!);
    expect(within).toBeLessThan(0.2);
  });

  it("takes a high side at the table for that side and against the other, by its grade", () => {
    const table = (value: number) => [{ visit: 1, answers: [said("hip-height", null, value)] }];
    expect(ratios({ table: table(2) }).get("hip-high.L")).toBeGreaterThan(5);
    expect(ratios({ table: table(2) }).get("hip-high.R")).toBeLessThan(0.2);
    expect(ratios({ table: table(-1) }).get("hip-high.R")).toBeGreaterThan(1);
    expect(ratios({ table: table(0) }).get("hip-high.L")).toBeLessThan(0.3);
  });

  it("counts two words on one sign for more than one and for less than two", () => {
    const one = ratios({ table: [{ visit: 1, answers: [said("blade-rest", "L", 84, "measured")] }] }).get(
      "blade-wide.L",
    )!;
    const grades = [bound("rhomboid-major", "L", 3), bound("rhomboid-minor", "L", 3)];
    const [single, both] = [[grades[0]!], grades].map((restrictions) =>
      ratios({ restrictions }).get("touch:rhomboids.L")!,
    );
    expect(one).toBeGreaterThan(1);
    expect(both).toBeGreaterThan(single!);
    expect(Math.log(both!)).toBeLessThan(2 * Math.log(single!));
  });

  it("reads a bound structure, a free one against, and the other side not at all", () => {
    const own = ratios({ restrictions: [bound("subscapularis", "R", 3), bound("masseter", "both", 0)] });
    expect(own.get("touch:subscapularis.R")).toBeGreaterThan(5);
    expect(own.get("touch:subscapularis.L")).toBeUndefined();
    expect(own.get("touch:masseter.L")).toBeLessThan(0.2);
  });

  it("hears the client: complaint, history and the words for what they do", () => {
    const own = ratios({
      complaintRegion: "low-back",
      told: [{ condition: "whiplash", words: "car, 2019" }],
      words: "pilot, sits all day",
    });
    expect(own.get("at-low-back")).toBeGreaterThan(5);
    expect(own.get("at-neck")).toBeLessThan(1);
    expect(own.get("told-whiplash")).toBeGreaterThan(5);
    expect(own.get("sits")).toBeGreaterThan(3);
    expect(own.get("tingling")).toBeUndefined();
  });
});
