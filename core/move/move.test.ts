import fc from "fast-check";
import { jointOf } from "../anatomy/joints";
import { placeOf } from "../anatomy/places";
import { seeded } from "../random";
import { readEdge } from "./edge-of-table";
import { movementOf, movements } from "./movements";
import {
  asymmetries,
  compareRanges,
  hardAndPainful,
  missing,
  rangeFault,
  rangeOf,
  rangesAfter,
  type RangeEvent,
  type Taken,
} from "./ranges";

const taken = (change: Partial<Taken> & Pick<Taken, "values">): Taken => ({
  moment: "before",
  movement: "neck-rotation",
  side: "L",
  drive: "active",
  endFeel: null,
  pain: null,
  ...change,
});

describe("the movements", () => {
  it("name joints and places that are there", () => {
    expect(new Set(movements.map(({ key }) => key)).size).toBe(movements.length);
    for (const { joints, places } of movements) {
      for (const key of joints) expect(jointOf(key).key).toBe(key);
      for (const key of places) expect(placeOf(key).key).toBe(key);
    }
  });
  // American Academy of Orthopaedic Surgeons handbook means; Macrae & Wright 1969 (both from memory)
  it.each([
    ["neck-rotation", 80],
    ["shoulder-flexion", 180],
    ["shoulder-abduction", 180],
    ["hip-inward", 45],
    ["hip-outward", 45],
    ["leg-raise", 80],
    ["ankle-dorsiflexion", 20],
    ["schober", 50],
  ])("%s has its published reference", (key, reference) => expect(movementOf(key).reference).toBe(reference));

  it("take what a body can do, on the sides it has", () => {
    const fault = (change: Partial<Taken>) => rangeFault(taken({ values: [70], ...change }));
    expect(fault({})).toBeUndefined();
    expect(fault({ values: [400] })).toMatch(/Neck, turning: from -40 to 220, got 400/);
    expect(fault({ side: null })).toMatch(/left or right/);
    expect(fault({ movement: "jaw-opening" })).toMatch(/none is taken/);
    expect(fault({ movement: "wing" })).toMatch(/“wing” is not measured here/);
    expect(fault({ pain: 11 })).toMatch(/from 0 to 10, got 11/);
    expect(fault({ values: Array<number>(11).fill(70) })).toMatch(/at most 10 repeats/);
    expect(fault({ endFeel: "springy" as never })).toMatch(/“springy”/);
  });
});

describe("a range", () => {
  it("is the mean of its repeats; few of them change its error little, and more make it smaller", () => {
    const one = rangeOf(taken({ values: [60] }));
    expect(one).toMatchObject({ value: 60, se: 3 });
    const three = rangeOf(taken({ values: [58, 60, 62] }));
    expect(three.value).toBe(60);
    // (20·9 + 8) / 22 / 3
    expect(three.se).toBeCloseTo(Math.sqrt(188 / 22 / 3), 12);
    expect(rangeOf(taken({ values: [40, 60, 80] })).se).toBeGreaterThan(three.se);
  });

  it("covers the truth as often as its 95 % band says, where hands err as the model has it", () => {
    const random = seeded(7);
    let within = 0;
    const times = 4000;
    for (let i = 0; i < times; i++) {
      const { value, se } = rangeOf(taken({ values: [0, 1, 2].map(() => 60 + 3 * random.normal()) }));
      if (Math.abs(value - 60) <= 1.96 * se) within += 1;
    }
    expect(within / times).toBeGreaterThan(0.935);
    expect(within / times).toBeLessThan(0.965);
  });

  it("stands as it was taken last; without values it is taken back", () => {
    const event = (body: Taken, i: number): RangeEvent => ({
      id: `${i}`,
      at: "2026-03-02T10:00:00Z",
      kind: "range",
      body,
    });
    const list = [
      taken({ values: [60] }),
      taken({ values: [65] }),
      taken({ side: "R", values: [70] }),
      taken({ side: "R", values: [] }),
    ];
    expect(rangesAfter(list.map(event))).toEqual([list[1]]);
  });

  it("is held against its other side and against an earlier visit by the errors of both", () => {
    const of = (side: "L" | "R", values: number[], change: Partial<Taken> = {}) =>
      rangeOf(taken({ side, values, ...change }));
    expect(asymmetries([of("L", [60, 61, 59]), of("R", [78, 77, 79])])).toMatchObject([
      { difference: -18, verdict: "clear" },
    ]);
    expect(asymmetries([of("L", [60]), of("R", [64])])[0]!.verdict).toBe("cannot be told");
    expect(asymmetries([of("L", [60]), of("R", [64], { drive: "passive" })])).toEqual([]);
    const [change] = compareRanges([of("L", [55, 56, 54])], [of("L", [70, 71, 72])]);
    expect(change).toMatchObject({ verdict: "clear", towards: true });
    // the floor comes nearer: less is more
    const floor = (value: number) => rangeOf(taken({ movement: "finger-floor", side: null, values: [value] }));
    expect(compareRanges([floor(300)], [floor(120)])[0]).toMatchObject({ towards: true, difference: -180 });
    expect(missing(floor(300))).toBe(200);
    expect(missing(of("L", [90]))).toBe(0);
  });

  it("that ends hard and hurts is known; one that only stretches is not", () => {
    const list = [
      taken({ values: [40], endFeel: "hard", pain: 3 }),
      taken({ values: [40], endFeel: "firm", pain: 3 }),
      taken({ values: [40], endFeel: "hard", pain: 0 }),
    ];
    expect(hardAndPainful(list)).toEqual([list[0]]);
  });
});

