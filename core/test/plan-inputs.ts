import { structureOf } from "../anatomy/structures";
import type { Target } from "../reading/target";
import type { PlanInput } from "../series/plan";

const target = (
  id: string,
  name: string,
  structure: string,
  side: Target["side"],
  weight: number,
  wanted: number,
): Target => {
  const { region, layer } = structureOf(structure)!;
  return { id, name, structures: [structure], region, layer, side, weight, wanted, because: `${name}.` };
};

/** An invented client for tests and benchmarks: bent over a bench, right shoulder low, tired low back. */
export const exampleInput: PlanInput = {
  template: "ten-step",
  tableMinutes: 70,
  complaintRegion: "low-back",
  pressureCeiling: 6,
  cautions: [],
  days: [],
  thumbBudget: 40,
  locks: [],
  done: [],
  targets: [
    target("a", "Right upper trapezius", "upper-trapezius", "R", 3, 18),
    target("b", "Lumbar erectors", "lumbar-erectors", "both", 3, 30),
    target("c", "Right hip rotators", "hip-rotators", "R", 2, 15),
    target("d", "Right pectoralis minor", "pectoralis-minor", "R", 2, 12),
    target("e", "Hip flexors", "iliopsoas", "both", 2, 16),
    target("f", "Left calf", "calf", "L", 1, 10),
    target("g", "Hamstrings", "hamstrings", "both", 1.5, 20),
    target("h", "Suboccipitals", "suboccipitals", "both", 2, 16),
  ],
};

/** The same client with three sessions: small enough to be solved to the end. */
export const smallInput: PlanInput = {
  ...exampleInput,
  template: "three-step",
  targets: exampleInput.targets.slice(0, 4),
};
