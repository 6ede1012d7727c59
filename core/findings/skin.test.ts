import fc from "fast-check";
import { plusDays } from "../days";
import { isActive } from "../screening/outcome";
import { verdictOn } from "../screening/verdict";
import { catalogue } from "../techniques/catalogue";
import { asksRest, restsUntil, skinAfter, skinCautions, skinResponses, type SkinFound } from "./skin";
import { scarCautions, scarDays, scarWork } from "./scar";

const spots: SkinFound = {
  id: "s1",
  place: "blade",
  side: "L",
  response: "spots",
  after: "edge",
  visit: 3,
  on: "2026-03-02",
  gone: null,
};

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
        const [caution] = skinCautions({ ...spots, gone });
        for (let day = 0; day < Math.max(2, days); day++)
          expect(isActive(caution!, plusDays(spots.on, day))).toBe(true);
      }),
    );
  });

  it("takes its place out, on its side, and leaves what does not reach it", () => {
    const cautions = skinCautions(spots);
    expect(cautions).toMatchObject([{ kind: "exclude", scope: { places: ["blade"], side: "L" } }]);
    expect(cautions[0]!.reason).toMatch(/After an instrument at visit 3 it was small red spots: it rests until/);
    const there = catalogue.find((technique) =>
      technique.reach.some(({ places }) => (places as readonly string[]).includes("blade")),
    )!;
    const elsewhere = catalogue.find((technique) =>
      technique.reach.every(({ places }) => (places as readonly string[]).every((place) => place === "sole")),
    )!;
    expect(verdictOn(there, cautions)).not.toEqual(verdictOn(there, []));
    expect(verdictOn(elsewhere, cautions)).toEqual(verdictOn(elsewhere, []));
    expect(skinCautions({ ...spots, response: "pink", after: "hands" })).toEqual([]);
  });
});

describe("a recorded scar", () => {
  const scar = { id: "c1", places: ["lower-belly"] as const, side: "R" as const, closed: true };
  const actsOn = (since: string | null, closed: boolean, day: string) => {
    const acting = scarCautions({ ...scar, since, closed }).filter((caution) => isActive(caution, day));
    return acting.some(({ kind }) => kind === "exclude") ? "nothing" : acting.length > 0 ? "gentle" : "all";
  };
  it("makes the cautions its own screen speaks of, on every day", () => {
    fc.assert(
      fc.property(fc.nat(400), fc.boolean(), fc.boolean(), (age, closed, known) => {
        const day = "2026-03-02";
        const since = known ? plusDays(day, -age) : null;
        expect(actsOn(since, closed, day)).toBe(scarWork({ since, closed }, day).may);
      }),
    );
    expect(actsOn(plusDays("2026-03-02", -scarDays.rest), true, "2026-03-02")).toBe("gentle");
  });
  it("reaches what is near it, on its side", () => {
    const scope = scarCautions({ ...scar, since: null })[0]!.scope!;
    expect(scope.places).toEqual(expect.arrayContaining(["lower-belly", "groin"]));
    expect(scope.side).toBe("R");
  });
});
