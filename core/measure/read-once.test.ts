import fc from "fast-check";
import { standing } from "../test/standing";
import { readOnce, readPhoto } from "./read-photo";

describe("a picture that is read once", () => {
  it("says what it would say each time, whatever was read of the same marks before", () => {
    const { marks, setup } = standing("front");
    const own = [undefined, { sem: {}, placing: {} }, { sem: {}, placing: {} }] as never[];
    const setups = [setup, { ...setup, cameraDistance: 2500 }];
    const ask = fc.record({
      own: fc.constantFrom(...own),
      setup: fc.constantFrom(...setups),
      markedBy: fc.constantFrom(null, "a", "b"),
      view: fc.constantFrom("front" as const, "back" as const),
      again: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(ask, { minLength: 1, maxLength: 6 }), (asked) => {
        const same = { ...marks };
        for (const { own, again, ...photo } of asked) {
          const read = readOnce({ ...photo, marks: same }, own);
          expect(read).toEqual(readPhoto({ ...photo, marks: same }, own));
          if (again) expect(readOnce({ ...photo, marks: same }, own)).toBe(read);
        }
      }),
      { numRuns: 30 },
    );
  });
});
