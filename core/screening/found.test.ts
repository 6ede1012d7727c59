import fc from "fast-check";
import { spots } from "../test/skin";
import { plusDays } from "../days";
import { scarDays, scarWork } from "../findings/scar";
import { catalogue } from "../techniques/catalogue";
import type { Taken } from "../move/ranges";
import { rangeCautions, scarCautions, skinCautions } from "./found";
import { isActive } from "./outcome";
import { verdictOn } from "./verdict";

describe("marked skin", () => {
  it("takes its place out, on its side, and leaves what does not reach it", () => {
    const cautions = skinCautions(spots);
    expect(cautions).toMatchObject([{ kind: "exclude", scope: { places: ["blade"], side: "L" } }]);
    expect(cautions[0]!.reason).toMatch(/After an instrument at visit 3 it was small red spots: it rests until/);
    const there = catalogue.find((technique) =>
      technique.reach.some(({ places }) => (places as readonly string[]).includes("blade")),
    )!;
    const elsewhere = catalogue.find((technique) =>
      technique.reach.every(({ places }) => (places as readonly string[]).every((place) => place === "sole")),
    )!;
    expect(verdictOn(there, cautions)).not.toEqual(verdictOn(there, []));
    expect(verdictOn(elsewhere, cautions)).toEqual(verdictOn(elsewhere, []));
    expect(skinCautions({ ...spots, response: "pink", after: "hands" })).toEqual([]);
  });

  it("acts every day until the mark is gone, two days at least", () => {
    fc.assert(
      fc.property(fc.nat(60), (days) => {
        const [caution] = skinCautions({ ...spots, gone: plusDays(spots.on, days) });
        for (let day = 0; day < Math.max(2, days); day++)
          expect(isActive(caution!, plusDays(spots.on, day))).toBe(true);
        expect(isActive(caution!, plusDays(spots.on, Math.max(2, days)))).toBe(false);
      }),
    );
  });
});

describe("a recorded scar", () => {
  const scar = { id: "c1", places: ["lower-belly"] as const, side: "R" as const, closed: true };
  const actsOn = (since: string | null, closed: boolean, day: string) => {
    const acting = scarCautions({ ...scar, since, closed }).filter((caution) => isActive(caution, day));
    return acting.some(({ kind }) => kind === "exclude") ? "nothing" : acting.length > 0 ? "gentle" : "all";
  };
  it("makes the cautions its own screen speaks of, on every day", () => {
    fc.assert(
      fc.property(fc.nat(400), fc.boolean(), fc.boolean(), (age, closed, known) => {
        const day = "2026-03-02";
        const since = known ? plusDays(day, -age) : null;
        expect(actsOn(since, closed, day)).toBe(scarWork({ since, closed }, day).may);
      }),
    );
    expect(actsOn(plusDays("2026-03-02", -scarDays.rest), true, "2026-03-02")).toBe("gentle");
  });
  it("reaches what is near it, on its side", () => {
    const scope = scarCautions({ ...scar, since: null })[0]!.scope!;
    expect(scope.places).toEqual(expect.arrayContaining(["lower-belly", "groin"]));
    expect(scope.side).toBe("R");
  });
});

describe("a range that ended hard and hurt", () => {
  const hip = (change: Partial<Taken> = {}): Taken => ({
    moment: "before",
    movement: "hip-inward",
    side: "R",
    drive: "passive",
    values: [20],
    endFeel: "hard",
    pain: 4,
    ...change,
  });
  const at = (on: string, ...ranges: Taken[]) => ({ on, ranges });
  it("takes levers and end-range stretch of its joint out, on its side, for six weeks at most", () => {
    const [caution] = rangeCautions([at("2026-03-02", hip())]);
    expect(caution).toMatchObject({
      kind: "exclude",
      scope: { joints: ["hip-joint"], tags: ["lever", "end range"], side: "R" },
      until: "2026-04-13",
    });
    expect(caution!.reason).toMatch(/^Hip, turned inward, right ended hard and hurt, 4 of 10/);
  });
  it("is over once the same range ends otherwise, and is none without pain or with a stretch", () => {
    expect(rangeCautions([at("2026-03-02", hip()), at("2026-03-12", hip({ endFeel: "firm", pain: 2 }))])).toEqual([]);
    expect(rangeCautions([at("2026-03-02", hip(), hip({ moment: "after", endFeel: "firm" }))])).toEqual([]);
    expect(rangeCautions([at("2026-03-02", hip({ pain: 0 }))])).toEqual([]);
    // not asked how it ended: what was told before stands
    expect(rangeCautions([at("2026-03-02", hip()), at("2026-03-12", hip({ endFeel: null, pain: null }))])).toHaveLength(
      1,
    );
  });
});
