import fc from "fast-check";
import { placeOf } from "../anatomy/places";
import { answersAfter, faultOf, isAnswered, nextOpen, type Answer, type Pressed, type TableEvent } from "./answers";
import { checkOf, checks, lyings, segmentGroups } from "./checks";
import { couplings, readCoupling, type EvensIn } from "./coupled-motion";
import { readLegs } from "./leg-difference";
import { byLying, compareTable, isOff, latestOf, offBefore, openRetests, runOf, tableNote, wordsOf } from "./results";

const event = (body: Partial<Pressed> & Pick<Pressed, "check" | "value">, i = 0): TableEvent => ({
  id: `e${i}`,
  at: "2026-03-02T10:00:00Z",
  kind: "answer",
  body: { moment: "before", side: null, way: "hand", ...body },
});
const said = (...list: (Partial<Answer> & Pick<Answer, "check" | "value">)[]): Answer[] =>
  list.map((each) => ({ moment: "before", side: null, way: "hand", ...each }));
/** An answer that a check takes. */
const lawful = fc.constantFrom(...checks).chain((check) =>
  fc
    .record({
      moment: fc.constantFrom("before" as const, "after" as const),
      side: check.kind === "each" ? fc.constantFrom("L" as const, "R" as const) : fc.constant(null),
      way: fc.constantFrom("hand" as const, "measured" as const),
      value: fc.integer(
        check.measure && check.measure.limits[0] > 40
          ? { min: check.measure.limits[0], max: check.measure.limits[1] }
          : { min: -3, max: 40 },
      ),
    })
    .map((rest): Answer => ({ check: check.key, ...rest }))
    .filter((answer) => faultOf(answer) === undefined),
);

describe("the checks at the table", () => {
  it("name places that are there, and are made in the order in which nobody turns twice", () => {
    expect(checks.length).toBeGreaterThanOrEqual(30);
    expect(new Set(checks.map(({ key }) => key)).size).toBe(checks.length);
    for (const check of checks) for (const place of check.places) expect(placeOf(place).key).toBe(place);
    const order = checks.map(({ lying }) => lyings.indexOf(lying));
    expect(order).toEqual([...order].sort());
    expect(byLying(checks).map(({ lying }) => lying)).toEqual([...lyings]);
    expect(segmentGroups).toHaveLength(7);
  });

  it("take whole grades, measures within reason, and the sides they have", () => {
    const fault = (body: Partial<Pressed>) =>
      faultOf({ check: "hip-height", side: null, way: "hand", value: 1, ...body });
    expect(fault({})).toBeUndefined();
    expect(fault({ value: 4 })).toMatch(/Hip height: whole grades from -3 to 3, got 4/);
    expect(fault({ value: 1.5 })).toMatch(/whole grades/);
    expect(fault({ side: "L" })).toMatch(/Side of hip height: none is taken/);
    expect(fault({ check: "aura" })).toMatch(/“aura” is not made here/);
    expect(fault({ way: "measured", value: 200 })).toMatch(/from -80 to 80, got 200/);
    expect(fault({ check: "rock-sacrum" })).toMatch(/left or right/);
    expect(fault({ check: "rock-sacrum", side: "R", value: 3 })).toMatch(/from 0 to 2, got 3/);
    expect(fault({ check: "rock-sacrum", side: "R", way: "measured" })).toMatch(/felt, not measured/);
    expect(fault({ check: "breath-rate" })).toMatch(/it is measured/);
    expect(fault({ value: null })).toBeUndefined();
  });
});

