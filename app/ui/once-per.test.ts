import fc from "fast-check";
import { oncePer } from "./once-per";

it("works out once what follows from the same two things and the same name, and answers as if it did so each time", () => {
  const things = Array.from({ length: 3 }, (_, name) => ({ name }));
  const thing = fc.constantFrom(...things);
  fc.assert(
    fc.property(fc.array(fc.tuple(thing, thing, fc.nat({ max: 2 }))), (asked) => {
      let worked = 0;
      const once = oncePer((a: { name: number }, b: { name: number }, c: number) => {
        worked += 1;
        return { is: [a.name, b.name, c] };
      });
      for (const [a, b, c] of asked) expect(once(a, b, c).is).toEqual([a.name, b.name, c]);
      expect(worked).toBe(new Set(asked.map(([a, b, c]) => `${a.name} ${b.name} ${c}`)).size);
    }),
  );
});
