import fc from "fast-check";
import { techniqueOf } from "../techniques/library";
import { arcAfter, arcFault, isDone, nextHold, workedSteps, type ArcEvent } from "./arc";
import { arcSteps, forms, holdOf, holds, minutesOf, partsOfForm, phaseWords, stepsOf } from "./arc-steps";

const press = (second: number, body: ArcEvent["body"]): ArcEvent => ({
  id: `${second}`,
  at: new Date(Date.UTC(2026, 2, 2, 10, 0, second)).toISOString(),
  kind: "arc",
  body,
});

describe("the arc", () => {
  it("has ten steps, each hold with its hands, amount, phases and a technique whose cautions hold for it", () => {
    expect(arcSteps).toHaveLength(10);
    expect(new Set(holds.map(({ key }) => key)).size).toBe(holds.length);
    for (const { technique, phases, grams } of holds) {
      expect(techniqueOf(technique).layer).toBe("LT");
      expect(phases[0]).toBe("melt in");
      expect(phases.at(-1)).toBe("melt out");
      for (const phase of phases) expect(phaseWords[phase]).toBeDefined();
      expect(grams[0]).toBeLessThanOrEqual(grams[1]);
    }
    // five grams are 0.049 N (a coin of 5.000 g, United States Mint; 9.80665 m/s²)
    expect((5 / 1000) * 9.80665).toBeCloseTo(0.049, 3);
  });

  it("keeps its order in every form, and never drops listening again", () => {
    const order = arcSteps.map(({ key }) => key);
    for (const form of forms) {
      const steps = stepsOf(form);
      expect(steps[0]!.listens).toBe("first");
      expect(steps.at(-1)!.listens).toBe("again");
      const places = steps.map(({ key }) => order.indexOf(key));
      expect(places).toEqual([...places].sort((a, b) => a - b));
    }
  });

  it.each([2, 3])("is whole over %i visits, no hold twice but the still point", (n) => {
    const own = Array.from({ length: n }, (_, i) => stepsOf(`${i + 1} of ${n}` as (typeof forms)[number]))
      .flat()
      .flatMap((step) => step.holds.map(({ key }) => key))
      .filter((key) => key !== "still-occiput");
    expect(own).toEqual(holds.map(({ key }) => key).filter((key) => key !== "still-occiput"));
  });

  it("lasts as the brief has it: the short form 15–25 min, the whole 50–75 in its middle", () => {
    const [low, high] = minutesOf("short");
    expect(low).toBeLessThanOrEqual(25);
    expect(high).toBeGreaterThanOrEqual(15);
    const [least, most] = minutesOf("long");
    expect((least + most) / 2).toBeGreaterThan(50);
    expect(least).toBeLessThan(75);
  });

  it("is its techniques in their order, listening at both ends, as long as their holds take together", () => {
    expect(partsOfForm("1 of 3").map(({ technique }) => technique)).toEqual([
      "lt-listen",
      "lt-sheets",
      "lt-skull-base",
      "lt-occiput-still",
      "lt-listen-again",
    ]);
    const sheets = partsOfForm("long").find(({ technique }) => technique === "lt-sheets")!;
    expect(sheets.minutes).toEqual({ least: 4, most: 20 });
    for (const form of forms)
      for (const { technique, minutes } of partsOfForm(form)) {
        expect(techniqueOf(technique)).toMatchObject({ layer: "LT", sided: false });
        expect(minutes.least).toBeLessThanOrEqual(minutes.most);
      }
  });

  it("refuses what is none of it by field, rule and value", () => {
    expect(arcFault({ press: "phase", hold: "sheet-pelvis", phase: 3 })).toBeUndefined();
    expect(arcFault({ press: "phase", hold: "sheet-pelvis", phase: 4 })).toMatch(
      /Pelvic sheet|pelvic sheet: from 0 to 3, got 4/,
    );
    expect(arcFault({ press: "loop", hold: "knee" })).toMatch(/“knee” is not of the arc/);
    expect(arcFault({ press: "sign", hold: "jaw", sign: "pain" as never })).toMatch(/“pain” is not one of the words/);
    expect(arcFault({ press: "form", form: "4 of 3" as never })).toMatch(/“4 of 3” is none/);
  });
});

