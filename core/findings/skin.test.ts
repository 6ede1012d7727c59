import fc from "fast-check";
import { spots } from "../test/skin";
import { plusDays } from "../days";
import { asksRest, restsUntil, skinAfter, skinResponses } from "./skin";

describe("what the skin did", () => {
  it("asks for rest where it is marked, and after an instrument where it is pink, too", () => {
    const rests = skinResponses.flatMap((response) =>
      skinAfter.filter((after) => asksRest({ response, after })).map((after) => `${response} ${after}`),
    );
    expect(rests).toEqual(["pink edge", "spots hands", "spots edge", "bruise hands", "bruise edge"]);
  });

  it("rests until it is seen gone, and never for less than 48 hours", () => {
    expect(restsUntil(spots)).toBeNull();
    expect(restsUntil({ ...spots, gone: "2026-03-02" })).toBe("2026-03-04");
    expect(restsUntil({ ...spots, gone: "2026-03-09" })).toBe("2026-03-09");
    expect(restsUntil({ ...spots, response: "pale" })).toBeUndefined();
    fc.assert(
      fc.property(fc.nat(60), (days) => {
        const gone = plusDays(spots.on, days);
        const until = restsUntil({ ...spots, gone })!;
        expect(until >= plusDays(spots.on, 2) && until >= gone).toBe(true);
      }),
    );
  });
});
