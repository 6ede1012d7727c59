import { jointOf } from "../anatomy/joints";
import { structureOf } from "../anatomy/structures";
import type { EdgeOfTable } from "../move/edge-of-table";
import { movements, movementOf } from "../move/movements";
import type { Taken } from "../move/ranges";
import { targetsOfMoved } from "./range-targets";
import { targetsFrom } from "./targets";

const range = (movement: string, side: Taken["side"], value: number, rest: Partial<Taken> = {}): Taken => ({
  moment: "before",
  movement,
  side,
  drive: "passive",
  values: [value, value, value],
  endFeel: "firm",
  pain: 0,
  ...rest,
});
const lead = (...ranges: Taken[]) =>
  targetsOfMoved([{ visit: 3, ranges, edges: [] }]).map(({ structures, side }) => `${structures!.join(" ")} ${side}`);

describe("targets from ranges", () => {
  // actions of muscles as in the handbooks (Kendall, Muscles; from memory): what turns away from a side holds turning to it back
  it.each([
    ["neck-rotation", ["sternocleidomastoid L", "levator-scapulae R", "splenius R"]],
    ["neck-side-bend", ["scalenes R", "upper-trapezius R"]],
    ["trunk-side-bend", ["quadratus-lumborum R", "external-oblique R"]],
    ["shoulder-outward", ["subscapularis L", "pectoralis-major L"]],
    ["hip-inward", ["hip-rotators L"]],
    ["leg-raise", ["hamstrings L"]],
    ["ankle-lunge", ["soleus L"]],
  ])("%s, short on the left", (movement, expected) => {
    expect(lead(range(movement, "L", 0.5 * movementOf(movement).reference))).toEqual(expected);
    const mirrored = expected.map((each) => each.replace(/[LR]$/, (side) => (side === "L" ? "R" : "L")));
    expect(lead(range(movement, "R", 0.5 * movementOf(movement).reference))).toEqual(mirrored);
  });

  it("name structures that are there, for every movement that is measured, and say their figure with its error", () => {
    for (const movement of movements) {
      const value = movement.lessIsMore ? movement.limits[1] : Math.max(movement.limits[0], 0);
      const targets = targetsOfMoved([
        { visit: 3, ranges: [range(movement.key, movement.sided ? "L" : null, value)], edges: [] },
      ]);
      expect(targets.length).toBeGreaterThan(0);
      for (const { structures, because } of targets) {
        for (const key of structures!) expect(structureOf(key)).toBeDefined();
        expect(because).toMatch(/±.+ short of .+ before visit 3/);
      }
      for (const joint of movement.joints) expect(jointOf(joint)).toBeDefined();
    }
  });

  it("ask for nothing where it ended hard or hurt, or where it is not sure that it is short", () => {
    expect(lead(range("leg-raise", "L", 40, { endFeel: "hard" }))).toEqual([]);
    expect(lead(range("leg-raise", "L", 40, { pain: 3 }))).toEqual([]);
    expect(lead(range("leg-raise", "L", 67.5))).toEqual([]);
  });

  it("take the hip at the edge of the table apart", () => {
    const edge = (angles: EdgeOfTable) =>
      targetsOfMoved([{ visit: 1, ranges: [], edges: [{ moment: "before", side: "R", angles }] }]).map(
        ({ structures, side }) => `${structures!.join(" ")} ${side}`,
      );
    expect(edge({ thigh: 20, knee: 90, drift: 0, thighStraight: 20 })).toEqual(["iliopsoas R"]);
    expect(edge({ thigh: 20, knee: 50, drift: 0, thighStraight: 0 })).toEqual(["rectus-femoris R"]);
    expect(edge({ thigh: 0, knee: 90, drift: 30 })).toEqual(["tensor-fasciae-latae R"]);
    expect(edge({ thigh: 0, knee: 90, drift: 0 })).toEqual([]);
  });

  it("stand among the others, once for one place and side", () => {
    const moved = [{ visit: 1, ranges: [range("leg-raise", "L", 40), range("knee-extension", "L", 30)], edges: [] }];
    const targets = targetsFrom([], [], [], moved);
    expect(targets.filter(({ structures }) => structures![0] === "hamstrings")).toHaveLength(1);
  });
});