describe("what was pressed", () => {
  it("stands as it was pressed last, whatever came before; what is taken back is gone", () => {
    expect(
      answersAfter([
        event({ check: "hip-height", value: 1 }),
        event({ check: "hip-height", value: -2 }),
        event({ check: "malleoli", value: 2 }),
        event({ check: "malleoli", value: null }),
      ]),
    ).toEqual(said({ check: "hip-height", value: -2 }));
    fc.assert(
      fc.property(fc.array(lawful, { maxLength: 30 }), (list) => {
        const events = list.map((body, i) => event(body, i));
        const answers = answersAfter(events);
        for (const answer of answers) expect(list).toContainEqual(answer);
        // sent twice it says the same
        expect(answersAfter([...events, ...events])).toEqual(answers);
      }),
    );
  });

  it("is answered with both sides where each has its own, and goes on at the first that is open", () => {
    const rock = checkOf("rock-sacrum");
    const one = said({ check: "rock-sacrum", side: "L", value: 2 });
    expect(isAnswered(rock, one, "before")).toBe(false);
    expect(isAnswered(rock, [...one, ...said({ check: "rock-sacrum", side: "R", value: 0 })], "before")).toBe(true);
    const list = [checkOf("hip-height"), rock];
    expect(nextOpen(list, said({ check: "hip-height", value: 0 }), "before", 0)).toBe(1);
    expect(nextOpen(list, one, "before", 1)).toBe(1);
    expect(nextOpen([list[0]!], said({ check: "hip-height", value: 0 }), "before", 0)).toBeUndefined();
  });

  it("is said in the client’s own sides, with its error where it was measured", () => {
    const words = (answers: Answer[]) => wordsOf(checkOf(answers[0]!.check), answers, "before");
    expect(words(said({ check: "hip-height", value: 2 }))).toBe("clearly left high");
    expect(words(said({ check: "hip-height", value: 0 }))).toBe("even");
    expect(words(said({ check: "malleoli", way: "measured", value: -12 }))).toBe("12 ±7.8 mm right short");
    expect(
      words(said({ check: "rock-sacrum", side: "R", value: 0 }, { check: "rock-sacrum", side: "L", value: 2 })),
    ).toBe("left stuck, right free");
    expect(words(said({ check: "breath-path", value: 1 }))).toBe("side ribs first");
  });

  it("is off beyond what is even or usual, by either side or between them", () => {
    const off = (...list: Parameters<typeof said>) => {
      const answers = said(...list);
      return isOff(checkOf(answers[0]!.check), answers, "before");
    };
    expect(off({ check: "malleoli", way: "measured", value: 5 })).toBe(false);
    expect(off({ check: "malleoli", way: "measured", value: -6 })).toBe(true);
    expect(off({ check: "breath-path", value: 1 })).toBe(false);
    expect(off({ check: "breath-path", value: 2 })).toBe(true);
    const blades = (left: number, right: number) =>
      off(
        { check: "blade-rest", side: "L", way: "measured", value: left },
        { check: "blade-rest", side: "R", way: "measured", value: right },
      );
    // Kibler (Am J Sports Med 26, 1998, 325–337; from memory): more than 15 mm between the sides is positive
    expect(blades(60, 45)).toBe(false);
    expect(blades(62, 46)).toBe(true);
    expect(blades(80, 78)).toBe(true);
  });
});

describe("the retest", () => {
  const answers = [
    ...said(
      { check: "hip-height", value: 2 },
      { check: "high-t-mid", value: -1 },
      { check: "shoulder-height", value: 0 },
    ),
    ...said({ check: "hip-height", moment: "after", value: 0 }),
  ];
  it("asks only for what was off, and says what was not looked at again", () => {
    expect(offBefore(answers).map(({ key }) => key)).toEqual(["hip-height", "high-t-mid"]);
    expect(openRetests(answers).map(({ key }) => key)).toEqual(["high-t-mid"]);
  });
  it("judges both moments by their error: two steps are clear, one cannot be told", () => {
    const [compared] = compareTable({ answers, moment: "before" }, { answers, moment: "after" });
    expect(compared).toMatchObject({ verdict: "clear", towards: true });
    const small = [
      ...said({ check: "hip-height", value: 1 }),
      ...said({ check: "hip-height", moment: "after", value: 0 }),
    ];
    expect(compareTable({ answers: small, moment: "before" }, { answers: small, moment: "after" })[0]!.verdict).toBe(
      "cannot be told",
    );
    // what was measured is not compared with what was seen
    const mixed = [
      ...said({ check: "hip-height", value: 2 }),
      ...said({ check: "hip-height", moment: "after", way: "measured", value: 0 }),
    ];
    expect(compareTable({ answers: mixed, moment: "before" }, { answers: mixed, moment: "after" })).toEqual([]);
  });
});

