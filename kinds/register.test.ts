import { existsSync } from "node:fs";
import { join } from "node:path";
import { grants } from "../data/migrations/grants";
import { handError } from "../core/statistics/hand-errors";
import type { Restriction } from "../core/findings/restriction";
import type { Scar } from "../core/findings/scar";
import type { TriggerPoint } from "../core/findings/trigger-point";
import type { Taken } from "../core/move/ranges";
import { isNone } from "./kind";
import { differencesIn, exportIn, homes, kindKeys, kinds, momentsIn, noteIn, summaryIn, tables } from "./register";

const spot = (
  id: string,
  ...grades: [visit: number, moment: "before" | "after", grade: 0 | 1 | 2 | 3][]
): Restriction => ({
  id,
  region: "neck",
  structure: "upper-trapezius",
  side: "R",
  layer: "SM",
  quality: "band",
  bind: "",
  ease: "",
  grades: grades.map(([visit, moment, grade]) => ({ visit, moment, grade, tenderness: 0 })),
});
const before = { visit: 1, moment: "before" } as const;
const after = { visit: 1, moment: "after" } as const;

describe("the register of record kinds", () => {
  it("gives every kind its own screens, and a folder to those that lie there", () => {
    const paths = homes.map(({ path }) => path);
    expect(new Set(paths).size).toBe(paths.length);
    for (const { own, folder } of homes) if (own) expect(existsSync(join(__dirname, folder, "screen.tsx"))).toBe(true);
    // found by Ctrl+K: home care was once forgotten there
    expect(paths).toEqual(expect.arrayContaining(["sessions/home", "assess/navicular-drop", "assess/scars"]));
  });

  it("says why where a question does not apply", () => {
    for (const key of kindKeys)
      for (const answer of Object.values(kinds[key]))
        if (isNone(answer)) expect({ key, length: answer.none.length > 12 }).toEqual({ key, length: true });
  });

  it("hands out rights to the tables of every kind", () => {
    for (const [table, { rights }] of Object.entries(tables)) expect(grants[table]).toBe(rights);
  });
});

describe("what changed between two moments", () => {
  it("is judged among its own, by the error of both, and only where it was found at both", () => {
    const restriction = [
      spot("a", [1, "before", 3], [1, "after", 0]),
      spot("b", [1, "before", 2], [1, "after", 1]),
      spot("c", [1, "before", 2], [2, "before", 0]),
    ];
    const [found] = differencesIn({ restriction }, before, after);
    expect(found!.list.map(({ id, verdict }) => [id, verdict])).toEqual([
      ["a", "clear"],
      ["b", "cannot be told"],
    ]);
    expect(found!.list[0]!.se).toBeCloseTo(Math.SQRT2 * handError.grade);
    // within a visit first; between visits, of the one that stands at both
    expect(differencesIn({ restriction }, before, { visit: 2, moment: "before" })[0]!.list.map(({ id }) => id)).toEqual(
      ["c"],
    );
    expect(momentsIn({ restriction })).toHaveLength(6);
  });

  it("knows scars and trigger points, too", () => {
    const rose = (visit: number, moment: "before" | "after", slide: 0 | 3) => ({
      visit,
      moment,
      slides: Array<0 | 3>(8).fill(slide),
      lift: slide,
    });
    const scar: Scar[] = [
      {
        id: "s",
        places: ["lower-belly"],
        side: "R",
        line: null,
        lengthMm: 60,
        since: null,
        closed: true,
        words: "",
        roses: [rose(1, "before", 0), rose(1, "after", 3)],
      },
    ];
    const felt = (moment: "before" | "after", tenderness: number) => ({
      visit: 1,
      moment,
      tenderness,
      reproduced: null,
      held: null,
    });
    const triggerPoint: TriggerPoint[] = [
      {
        id: "p",
        structure: "upper-trapezius",
        side: "L",
        at: null,
        area: null,
        referral: [],
        felt: [felt("before", 6), felt("after", 5)],
      },
    ];
    const told = differencesIn({ scar, triggerPoint }, before, after);
    expect(told.map(({ name, list }) => [name, list[0]!.verdict])).toEqual([
      ["Trigger points", "cannot be told"],
      ["Scars", "clear"],
    ]);
    expect(told[1]!.list[0]).toMatchObject({ from: "0%", to: "100% of the full rose" });
  });
});

describe("a visit's note and sheet", () => {
  const taken = (moment: "before" | "after", value: number): Taken => ({
    moment,
    movement: "neck-rotation",
    side: "L",
    drive: "active",
    values: [value],
    endFeel: null,
    pain: null,
  });
  const range = [{ visit: 1, ranges: [taken("before", 55), taken("after", 71)], edges: [] }];

  it("has ranges, before and after", () => {
    const [line] = noteIn({ range }, 1);
    expect(line).toMatch(/^Ranges: .*left.* 55°, 71° after\.$/);
    expect(noteIn({ range }, 2)).toEqual([]);
  });

  it("has each kind's lines under its name, with where they lie on the body", () => {
    const restriction = [spot("a", [1, "before", 3], [1, "after", 1])];
    expect(summaryIn({ range, restriction }, 1).map(({ name, lines }) => [name, lines.length])).toEqual([
      ["Ranges", 2],
      ["Restrictions", 1],
    ]);
    expect(summaryIn({ restriction }, 1)[0]!.lines[0]).toMatchObject({
      what: "grade 3 → grade 1 after; band",
      lying: { structure: "upper-trapezius", side: "R" },
    });
  });

  it("leaves as plain rows", () => {
    const told = exportIn({ range, restriction: [spot("a", [1, "before", 3])] });
    expect(told.map(({ key, rows }) => [key, rows.length])).toEqual([
      ["range", 2],
      ["restriction", 1],
    ]);
    for (const { rows } of told)
      for (const row of rows)
        for (const value of Object.values(row)) expect(typeof value === "object" && value !== null).toBe(false);
  });
});
