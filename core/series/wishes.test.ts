import loadHighs from "highs";
import { exampleInput, smallInput } from "../test/plan-inputs";
import { planFigures, pointsAside } from "./figures";
import type { PlanInput } from "./plan";
import { violations } from "./rules";
import { coverageItems, positionsUsed, scoreOf } from "./score";
import { prove } from "./prove";
import { solve } from "./solve";
import { wishKeys, type WishKey } from "./wish-keys";
import { isQuiet } from "./wishes";
import { techniqueOf } from "../techniques/library";

const input: PlanInput = { ...smallInput, targets: exampleInput.targets };
// enough that chance decides less than the wish does
const effort = { seed: 1, moves: 20_000 };
const wishing = (...own: WishKey[]): PlanInput => ({ ...input, wishes: own });
const plain = solve(input, effort)!.sessions;
const planned = new Map(wishKeys.map((key) => [key, solve(wishing(key), effort)!.sessions]));
const figuresOf = (key: WishKey) => planFigures(input, planned.get(key)!);
const before = planFigures(input, plain);

describe("wishes", () => {
  it("take what they are worth from all else: together it stays 100", () => {
    for (const own of [[], ["quiet"], wishKeys] as WishKey[][]) {
      const sum = coverageItems(wishing(...own)).reduce((total, { points }) => total + points, 0);
      expect(sum).toBeCloseTo(100, 9);
    }
    // a wish for a complaint that nobody named is worth nothing
    const { length } = coverageItems({ ...input, complaintRegion: null });
    expect(coverageItems({ ...input, complaintRegion: null, wishes: ["local"] })).toHaveLength(length);
  });

  it.each(wishKeys)("%s is followed lawfully, and what it costs is seen", (key) => {
    const own = wishing(key);
    const sessions = planned.get(key)!;
    expect(violations(own, sessions)).toEqual([]);
    // by what is wished it is about as good as any, and by targets no better than a plan without (a search finds neither best)
    expect(scoreOf(own, sessions)).toBeGreaterThan(scoreOf(own, plain) - 1.5);
    expect(pointsAside(input, sessions)).toBeLessThan(pointsAside(input, plain) + 1);
  });

  it("give fewer positions, longer endings, sides alike and more at the complaint", () => {
    const positions = (sessions: typeof plain) =>
      sessions.reduce((sum, session) => sum + positionsUsed(session).length, 0);
    expect(positions(planned.get("turns")!)).toBeLessThanOrEqual(positions(plain));
    expect(figuresOf("quiet").quiet).toBeGreaterThan(before.quiet);
    expect(figuresOf("local").local!).toBeGreaterThan(before.local!);
    const uneven = ({ sides }: typeof before) => Math.abs(sides.L - sides.R);
    expect(uneven(before)).toBeGreaterThan(5);
    expect(uneven(figuresOf("even"))).toBeLessThan(1);
  });

  it("are counted by search, score and exact model alike, worked minutes among them", async () => {
    const highs = await loadHighs();
    for (const key of wishKeys) {
      const own: PlanInput = { ...wishing(key), done: planned.get(key)!.slice(0, 1) };
      const plan = solve(own, { seed: 2, moves: 1500 })!;
      // by the clock: a machine that does something else besides finds a weaker bound, never a wrong one
      const proof = prove(highs, own, { seconds: 3, seed: 1 });
      if (proof.kind !== "bound") throw new Error(proof.kind);
      expect(proof.bound).toBeGreaterThan(plan.score);
      expect(proof.bound).toBeLessThan(plan.score * 1.2);
    }
  });

  it("are left out of the points two plans are compared by", () => {
    expect(pointsAside(wishing(...wishKeys), plain)).toBeCloseTo(scoreOf(input, plain));
    expect(pointsAside({ ...input, order: 0.5 }, plain)).toBeCloseTo(scoreOf(input, plain));
    expect(plain.flatMap(({ steps }) => steps).some(({ technique }) => isQuiet(techniqueOf(technique)))).toBe(true);
  });
});