describe("the test at the edge of the table", () => {
  /**
   * A leg in one plane that hangs as low as its muscles let it. The hip flexor lets the thigh down to `iliopsoas` (degrees above
   * the table), rectus femoris lets hip extension and bent knee together come to `rectus`. Which of the two gives way is decided
   * by what weighs more there, thigh or lower leg.
   */
  type Leg = { iliopsoas: number; rectus: number; heavy: "thigh" | "lower leg" };
  const hanging = ({ iliopsoas, rectus, heavy }: Leg) => {
    if (heavy === "thigh") return { thigh: iliopsoas, knee: Math.min(90, rectus + iliopsoas), drift: 0 };
    const thigh = Math.max(iliopsoas, 90 - rectus);
    return { thigh, knee: Math.min(90, rectus + thigh), drift: 0 };
  };
  const leg = fc.record({
    iliopsoas: fc.integer({ min: -10, max: 40 }),
    rectus: fc.integer({ min: 40, max: 120 }),
    heavy: fc.constantFrom("thigh" as const, "lower leg" as const),
  });
  it("finds which part is short in a leg of a planar model, whichever part of it is heavier", () => {
    fc.assert(
      fc.property(leg, (one) => {
        const hang = hanging(one);
        // held straight, rectus femoris lets go of the thigh
        const { short, settle } = readEdge({ ...hang, thighStraight: Math.max(one.iliopsoas, -one.rectus) });
        expect(settle).toBeUndefined();
        expect(short["hip flexor"] ?? 0).toBe(one.iliopsoas > 5 ? one.iliopsoas : 0);
        const held = (hang.thigh - one.iliopsoas > 5 && hang.thigh > 5) || 80 - hang.knee > 5;
        expect(short["rectus femoris"] !== undefined).toBe(held);
        // from three angles alone nothing is claimed that the fourth takes back
        const three = readEdge(hang);
        if (!three.settle) expect(three.short).toEqual(short);
      }),
    );
  });
  it("reads the three parts, and says when holding the knee straight would tell", () => {
    expect(readEdge({ thigh: 0, knee: 85, drift: 5 })).toEqual({ short: {}, settle: undefined });
    expect(readEdge({ thigh: 15, knee: 85, drift: 5, thighStraight: 15 }).short).toEqual({ "hip flexor": 15 });
    expect(readEdge({ thigh: 15, knee: 85, drift: 5 })).toMatchObject({
      short: {},
      settle: expect.stringMatching(/knee straight/),
    });
    expect(readEdge({ thigh: 0, knee: 60, drift: 5 }).short).toEqual({ "rectus femoris": 20 });
    expect(readEdge({ thigh: 0, knee: 85, drift: 25 }).short).toEqual({ "outer band": 10 });
    expect(readEdge({ thigh: 15, knee: 60, drift: 5 }).settle).toMatch(/hold the knee straight/);
    expect(readEdge({ thigh: 15, knee: 60, drift: 5, thighStraight: 0 })).toEqual({
      short: { "rectus femoris": 35 },
      settle: undefined,
    });
    expect(readEdge({ thigh: 3, knee: 77, drift: 18 })).toEqual({ short: {}, settle: undefined });
  });
});