describe("a leg difference", () => {
  const mm = (check: string, value: number, moment: "before" | "after" = "before"): Answer[] =>
    said({ check, value, way: "measured", moment });
  const tape = (left: number, right: number) =>
    said(
      { check: "leg-tape", side: "L", way: "measured", value: left },
      { check: "leg-tape", side: "R", way: "measured", value: right },
    );
  const conclusion = (...answers: Answer[][]) => readLegs(answers.flat())?.conclusion;

  it("of up to 5 mm is what most healthy people have (Knutson 2005, from memory)", () => {
    expect(readLegs([])).toBeUndefined();
    expect(readLegs(mm("malleoli", 5))).toMatchObject({
      conclusion: "even",
      because: ["5 ±8 mm: up to 5 mm is common in the healthy."],
    });
    expect(conclusion(said({ check: "malleoli", value: 0 }))).toBe("even");
  });

  it("that changes with the pelvis or by sitting up is functional, one that stays is suspected to be structural", () => {
    expect(conclusion(mm("malleoli", 15))).toBe("cannot be told");
    expect(readLegs(mm("malleoli", 15))!.next).toMatch(/sit up/);
    expect(conclusion(mm("malleoli", 15), mm("malleoli", 1, "after"))).toBe("functional");
    expect(conclusion(mm("malleoli", 15), mm("malleoli-sitting", -4))).toBe("functional");
    expect(conclusion(mm("malleoli", 20), mm("malleoli", 19, "after"), mm("malleoli-sitting", 21))).toBe(
      "suspected structural",
    );
    expect(conclusion(mm("malleoli", 25), mm("malleoli", 25, "after"), mm("malleoli-sitting", 0))).toBe("both");
    // a change within the error of both looks is none, and no proof of none either
    expect(conclusion(mm("malleoli", 10), mm("malleoli", 6, "after"))).toBe("cannot be told");
  });

  it("is held against the tape by the error of both", () => {
    expect(conclusion(mm("malleoli", 20), tape(880, 900))).toBe("suspected structural");
    expect(conclusion(mm("malleoli", 20), tape(900, 900))).toBe("functional");
    expect(conclusion(mm("malleoli", 20), tape(900, 880))).toBe("functional");
    expect(conclusion(mm("malleoli", 10), tape(895, 900))).toBe("cannot be told");
  });

  it("reads the same mirrored, and never claims bones from one look", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40, max: 40 }),
        fc.option(fc.integer({ min: -40, max: 40 }), { nil: undefined }),
        fc.option(fc.tuple(fc.integer({ min: 800, max: 900 }), fc.integer({ min: 800, max: 900 })), { nil: undefined }),
        (lying, sitting, legs) => {
          const read = (sign: 1 | -1) =>
            conclusion(
              mm("malleoli", sign * lying),
              sitting === undefined ? [] : mm("malleoli-sitting", sign * sitting),
              legs ? (sign === 1 ? tape(...legs) : tape(legs[1], legs[0])) : [],
            );
          expect(read(1)).toBe(read(-1));
          if (sitting === undefined && !legs) expect(["even", "cannot be told"]).toContain(read(1));
        },
      ),
    );
  });
});

describe("coupled motion", () => {
  // Fryette 1918 (from memory): neutral opposite, bent the same side. All sixteen cases: high side, hollow side, level where.
  type Case = [high: "L" | "R", short: "L" | "R", evens: EvensIn, type: string, held: RegExp, work: RegExp | undefined];
  const half: Case[] = [
    ["L", "R", "in none", "first", /neutral, bent to the right, turned to the left/, /Lengthen the right side/],
    [
      "L",
      "L",
      "bent forward",
      "second",
      /held bent forward, bent and turned to the left/,
      /bent back, bent and turned to the right/,
    ],
    [
      "L",
      "L",
      "bent back",
      "second",
      /held bent back, bent and turned to the left/,
      /bent forward, bent and turned to the right/,
    ],
    ["L", "L", "in none", "ambiguous", /level nowhere/, undefined],
    ["L", "L", "straight", "ambiguous", /level while straight/, undefined],
    ["L", "R", "straight", "ambiguous", /level while straight/, undefined],
    ["L", "R", "bent forward", "ambiguous", /comes level bent forward/, undefined],
    ["L", "R", "bent back", "ambiguous", /comes level bent back/, undefined],
  ];
  const flip = (side: "L" | "R") => (side === "L" ? "R" : "L");
  const turn = (text: RegExp) =>
    new RegExp(text.source.replace(/left|right/g, (side) => (side === "left" ? "right" : "left")));
  const cases = half.flatMap((one): Case[] => {
    const [high, short, evens, type, held, work] = one;
    return [one, [flip(high), flip(short), evens, type, turn(held), work && turn(work)]];
  });
  it("has all sixteen cases", () => {
    expect(new Set(cases.map(([high, short, evens]) => `${high} ${short} ${evens}`)).size).toBe(16);
  });
  it.each(cases)("high %s, hollow %s, level %s: %s", (high, short, evens, type, held, work) => {
    const reading = readCoupling(high, short, evens);
    expect(reading.type).toBe(type);
    expect(reading.held).toMatch(held);
    expect(reading.work ?? "").toMatch(work ?? /^$/);
    expect(reading.work === undefined).toBe(reading.settle !== undefined);
  });
  it("is asked where a strip stands high, and read from what was answered", () => {
    expect(runOf([]).some(({ follows }) => follows)).toBe(false);
    const answers = said({ check: "high-l-upper", value: 2 });
    const asked = runOf(answers).filter(({ follows }) => follows);
    expect(asked.map(({ key }) => key)).toEqual(["bend-l-upper", "evens-l-upper"]);
    expect(couplings(answers)).toEqual([]);
    const whole = [...answers, ...said({ check: "bend-l-upper", value: -1 }, { check: "evens-l-upper", value: 3 })];
    expect(couplings(whole)).toMatchObject([{ group: "upper lumbar", reading: { type: "first" } }]);
    // what tells how it is held is no finding of its own
    expect(offBefore(whole).map(({ key }) => key)).toEqual(["high-l-upper"]);
  });
});

