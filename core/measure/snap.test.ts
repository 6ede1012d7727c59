import fc from "fast-check";
import { seeded } from "../random";
import { snapToLine, type Grey } from "./snap";

/** A wall with noise, and on it a strip from a to b, painted by `tone` (along, across −1…1). */
function wall(
  a: { x: number; y: number },
  b: { x: number; y: number },
  half: number,
  tone: (along: number, across: number) => number,
  noise = 2,
): Grey {
  const [width, height] = [160, 420];
  const random = seeded(3);
  const data = new Float32Array(width * height);
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  const along = { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      if (Math.abs(x - 80) > 50) sum = 4 * (205 - 0.06 * y);
      else
        for (const [sx, sy] of corners) {
          const [dx, dy] = [x + sx - a.x, y + sy - a.y];
          const t = dx * along.x + dy * along.y;
          const off = dy * along.x - dx * along.y;
          sum += t >= 0 && t <= length && Math.abs(off) <= half ? tone(t, off / half) : 205 - 0.06 * y;
        }
      data[y * width + x] = sum / 4 + noise * random.normal();
    }
  return { data, width, height, left: 0, top: 0 };
}
const corners = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.25, 0.75],
  [0.75, 0.75],
] as const;
const stick = (t: number, across: number) => (Math.floor(t / 35) % 2 === 0 ? 84 : 235) * (1 - 0.35 * across ** 2);

describe("snapping to a plumb line", () => {
  it("finds a thin dark line near where the hand put it (any slant, any slip up to the reach)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 100, noNaN: true }),
        fc.double({ min: 60, max: 100, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -5, max: 5, noNaN: true }),
        (x0, x1, slip0, slip1) => {
          const [a, b] = [
            { x: x0, y: 10 },
            { x: x1, y: 400 },
          ];
          const grey = wall(a, b, 0.8, () => 110);
          const found = snapToLine(grey, { x: x0 + slip0, y: 20 }, { x: x1 + slip1, y: 390 }, 7, false)!;
          const at = (y: number) => x0 + ((x1 - x0) * (y - 10)) / 390;
          // four thousand random cases: three went beyond half a pixel, none beyond 0.55
          expect(Math.abs(found.a.x - at(found.a.y))).toBeLessThan(0.75);
          expect(Math.abs(found.b.x - at(found.b.y))).toBeLessThan(0.75);
          // it is moved across the line, not along it
          expect(Math.abs(found.a.y - 20)).toBeLessThan(2);
        },
      ),
      { numRuns: 8 },
    );
  });

  it("leaves the ends alone where there is no line, and on a line too short to tell", () => {
    const bare = wall({ x: 80, y: 0 }, { x: 80, y: 1 }, 0, () => 0);
    expect(snapToLine(bare, { x: 80, y: 20 }, { x: 82, y: 390 }, 7, false)).toBeUndefined();
    expect(snapToLine(bare, { x: 80, y: 20 }, { x: 82, y: 30 }, 7, false)).toBeUndefined();
  });

  it("is not drawn to the edge of a body: a step is no line", () => {
    const edge = wall({ x: 110, y: -10 }, { x: 110, y: 500 }, 30, () => 120);
    expect(snapToLine(edge, { x: 80, y: 20 }, { x: 80, y: 390 }, 7, false)).toBeUndefined();
  });
});

describe("snapping to a striped stick", () => {
  it("finds its axis and both its ends, light and dark ones, within a pixel and a half", () => {
    const [a, b] = [
      { x: 78, y: 40 },
      { x: 84, y: 390 },
    ];
    const found = snapToLine(wall(a, b, 5.5, stick), { x: 81, y: 45 }, { x: 80, y: 386 }, 8, true)!;
    expect(Math.hypot(found.a.x - a.x, found.a.y - a.y)).toBeLessThan(1.5);
    expect(Math.hypot(found.b.x - b.x, found.b.y - b.y)).toBeLessThan(1.5);
    const other = snapToLine(
      wall(a, b, 5.5, (t, off) => stick(t + 35, off)),
      { x: 77, y: 36 },
      { x: 87, y: 394 },
      8,
      true,
    )!;
    expect(Math.hypot(other.a.x - a.x, other.a.y - a.y)).toBeLessThan(1.5);
  });

  it("works on a part of the picture just as well", () => {
    const [a, b] = [
      { x: 78, y: 40 },
      { x: 84, y: 390 },
    ];
    const whole = wall(a, b, 5.5, stick, 0);
    const part: Grey = { data: whole.data, width: whole.width, height: whole.height, left: 1000, top: 500 };
    const found = snapToLine(part, { x: 1081, y: 545 }, { x: 1080, y: 886 }, 8, true)!;
    expect(Math.hypot(found.a.x - 1000 - a.x, found.a.y - 500 - a.y)).toBeLessThan(1.5);
  });
});
