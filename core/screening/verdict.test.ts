import fc from "fast-check";
import { places, type Place } from "../anatomy/places";
import { catalogue } from "../techniques/catalogue";
import { techniqueOf } from "../techniques/library";
import { safetyTags } from "../techniques/safety-tags";
import { hasTag, lightest, placesTouched, regionsTouched } from "../techniques/touches";
import { cautionsOn, entryOf, factsOf } from "../test/facts";
import { conditions } from "./conditions";
import { consequences } from "./consequence";
import type { HistoryEntry } from "./facts";
import type { Outcome } from "./outcome";
import { screen } from "./screen";
import { positionsLeft, reaches, timeLimits, verdictOn, type Verdict } from "./verdict";

const day = "2026-11-25";
/** Every condition as something recent on the left of its place, and once as long past. */
const entries: HistoryEntry[] = conditions.flatMap((condition) =>
  ["2026-11-10", "2010-01-01"].map((on, i) =>
    entryOf(condition.key, {
      id: `${condition.key} ${i}`,
      on,
      ...(condition.place === "ask" ? { region: "leg" as const, side: "L" as const } : {}),
    }),
  ),
);
const cautionsOf = (list: readonly HistoryEntry[]): Outcome[] => cautionsOn(day, { history: list });

/** Whether one verdict leaves nothing that another takes. */
function noLooser(tight: Verdict, loose: Verdict): boolean {
  if (tight.no !== undefined) return true;
  return (
    loose.no === undefined &&
    tight.cap <= loose.cap &&
    (!tight.sides.L || loose.sides.L) &&
    (!tight.sides.R || loose.sides.R) &&
    // no position named means any of the session's
    (loose.positions.length === 0 || tight.positions.every((position) => loose.positions.includes(position)))
  );
}

describe("the verdict on a technique", () => {
  it("gives for every condition and technique the strictest of its outcomes", () => {
    for (const entry of entries) {
      const cautions = cautionsOf([entry]);
      for (const technique of catalogue) {
        const all = verdictOn(technique, cautions);
        for (const caution of cautions) expect(noLooser(all, verdictOn(technique, [caution]))).toBe(true);
        if (cautions.length === 0)
          expect(all).toMatchObject({ no: undefined, cap: technique.pressure, capBy: undefined });
        // a cap is a cap: what stays in stays within it
        for (const caution of cautions)
          if (caution.pressure !== undefined && reaches(caution.scope, technique) && all.no === undefined)
            expect(all.cap).toBeLessThanOrEqual(caution.pressure);
        if (cautions.some((caution) => caution.kind === "refer")) expect(all.no).toBeDefined();
      }
    }
  });

  it("never allows more when something is added to the history", () => {
    fc.assert(
      fc.property(
        fc.subarray(entries, { maxLength: 6 }),
        fc.constantFrom(...entries),
        fc.constantFrom(...catalogue),
        (some, one, technique) => {
          const before = verdictOn(technique, cautionsOf(some));
          const after = verdictOn(technique, cautionsOf([...some, one]));
          expect(noLooser(after, before)).toBe(true);
        },
      ),
      { numRuns: 400 },
    );
  });

  const anywhere = fc.record({
    condition: fc.constantFrom(...conditions.filter((each) => each.place === "ask")),
    place: fc.constantFrom(...places),
    side: fc.constantFrom("L" as const, "R" as const, "both" as const, null),
  });
  const told = ({
    condition,
    place,
    side,
  }: {
    condition: { key: string };
    place: Place;
    side: HistoryEntry["side"];
  }) => {
    const of = { on: "2026-11-10", region: place.region, side };
    return { region: entryOf(condition.key, of), place: entryOf(condition.key, { ...of, places: [place.key] }) };
  };

  it("falls back to the region where no place was understood, which takes no less of it than any place in it", () => {
    fc.assert(
      fc.property(anywhere, fc.constantFrom(...catalogue), (each, technique) => {
        if (!regionsTouched(technique).includes(each.place.region)) return;
        const entry = told(each);
        const whole = verdictOn(technique, cautionsOf([entry.region]));
        expect(noLooser(whole, verdictOn(technique, cautionsOf([entry.place])))).toBe(true);
      }),
      { numRuns: 1500 },
    );
  });

  it("leaves nothing of the named place itself that the region's rule takes from it", () => {
    fc.assert(
      fc.property(anywhere, fc.constantFrom(...catalogue), (each, technique) => {
        const entry = told(each);
        const [whole, here] = [
          verdictOn(technique, cautionsOf([entry.region])),
          verdictOn(technique, cautionsOf([entry.place])),
        ];
        // levers are judged by the joints there, whatever the hands lie on
        const levers = cautionsOf([entry.region]).every(({ scope }) => scope?.joints);
        if (placesTouched(technique).includes(each.place.key) && !levers)
          expect(noLooser(here, { ...whole, cap: Math.max(whole.cap, here.cap) })).toBe(true);
      }),
      { numRuns: 1500 },
    );
  });

  it("does not depend on the order in which things were told", () => {
    fc.assert(
      fc.property(
        fc.subarray(entries, { minLength: 2, maxLength: 6 }),
        fc.constantFrom(...catalogue),
        (some, technique) => {
          const one = verdictOn(technique, cautionsOf(some));
          const other = verdictOn(technique, cautionsOf([...some].reverse()));
          expect(noLooser(one, other) && noLooser(other, one)).toBe(true);
        },
      ),
      { numRuns: 200 },
    );
  });

  it("says why: the condition and its reason", () => {
    expect(verdictOn(techniqueOf("rib-breath"), cautionsOf([entryOf("osteoporosis")])).no).toBe(
      "osteoporosis: thin bones can break under compression and leverage",
    );
    expect(verdictOn(techniqueOf("psoas-wait"), cautionsOf([entryOf("hernia")])).no).toMatch(
      /^abdominal hernia or mesh: /,
    );
  });

  it("takes only the side that is hurt", () => {
    const cautions = cautionsOf([entryOf("fracture", { on: "2026-11-01", region: "leg", side: "L" })]);
    const { no, sides, sideBy } = verdictOn(techniqueOf("side-leg-wring"), cautions);
    expect({ no, sides }).toEqual({ no: undefined, sides: { L: false, R: true } });
    expect(sideBy).toMatch(/fracture: lower legs, feet, left/);
    const both = cautionsOf([
      entryOf("fracture", { on: "2026-11-01", region: "leg", side: "L" }),
      entryOf("skin", { region: "leg", side: "R" }),
    ]);
    expect(verdictOn(techniqueOf("side-leg-wring"), both).no).toBeDefined();
  });

  it("leaves work out that cannot be done so lightly any more", () => {
    const light = cautionsOf([entryOf("cancer", { region: "arm", side: "R" })]);
    for (const technique of catalogue) {
      const { no, cap } = verdictOn(technique, light);
      if (no === undefined) expect(cap).toBeGreaterThanOrEqual(lightest(technique));
      if (lightest(technique) > 2) expect(no).toBeDefined();
    }
    expect(verdictOn(techniqueOf("lt-still-point"), light).no).toBeUndefined();
  });

  it("removes positions and media", () => {
    const flat = cautionsOf([entryOf("reflux")]);
    for (const technique of catalogue) {
      const { no, positions } = verdictOn(technique, flat);
      if (no === undefined) expect(positions).not.toContain("supine");
    }
    expect(positionsLeft(flat)).toEqual(["prone", "side", "seated"]);
    const clothed: Outcome = {
      key: "c",
      kind: "limit",
      title: "Stays clothed",
      reason: "No oil.",
      withoutMedia: ["oil", "wax"],
      origin: "preference",
    };
    for (const technique of catalogue)
      if (technique.medium === "oil" || technique.medium === "wax")
        expect(verdictOn(technique, [clothed]).no).toBe("stays clothed: no oil");
      else expect(verdictOn(technique, [clothed]).no).toBeUndefined();
  });

  it("keeps the shortest of several time limits", () => {
    expect(timeLimits(cautionsOf([entryOf("heart-failure"), entryOf("eye")]))).toEqual({ prone: 10, table: 45 });
    expect(timeLimits([])).toEqual({ prone: undefined, table: undefined });
  });
});

