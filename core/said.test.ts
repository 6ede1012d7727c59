import fc from "fast-check";
import { seenOf, standing, type Said } from "./said";

/** A log as it comes about: each sees a beginning of what was there before it. */
const logs = fc
  .array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 12 })
  .map((shares) => shares.map((share, i): Said => ({ seq: i + 1, seen: Math.floor(share * (i + 1)) })));

describe("what stands of what was said", () => {
  it("is the last word where everybody had seen the one before", () => {
    const said = [1, 2, 3].map((seq) => ({ seq, seen: seq - 1, what: `${seq}` }));
    expect(standing(said).map(({ what }) => what)).toEqual(["3"]);
  });

  it("is both where the second had not seen the first, until a third has seen both", () => {
    const both = [
      { seq: 4, seen: 3 },
      { seq: 9, seen: 3 },
    ];
    expect(standing([{ seq: 3, seen: 0 }, ...both])).toEqual(both);
    expect(standing([...both, { seq: 12, seen: 9 }])).toEqual([{ seq: 12, seen: 9 }]);
    // who has seen only the first of them settles nothing
    expect(standing([...both, { seq: 12, seen: 4 }])).toEqual([both[1], { seq: 12, seen: 4 }]);
  });

  it("is never nothing, holds the last word, and takes away nothing that nobody had seen", () => {
    fc.assert(
      fc.property(logs, (said) => {
        const left = standing(said);
        if (said.length > 0) expect(left).toContain(said.at(-1));
        for (const each of said)
          expect(left.includes(each)).toBe(!said.some(({ seq, seen }) => seq > each.seq && seen >= each.seq));
      }),
    );
  });

  it("cannot be hidden by whoever says that they have seen what is still to come", () => {
    const said = [
      { seq: 1, seen: 1e15 },
      { seq: 2, seen: 0 },
    ];
    expect(standing(said)).toEqual(said);
  });

  it("is settled by one word of who sees all of it", () => {
    fc.assert(
      fc.property(logs, (said) => {
        const last = { seq: said.length + 1, seen: seenOf(said) };
        expect(standing([...said, last])).toEqual([last]);
      }),
    );
  });
});
