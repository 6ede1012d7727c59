import type { Target } from "../reading/target";
import type { PlanInput } from "../series/plan";

const target = (
  id: string,
  name: string,
  region: Target["region"],
  layer: Target["layer"],
  side: Target["side"],
  weight: number,
  wanted: number,
): Target => ({ id, name, region, layer, side, weight, wanted, because: `${name}.` });

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
    target("a", "Right upper trapezius", "neck", "SM", "R", 3, 18),
    target("b", "Lumbar erectors", "low-back", "SM", "both", 3, 30),
    target("c", "Right hip rotators", "pelvis", "DM", "R", 2, 15),
    target("d", "Right pectoralis minor", "chest", "DM", "R", 2, 12),
    target("e", "Hip flexors", "belly", "DM", "both", 2, 16),
    target("f", "Left calf", "leg", "SM", "L", 1, 10),
    target("g", "Hamstrings", "thigh", "SM", "both", 1.5, 20),
    target("h", "Suboccipitals", "neck", "DM", "both", 2, 16),
  ],
};

/** The same client with three sessions: small enough to be solved to the end. */
export const smallInput: PlanInput = {
  ...exampleInput,
  template: "three-step",
  targets: exampleInput.targets.slice(0, 4),
};
