import fc from "fast-check";
import { structures } from "../anatomy/structures";
import { inWorkingOrder, lyingFor, lyings } from "./working-order";

const at = (structure: string, side: "L" | "R" | "both" = "L") => ({ structure, side });

describe("the order hands come to findings", () => {
  it("turns nobody twice: face up, on the side, face down", () => {
    expect(lyingFor(at("pectoralis-minor"))).toBe("face up");
    expect(lyingFor(at("lumbar-erectors"))).toBe("face down");
    expect(lyingFor(at("rectus-femoris"))).toBe("face up");
    expect(lyingFor({ places: ["lower-belly"], side: "R" })).toBe("face up");
    const order = inWorkingOrder([at("lumbar-erectors"), at("pectoralis-minor"), at("suboccipitals")]);
    expect(order.map(({ how }) => how)).toEqual(["face up", "face down"]);
  });

  it("goes from head to foot, from the surface down, left before right", () => {
    const [group] = inWorkingOrder([
      at("lumbar-erectors", "R"),
      at("skin-of-the-low-back", "L"),
      at("lumbar-erectors", "L"),
      at("suboccipitals", "R"),
    ]);
    expect(group!.list.map(({ structure, side }) => `${structure} ${side}`)).toEqual([
      "suboccipitals R",
      "skin-of-the-low-back L",
      "lumbar-erectors L",
      "lumbar-erectors R",
    ]);
  });

  it("leaves nothing out and puts nothing in (any findings)", () => {
    const finding = fc.record({
      structure: fc.constantFrom(...structures.map(({ key }) => key)),
      side: fc.constantFrom("L" as const, "R" as const, "both" as const),
    });
    fc.assert(
      fc.property(fc.array(finding, { maxLength: 20 }), (list) => {
        const groups = inWorkingOrder(list);
        expect(groups.flatMap((group) => group.list)).toHaveLength(list.length);
        for (const each of list) expect(groups.some((group) => group.list.includes(each))).toBe(true);
        const hows = groups.map(({ how }) => lyings.indexOf(how));
        expect([...hows].sort()).toEqual(hows);
      }),
      { numRuns: 40 },
    );
  });
});
