import fc from "fast-check";
import { seeded } from "../random";
import {
  loopsOf,
  measurePath,
  pathFault,
  positionsOf,
  readUnwinding,
  unwindingsAfter,
  type PathPoint,
  type UnwindEvent,
} from "./unwinding";

/** Points along corners at a hand's pace (ten a second, 12 units each), with a stay (seconds) at each corner. */
function walk(corners: readonly (readonly [number, number, stay?: number])[], tremble = 0): PathPoint[] {
  const random = seeded(4);
  const path: PathPoint[] = [];
  let at = 0;
  let [x, y] = [corners[0]![0], corners[0]![1]];
  for (const [cx, cy, stay = 0] of corners) {
    const steps = Math.max(1, Math.round(Math.hypot(cx - x, cy - y) / 12));
    for (let i = 1; i <= steps; i++) {
      at += 0.1;
      path.push([x + ((cx - x) * i) / steps, y + ((cy - y) * i) / steps, at]);
    }
    at += stay;
    path.push([cx, cy, at]);
    [x, y] = [cx, cy];
  }
  return path.map(([px, py, t]) => [px + tremble * random.normal(), py + tremble * random.normal(), t]);
}
const circle = (times: number, cx = 500, cy = 500, r = 150): [number, number][] =>
  Array.from({ length: 24 * times + 1 }, (_, i) => [
    cx + r * Math.cos((2 * Math.PI * i) / 24),
    cy + r * Math.sin((2 * Math.PI * i) / 24),
  ]);

describe("the path of an unwinding, on cases drawn by hand", () => {
  it("has no loop in a straight way, to and fro on it, or in half a turn", () => {
    expect(
      loopsOf(
        walk([
          [100, 100],
          [900, 100],
        ]),
      ),
    ).toBe(0);
    expect(
      loopsOf(
        walk([
          [100, 100],
          [900, 100],
          [100, 100],
          [900, 100],
          [100, 100],
        ]),
      ),
    ).toBe(0);
    expect(loopsOf(walk(circle(1).slice(0, 13)))).toBe(0);
    expect(loopsOf([])).toBe(0);
    expect(positionsOf([])).toEqual([]);
  });

  it.each([1, 2, 3, 6])("counts %i turns of a circle, however a finger trembles, and either way round", (times) => {
    expect(loopsOf(walk(circle(times)))).toBe(times);
    expect(loopsOf(walk(circle(times).reverse()))).toBe(times);
    expect(loopsOf(walk(circle(times), 2))).toBe(times);
  });

  it("counts the crossing of a figure of eight as one loop a lobe", () => {
    const eight = [...circle(1, 350, 500), ...circle(1, 650, 500).map(([x, y]): [number, number] => [1300 - x, y])];
    expect(loopsOf(walk(eight))).toBe(2);
  });

  it("finds the places in which it stayed, each once", () => {
    const path = walk([
      [100, 100, 3],
      [500, 500, 4],
      [900, 100, 0.5],
      [120, 110, 3],
      [500, 900, 2.5],
    ]);
    expect(positionsOf(path)).toHaveLength(3);
    expect(measurePath(path).positions).toBe(3);
  });

  it("is the same wherever in its box it is drawn", () => {
    fc.assert(
      fc.property(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 }), (dx, dy) => {
        const path = walk(circle(3));
        const moved = path.map(([x, y, at]): PathPoint => [x + dx, y + dy, at]);
        expect(loopsOf(moved)).toBe(3);
      }),
    );
  });

  it("is refused by field, rule and value", () => {
    expect(pathFault([])).toMatch(/from 1 to 600 points, got 0/);
    expect(
      pathFault([
        [0, 0, 0],
        [1200, 0, 1],
      ]),
    ).toMatch(/within a box of 1000 by 1000, got 1200, 0/);
    expect(
      pathFault([
        [0, 0, 2],
        [1, 0, 1],
      ]),
    ).toMatch(/seconds go up/);
    expect(
      pathFault([
        [0, 0, 0],
        [1, 0, 0],
      ]),
    ).toBeUndefined();
  });
});

describe("the log of an unwinding", () => {
  const event = (second: number, body: UnwindEvent["body"]): UnwindEvent => ({
    id: `${second}`,
    at: new Date(Date.UTC(2026, 2, 2, 10, 0, second)).toISOString(),
    kind: "unwind",
    body,
  });
  const path = walk(circle(2));
  const log = [
    event(0, { run: "a", press: "begun", part: "right arm" }),
    event(20, { run: "a", press: "path", points: path.slice(0, 50) }),
    event(90, { run: "a", press: "barrier" }),
    event(100, { run: "a", press: "path", points: path.slice(50) }),
    event(180, { run: "a", press: "still" }),
    event(200, { run: "a", press: "ended", by: "tissue", emotion: false }),
    event(210, { run: "a", press: "still" }),
    event(220, { run: "b", press: "still" }),
  ];

  it("puts pieces of a path together, times still points from the start, and takes nothing after its end", () => {
    const [run, ...others] = unwindingsAfter(log);
    expect(others).toEqual([]);
    expect(run).toMatchObject({ part: "right arm", stills: [180], barriers: 1, ended: { after: 200, by: "tissue" } });
    expect(readUnwinding(run!)).toMatchObject({ loops: 2, toStill: 180, lasted: 200 });
    // the last piece was still in the hand when it ended
    const late = [log[0]!, log[5]!, event(201, { run: "a", press: "path", points: [...path, [1, 1, 300]] })];
    expect(readUnwinding(unwindingsAfter(late)[0]!).loops).toBe(2);
    expect(unwindingsAfter(late)[0]!.path).toHaveLength(path.length);
  });
});