describe("the note of the table", () => {
  it("says what was off, what the work made of it, and what was not looked at again", () => {
    expect(tableNote([])).toBe("");
    expect(tableNote(said({ check: "hip-height", value: 0 }))).toBe("");
    const before = said({ check: "hip-height", value: 2 }, { check: "high-t-mid", value: -1 });
    expect(tableNote(before)).toBe("Off and not looked at again: hip height, high side, middle thoracic.");
    const after = [...before, ...said({ check: "hip-height", moment: "after", value: 0 })];
    expect(tableNote(after)).toBe(
      [
        "At the table.",
        "Hip height: clearly left high, after even (clear, nearer to even).",
        "Off and not looked at again: high side, middle thoracic.",
      ].join("\n"),
    );
    const all = [...after, ...said({ check: "high-t-mid", moment: "after", value: -2 })];
    expect(tableNote(all)).toContain(
      "High side, middle thoracic: a little right high, after clearly right high (cannot be told).",
    );
    expect(tableNote(all)).not.toContain("not looked at again");
  });

  it("calls what went the other way what it is", () => {
    const answers = said({ check: "hip-height", value: 1 }, { check: "hip-height", moment: "after", value: 3 });
    expect(tableNote(answers)).toContain("a little left high, after strongly left high (clear, further from even)");
  });
});

describe("the latest of a check", () => {
  const hip = checkOf("hip-height");
  const visit = (n: number, ...answers: Answer[]) => ({ visit: n, answers });
  it("is the latest visit’s, after its work before before it; visits that did not ask are passed over", () => {
    const [first] = said({ check: "hip-height", value: 2 });
    const [again] = said({ check: "hip-height", value: 0, moment: "after" });
    const [other] = said({ check: "malleoli", value: 1 });
    expect(latestOf(hip, [])).toBeUndefined();
    expect(latestOf(hip, [visit(1, first!)])).toMatchObject({ moment: "before", at: { visit: 1 } });
    expect(latestOf(hip, [visit(1, first!, again!)])).toMatchObject({ moment: "after", at: { visit: 1 } });
    expect(latestOf(hip, [visit(1, first!, again!), visit(2, first!)])).toMatchObject({
      moment: "before",
      at: { visit: 2 },
    });
    expect(latestOf(hip, [visit(2, first!), visit(1, again!)])).toMatchObject({ at: { visit: 2 } });
    expect(latestOf(hip, [visit(1, first!), visit(2, other!)])).toMatchObject({ at: { visit: 1 } });
  });
});

describe("comparing two visits", () => {
  it("holds each figure against itself, whatever else was asked, and judges them together", () => {
    fc.assert(
      fc.property(fc.array(lawful, { maxLength: 25 }), fc.array(lawful, { maxLength: 25 }), (first, second) => {
        const [a, b] = [first, second].map((list) =>
          answersAfter(list.map((body, i) => event({ ...body, moment: "before" }, i))),
        );
        const compared = compareTable({ answers: a!, moment: "before" }, { answers: b!, moment: "before" });
        for (const { before, after } of compared) {
          expect([before.check.key, before.side, before.way]).toEqual([after.check.key, after.side, after.way]);
          expect(a).toContainEqual(expect.objectContaining({ check: before.check.key, value: before.value }));
          expect(b).toContainEqual(expect.objectContaining({ check: after.check.key, value: after.value }));
        }
        // turned round, nothing else is clear
        const back = compareTable({ answers: b!, moment: "before" }, { answers: a!, moment: "before" });
        expect(back.map(({ verdict }) => verdict)).toEqual(compared.map(({ verdict }) => verdict));
      }),
    );
  });
});
