import { depthOf } from "~core/anatomy/layers";
import type { Technique } from "~core/techniques/technique";

export const layerWord = (technique: Pick<Technique, "layer">) =>
  technique.layer === "LT"
    ? "light touch"
    : ["surface fascia", "deep fascia", "outer muscle", "inner muscle", "joint"][depthOf(technique.layer) - 1]!;

/** "thumb 2, fingers 1": what it tires. */
export const loadWord = (technique: Pick<Technique, "load">) =>
  Object.entries(technique.load)
    .map(([part, load]) => `${part} ${load}`)
    .join(", ");
