import fc from "fast-check";
import { lawfulMarks, mark, marksOfView, startMarking, type Marking, type MarkingCommand } from "./marking";

const size = { width: 600, height: 900 };
const run = (commands: MarkingCommand[], start = startMarking("front", {})) =>
  commands.reduce((state: Marking, command) => mark(state, command, "front", size), start);

describe("marking", () => {
  it("asks for plumb and stick first, then from the ground up", () => {
    expect(marksOfView("left").slice(0, 5)).toEqual([
      "plumb.top",
      "plumb.foot",
      "stick.top",
      "stick.foot",
      "malleolus.L",
    ]);
    expect(startMarking("front", { "plumb.top": { x: 1, y: 1 } }).active).toBe("plumb.foot");
  });

  it("keeps marks inside the picture", () => {
    expect(run([{ kind: "place", at: { x: -5, y: 2000 } }]).marks["plumb.top"]).toEqual({ x: 0, y: 900 });
  });

  it("takes a drag back in one step", () => {
    const dragged = run([
      { kind: "place", at: { x: 10, y: 10 }, gesture: "a" },
      { kind: "place", at: { x: 20, y: 20 }, gesture: "a" },
      { kind: "place", at: { x: 30, y: 30 }, gesture: "a" },
    ]);
    expect(run([{ kind: "undo" }], dragged).marks).toEqual({});
    expect(run([{ kind: "undo" }, { kind: "redo" }], dragged).marks["plumb.top"]).toEqual({ x: 30, y: 30 });
  });

  it("takes several guesses at once as one step, and no more than were guessed", () => {
    const proposal = { "toe.L": { x: 100, y: 800 }, "toe.R": { x: 90, y: 5000 }, "patella.L": { x: 100, y: 500 } };
    const taken = run([
      { kind: "propose", proposal },
      { kind: "accept", marks: ["toe.L", "toe.R", "ankle.L"] },
    ]);
    expect(taken.marks).toEqual({ "toe.L": { x: 100, y: 800 }, "toe.R": { x: 90, y: 900 } });
    expect(taken.active).toBe("plumb.top");
    expect(run([{ kind: "undo" }], taken).marks).toEqual({});
    const nothing = run([{ kind: "accept", marks: ["toe.L"] }]);
    expect(nothing.past).toEqual([]);
  });

  it("moves on to the next point that is missing", () => {
    expect(
      run([
        { kind: "place", at: { x: 1, y: 1 } },
        { kind: "advance", by: 1 },
      ]).active,
    ).toBe("plumb.foot");
  });

  it("undoes everything back to the start, and redoes it all (any commands)", () => {
    const command: fc.Arbitrary<MarkingCommand> = fc.oneof(
      fc.record({
        kind: fc.constant("place" as const),
        at: fc.record({ x: fc.integer({ min: 0, max: 600 }), y: fc.integer({ min: 0, max: 900 }) }),
      }),
      fc.record({
        kind: fc.constant("nudge" as const),
        dx: fc.integer({ min: -10, max: 10 }),
        dy: fc.integer({ min: -10, max: 10 }),
      }),
      fc.constant({ kind: "remove" as const }),
      fc.constant({ kind: "advance" as const, by: 1 as const }),
      fc.record({ kind: fc.constant("choose" as const), mark: fc.constantFrom(...marksOfView("front")) }),
    );
    fc.assert(
      fc.property(fc.array(command, { maxLength: 40 }), (commands) => {
        const end = run(commands);
        const undone = run(
          Array.from({ length: end.past.length }, () => ({ kind: "undo" as const })),
          end,
        );
        expect(undone.marks).toEqual({});
        const redone = run(
          Array.from({ length: undone.future.length }, () => ({ kind: "redo" as const })),
          undone,
        );
        expect(redone.marks).toEqual(end.marks);
      }),
    );
  });

  it("refuses marks that are unknown, of another view, or outside the picture", () => {
    expect(lawfulMarks("front", size, { "acromion.L": { x: 5, y: 5 } })).toEqual({
      "acromion.L": { x: 5, y: 5 },
    });
    expect(lawfulMarks("front", size, { c7: { x: 5, y: 5 } })).toBeUndefined();
    expect(lawfulMarks("front", size, { "acromion.L": { x: 601, y: 5 } })).toBeUndefined();
    expect(lawfulMarks("front", size, { "acromion.L": { x: NaN, y: 5 } })).toBeUndefined();
    expect(lawfulMarks("front", size, [])).toBeUndefined();
  });
});
