import { randomUUID } from "node:crypto";
import fc from "fast-check";
import { draft, makeDatabase, type TestDatabase } from "../../data/test/database";
import { createClient } from "../../data/clients";
import type { Tx } from "../../data/database";
import { listVisits, planVisits } from "../../data/visits";
import { differencesIn, noteIn, summaryIn } from "../register";
import { dropOf, dropSe, farFrom, heights, usualUpTo, type Drop } from "./drop";
import { dropSchema } from "./form";
import { dropsOf, saveDrop } from "./store";
import { betweenFeet, figure, judged } from "./words";

const height = fc.integer({ min: heights.least, max: heights.most });
const drop = (visit: number, moment: "before" | "after", side: "L" | "R", sitting: number, standing: number): Drop => ({
  visit,
  moment,
  side,
  sitting,
  standing,
});

describe("how far an arch comes down", () => {
  it("is the height sitting less the height standing, whatever the foot", () => {
    fc.assert(
      fc.property(height, height, (sitting, standing) => {
        expect(dropOf({ sitting, standing }) + standing).toBe(sitting);
      }),
    );
  });

  it("is called more than usual only where its error leaves no doubt (10 and 15 mm: Brody 1982, from memory)", () => {
    expect([usualUpTo, farFrom]).toEqual([10, 15]);
    expect(judged({ sitting: 50, standing: 45 })).toMatch(/^as most do/);
    expect(judged({ sitting: 50, standing: 39 })).toMatch(/^too near 10 mm to tell/);
    expect(judged({ sitting: 50, standing: 36 })).toMatch(/^further down than most/);
    expect(judged({ sitting: 60, standing: 40 })).toMatch(/^far down/);
    expect(figure({ sitting: 50, standing: 38 })).toBe("12 ±3.9 mm");
    // the same hands repeat a drop to 1.7 to 2.6 mm (Picciano et al. 1993, from memory)
    expect(dropSe).toBeGreaterThanOrEqual(1.7);
    expect(dropSe).toBeLessThanOrEqual(2.6);
  });

  it("is held against the other foot, with the error of both", () => {
    const at = (standing: number) => ({ sitting: 50, standing });
    expect(betweenFeet(at(36), at(45))).toBe("Left comes down 9 ±5.5 mm further than right (clear).");
    expect(betweenFeet(at(45), at(42))).toBe("Right comes down 3 ±5.5 mm further than left (cannot be told).");
    expect(betweenFeet(at(40), at(40))).toBe("Both come down as far, ±5.5 mm.");
  });

  it("changed clearly by 8 mm and not by 3, and says so in note and sheet", () => {
    const navicularDrop = [
      drop(1, "before", "L", 50, 38),
      drop(1, "after", "L", 50, 46),
      drop(1, "before", "R", 50, 41),
      drop(1, "after", "R", 50, 44),
    ];
    const [found] = differencesIn({ navicularDrop }, { visit: 1, moment: "before" }, { visit: 1, moment: "after" });
    expect(found!.list.map(({ id, verdict }) => [id, verdict])).toEqual([
      ["L", "clear"],
      ["R", "cannot be told"],
    ]);
    expect(noteIn({ navicularDrop }, 1)).toEqual([
      "Navicular drop: left foot 12 ±3.9 mm → 4 ±3.9 mm after; right foot 9 ±3.9 mm → 6 ±3.9 mm after.",
    ]);
    expect(summaryIn({ navicularDrop }, 1)[0]!.lines).toHaveLength(2);
  });
});

describe("what is typed", () => {
  const sent = { visitId: randomUUID(), moment: "before", side: "L", sitting: 50, standing: 41, was: null };
  const faults = (change: object) => {
    try {
      dropSchema.validateSync({ ...sent, ...change }, { abortEarly: false });
      return [];
    } catch (error) {
      return (error as { errors: string[] }).errors;
    }
  };
  it("is refused by field, rule and value", () => {
    expect(faults({})).toEqual([]);
    expect(faults({ sitting: null, standing: null })).toEqual([]);
    expect(faults({ sitting: 7 })).toEqual(["Sitting: at least 10 mm, got 7."]);
    expect(faults({ standing: 101 })).toEqual(["Standing: at most 100 mm, got 101."]);
    expect(faults({ sitting: "high" })).toEqual(["Sitting: type millimetres, got “high”."]);
    expect(faults({ standing: null })).toEqual(["Standing: a drop needs both heights."]);
  });
});

describe("what is kept", () => {
  let db: TestDatabase;
  beforeAll(async () => {
    db = await makeDatabase();
  });
  afterAll(() => db.drop());
  const work = <T>(task: (tx: Tx) => Promise<T>) => db.within(db.practices[0], task);

  it("is one foot at one moment; what another tab kept meanwhile is not written over; emptied it is gone", async () => {
    const client = randomUUID();
    await work(async (tx) => {
      await createClient(tx, client, draft);
      await planVisits(tx, client, ["2026-01-05"]);
    });
    const [visit] = await work((tx) => listVisits(tx, client));
    const at = { moment: "before", side: "L" } as const;
    await work((tx) => saveDrop(tx, visit!.id, at, { sitting: 50, standing: 41 }, null));
    expect(await work((tx) => dropsOf(tx, client))).toEqual([drop(1, "before", "L", 50, 41)]);
    await expect(work((tx) => saveDrop(tx, visit!.id, at, { sitting: 52, standing: 41 }, null))).rejects.toThrow();
    await work((tx) => saveDrop(tx, visit!.id, at, { sitting: 52, standing: 41 }, { sitting: 50, standing: 41 }));
    // another practice sees nothing of it
    expect(await db.within(db.practices[1], (tx) => dropsOf(tx, client))).toEqual([]);
    // a visit at which something was recorded does not go when a series gets shorter
    await work((tx) => planVisits(tx, client, []));
    expect(await work((tx) => listVisits(tx, client))).toHaveLength(1);
    await work((tx) => saveDrop(tx, visit!.id, at, null, { sitting: 52, standing: 41 }));
    await work((tx) => planVisits(tx, client, []));
    expect(await work((tx) => listVisits(tx, client))).toEqual([]);
  });
});