describe("the words for what changes", () => {
  it("says something for every caution that changes the work", () => {
    for (const outcome of screen(factsOf({ history: entries })))
      if (outcome.kind !== "inform") expect(consequences(outcome).join(" ")).toMatch(/\w.*\.$/);
  });

  it.each<[string, string[]]>([
    ["osteoporosis", ["Out: rib and chest compression, levers, neck traction and levers.", "Up to 3 of 10."]],
    ["reflux", ["Not supine."]],
    ["heart-failure", ["At most 15 min face down.", "At most 45 min at the table."]],
    ["nut-allergy", ["Use nut-free oil and wax."]],
    ["neuropathy", ["Up to 3 of 10 for lower legs, feet."]],
  ])("%s: %j", (key, expected) =>
    expect(cautionsOf([entryOf(key)]).flatMap((outcome) => consequences(outcome))).toEqual(expected),
  );
});

describe("the table of what techniques do", () => {
  it("names techniques of the catalogue only", () => {
    for (const [tag, keys] of Object.entries(safetyTags))
      for (const key of keys) expect({ tag, key: techniqueOf(key).key }).toEqual({ tag, key });
  });

  it("knows every cranial technique by its layer and every neck lever by its region", () => {
    for (const technique of catalogue) {
      if (hasTag(technique, "cranial")) expect(technique.layer).toBe("LT");
      if (hasTag(technique, "neck lever")) expect(regionsTouched(technique)).toContain("neck");
    }
  });

  it("reaches deep and hard work only where a scope says so", () => {
    const deep = { regions: ["leg" as const], fromDepth: 3 };
    expect(reaches(deep, techniqueOf("side-leg-wring"))).toBe(false);
    expect(reaches(deep, techniqueOf("deep-calf-sink"))).toBe(true);
    expect(reaches({ fromPressure: 6 }, techniqueOf("pin-turn"))).toBe(true);
    expect(reaches({ fromPressure: 7 }, techniqueOf("pin-turn"))).toBe(false);
    expect(reaches(undefined, techniqueOf("pin-turn"))).toBe(true);
  });
});
