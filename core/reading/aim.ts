import { sideWord } from "../words";
import { structureOf } from "../anatomy/structures";
import type { Side } from "../units";
import type { Target } from "./target";

/** What is usually worked for a finding: which structures, on the side it stands out at, the other one or both. */
export type Aim = { structures: readonly string[]; side: "out" | "other" | "both"; weight: number };
export const aim = (structures: string, weight: number, side: Aim["side"] = "out"): Aim => ({
  structures: structures.split(" "),
  side,
  weight,
});

/** What a finding has to seem off by, to be worked at: four chances in five, as for what is measured standing. */
export const leastSure = 0.8;

const other = (side: Side): Side => (side === "L" ? "R" : "L");

/** The target that an aim makes of a finding: `out` the side it stands out at, `sure` how probable it is, `size` 0.5–1.5. */
export function targetOfAim(
  { structures, side: which, weight }: Aim,
  found: { id: string; name: string; out: Side | "both"; sure: number; size: number; because: string },
): Target {
  const { out, sure } = found;
  const aimed = structures.map((key) => structureOf(key)!);
  // what lies in the mid-line has no sides
  const whole = which === "both" || out === "both" || aimed.every(({ midline }) => midline);
  const side = whole ? "both" : which === "out" ? out : other(out);
  const [{ region, layer }] = aimed as [(typeof aimed)[number]];
  return {
    id: `${found.id}-${structures[0]}-${side}`,
    name: `${found.name}: ${aimed.map(({ name }) => name.toLowerCase()).join(", ")}${side === "both" ? "" : `, ${sideWord[side]}`}`,
    structures,
    region,
    layer,
    side,
    weight: weight * sure * found.size,
    wanted: (side === "both" ? 12 : 7) * sure,
    because: found.because,
  };
}
