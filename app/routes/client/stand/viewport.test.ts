import fc from "fast-check";
import { agreement } from "~core/statistics/agreement";
import { agreementPlot } from "~app/routes/practice/repeatability/agreement-layout";
import { validate } from "~app/validation";
import { measuredSchema } from "./measured-form";
import { heightOf, isWhole, panned, pinched, showing, wholePicture, zoomed, type Viewport } from "./viewport";

const size = { width: 600, height: 900 };
const place = fc.record({
  x: fc.double({ min: 0, max: 600, noNaN: true }),
  y: fc.double({ min: 0, max: 900, noNaN: true }),
});
const inside = (view: Viewport) => {
  expect(view.x).toBeGreaterThanOrEqual(-1e-9);
  expect(view.y).toBeGreaterThanOrEqual(-1e-9);
  expect(view.x + view.w).toBeLessThanOrEqual(600 + 1e-9);
  expect(view.y + heightOf(view, size)).toBeLessThanOrEqual(900 + 1e-9);
};

describe("the part of a picture that is shown", () => {
  it("stays inside the picture whatever is done to it", () => {
    const act = fc.oneof(
      fc.record({ factor: fc.double({ min: 0.2, max: 5, noNaN: true }), at: place }),
      fc.record({
        dx: fc.double({ min: -900, max: 900, noNaN: true }),
        dy: fc.double({ min: -900, max: 900, noNaN: true }),
      }),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 12 }), (acts) => {
        let view = wholePicture(size);
        for (const each of acts)
          view = "factor" in each ? zoomed(view, each.factor, each.at, size) : panned(view, each.dx, each.dy, size);
        inside(view);
        expect(view.w).toBeGreaterThanOrEqual(600 / 12 - 1e-9);
      }),
    );
  });

  it("keeps the place under the pointer where it is while magnifying", () => {
    const view = zoomed(wholePicture(size), 3, { x: 200, y: 300 }, size);
    expect((200 - view.x) / view.w).toBeCloseTo(200 / 600, 9);
    expect((300 - view.y) / heightOf(view, size)).toBeCloseTo(300 / 900, 9);
    expect(isWhole(view, size)).toBe(false);
    expect(isWhole(zoomed(view, 0.01, { x: 0, y: 0 }, size), size)).toBe(true);
  });

  it("keeps what two fingers took hold of under them", () => {
    const from = [
      { x: 250, y: 400 },
      { x: 350, y: 500 },
    ] as const;
    const to = [
      { x: 0.3, y: 0.35 },
      { x: 0.7, y: 0.35 + (0.4 * 600) / 900 },
    ] as const;
    const view = pinched([...from], [...to], size);
    for (const [i, { x, y }] of from.entries()) {
      expect((x - view.x) / view.w).toBeCloseTo(to[i]!.x, 6);
      expect((y - view.y) / heightOf(view, size)).toBeCloseTo(to[i]!.y, 6);
    }
    inside(pinched([from[0], from[0]], [to[0], to[0]], size));
  });

  it("follows the point that is asked for only when it is out of sight", () => {
    const view = zoomed(wholePicture(size), 4, { x: 300, y: 450 }, size);
    expect(showing(view, { x: 300, y: 450 }, size)).toBe(view);
    const moved = showing(view, { x: 560, y: 880 }, size);
    expect(moved.w).toBe(view.w);
    expect(moved.x + moved.w).toBeGreaterThanOrEqual(560);
    inside(moved);
  });
});

describe("an agreement plot", () => {
  it("keeps every point, the bias and both limits inside, zero in the middle", () => {
    const plot = agreementPlot(agreement([10, 12, 15, 11], [11, 11, 17, 12]), 400, 200);
    for (const { x, y } of plot.points) expect(x >= 0 && x <= 400 && y >= 0 && y <= 200).toBe(true);
    expect(plot.zero).toBe(100);
    expect(plot.high).toBeLessThan(plot.bias);
    expect(plot.low).toBeGreaterThan(plot.bias);
    expect(agreementPlot(agreement([5, 5], [5, 5]), 400, 200).points[0]!.y).toBe(100);
  });
});

describe("a measurement by hand, at the border", () => {
  const body = (change: object) => ({
    visitId: "5c1d0a3e-7f41-4c55-9a3c-0d1f6b0a8e01",
    moment: "before",
    readingId: "shoulder-level.front",
    method: "inclinometer",
    value: 3,
    ...change,
  });
  it.each([
    [{ method: "tape" }, "method", "Method: it does not take this metric."],
    [{ method: "guess" }, "method", "Method: “guess” is not known."],
    [{ readingId: "plumb-rms.front" }, "readingId", "Metric: “plumb-rms.front” is not measured here."],
    [{ value: 400 }, "value", "From -60 to 120°, got 400."],
    [{ method: "eye", value: 4 }, "value", "Whole grades from -3 to 3, got 4."],
    [{ method: "eye", value: 1.5 }, "value", "Whole grades from -3 to 3, got 1.5."],
    [{ readingId: "trunk-shift.front", method: "caliper", value: -900 }, "value", "From -400 to 400 mm, got -900."],
  ])("refuses %j", async (change, field, message) => {
    const { errors } = await validate(measuredSchema, body(change));
    expect((errors as Record<string, string>)[field]).toBe(message);
  });
  it("takes a value, a grade, or none", async () => {
    for (const change of [{}, { method: "eye", value: -2 }, { value: null }])
      expect((await validate(measuredSchema, body(change))).errors).toBeUndefined();
  });
});
