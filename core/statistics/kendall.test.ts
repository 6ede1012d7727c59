import fc from "fast-check";
import { kendallS, trendOf } from "./kendall";

/** Every order of 0 … n − 1. */
function orders(n: number): number[][] {
  if (n === 0) return [[]];
  return orders(n - 1).flatMap((order) =>
    Array.from({ length: n }, (_, at) => [...order.slice(0, at), n - 1, ...order.slice(at)]),
  );
}

describe("a trend over sessions", () => {
  it("has the tails of Kendall's table: n = 4, S = 6: 0.042; n = 5, S = 10: 0.0083; n = 6, S = 11: 0.028 (one tail, from memory)", () => {
    expect(trendOf([1, 2, 3, 4]).p / 2).toBeCloseTo(0.042, 3);
    expect(trendOf([5, 4, 3, 2, 1]).p / 2).toBeCloseTo(0.0083, 4);
    expect(kendallS([1, 2, 3, 4, 6, 5])).toBe(13);
    expect(trendOf([2, 1, 3, 4, 6, 5]).s).toBe(11);
    expect(trendOf([2, 1, 3, 4, 6, 5]).p / 2).toBeCloseTo(0.028, 3);
  });

  it("is the share of all orders that go as far, counted one by one", () => {
    const all = orders(5);
    for (const order of all) {
      const { s, p } = trendOf(order);
      const far = all.filter((other) => Math.abs(kendallS(other)) >= Math.abs(s)).length / all.length;
      expect(p).toBeCloseTo(s === 0 ? 1 : far, 10);
    }
  });

  it("goes the other way backwards, and says nothing of three", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 4, maxLength: 9 }), (values) => {
        const [there, back] = [trendOf(values), trendOf([...values].reverse())];
        expect(back.s).toBe(-there.s || 0);
        expect(back.p).toBeCloseTo(there.p, 10);
      }),
    );
    expect(trendOf([3, 2, 1]).p).toBeNaN();
  });
});
