import fc from "fast-check";
import { deserialised, serialised } from "./serialised";

/** An answer as it comes out at the other end of a line. */
const sent = <T extends object>(answer: T): T => structuredClone(answer);

const plain = fc.jsonValue({ maxDepth: 4 });
const odd = fc.constantFrom<unknown>(new Date(0), NaN, Infinity, -0, new Map([["a", 1]]), new Set([1]), 1n, [
  undefined,
]);

describe("an answer", () => {
  it("is deserialised as it was said, whatever it holds", () => {
    const holding = fc.oneof(plain, fc.record({ a: plain, b: fc.oneof(plain, odd) }), fc.array(fc.oneof(plain, odd)));
    fc.assert(fc.property(holding, (value) => expect(deserialised(sent(serialised(value)))).toEqual(value)));
  });

  it("goes as one text, where a text carries it", () => {
    expect(Object.keys(serialised({ a: [1, "b", null, { c: true }] }))).toEqual(["told"]);
    expect(serialised({ a: 1, left: undefined })).toEqual({ told: '{"a":1}' });
  });

  it("is the same however often it is asked, here as there", () => {
    const value = { a: 1 };
    const answer = serialised(value);
    expect(deserialised(answer)).toBe(value);
    const there = sent(answer);
    expect(deserialised(there)).toBe(deserialised(there));
  });
});