describe("an arc as it is run", () => {
  it("goes on by one press a phase, times each hold, and keeps signs and loops", () => {
    const log = [
      press(0, { press: "form", form: "1 of 3" }),
      press(10, { press: "phase", hold: "sheet-pelvis", phase: 0 }),
      press(30, { press: "phase", hold: "sheet-pelvis", phase: 1 }),
      press(90, { press: "sign", hold: "sheet-pelvis", sign: "warmth" }),
      press(95, { press: "loop", hold: "sheet-pelvis" }),
      press(130, { press: "phase", hold: "sheet-pelvis", phase: 2 }),
    ];
    const midway = arcAfter(log);
    expect(midway.form).toBe("1 of 3");
    expect(nextHold("1 of 3", midway.runs)!.hold.key).toBe("sheet-pelvis");
    const done = arcAfter([...log, press(150, { press: "phase", hold: "sheet-pelvis", phase: 3 })]);
    expect(done.runs.find(({ hold }) => hold.key === "sheet-pelvis")).toMatchObject({
      lasted: 140,
      signs: ["warmth"],
      loops: 1,
    });
    expect(nextHold("1 of 3", done.runs)!.hold.key).toBe("sheet-breath");
  });

  it("gives its minutes to the techniques that were held to their end, and to no others", () => {
    const held = (key: string, from: number, to: number) => [
      press(from, { press: "phase", hold: key, phase: 0 }),
      press(to, { press: "phase", hold: key, phase: holdOf(key)!.phases.length }),
    ];
    const { runs } = arcAfter([
      ...held("base-balance", 500, 683),
      ...held("sheet-breath", 200, 290),
      ...held("sheet-pelvis", 0, 150),
      press(700, { press: "phase", hold: "tube-rock", phase: 1 }),
      press(701, { press: "left out", hold: "sacrum-foot" }),
    ]);
    expect(workedSteps(runs)).toEqual([
      { technique: "lt-sheets", minutes: 4 },
      { technique: "lt-skull-base", minutes: 3.1 },
    ]);
  });

  it("leaves out and takes up again, and ends when everything of its form is done", () => {
    const left = holds.map(({ key }, i) => press(i, { press: "left out", hold: key }));
    expect(nextHold("long", arcAfter(left).runs)).toBeUndefined();
    const up = arcAfter([...left, press(99, { press: "taken up", hold: "jaw" })]);
    expect(nextHold("long", up.runs)!.hold.key).toBe("jaw");
    expect(nextHold("1 of 3", up.runs)).toBeUndefined();
  });

  it("is the same sent twice, and never goes back a phase", () => {
    const body = fc.record({
      hold: fc.constantFrom(...holds.map(({ key }) => key)),
      phase: fc.integer({ min: 0, max: 3 }),
    });
    fc.assert(
      fc.property(fc.array(body, { maxLength: 30 }), (list) => {
        const log = list.map(({ hold, phase }, i) =>
          press(i, { press: "phase", hold, phase: Math.min(phase, holdOf(hold)!.phases.length) }),
        );
        const once = arcAfter(log);
        expect(arcAfter([...log, ...log])).toEqual(once);
        for (const run of once.runs)
          expect(run.phase).toBe(
            log.reduce<number | undefined>(
              (most, { body: each }) =>
                each.press === "phase" && each.hold === run.hold.key ? Math.max(most ?? -1, each.phase) : most,
              undefined,
            ),
          );
        expect(once.runs.filter(isDone).every(({ lasted }) => lasted! >= 0)).toBe(true);
      }),
    );
  });
});
