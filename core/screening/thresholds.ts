import type { Degrees } from "../units";

/** The nine signs of the Beighton score: four on each side, and one of the whole. */
export const beightonSigns = [
  { key: "finger", name: "Little finger bends back to 90° or more", sided: true },
  { key: "thumb", name: "Thumb reaches the forearm", sided: true },
  { key: "elbow", name: "Elbow goes 10° or more past straight", sided: true },
  { key: "knee", name: "Knee goes 10° or more past straight", sided: true },
  { key: "palms", name: "Palms flat on the floor, knees straight", sided: false },
] as const;

type Sign = (typeof beightonSigns)[number];
/** "finger L", "thumb R", "palms". */
export type SignKey = `${Extract<Sign, { sided: true }>["key"]} ${"L" | "R"}` | Extract<Sign, { sided: false }>["key"];

export const beightonKeys: readonly SignKey[] = beightonSigns.flatMap((sign): SignKey[] =>
  sign.sided ? [`${sign.key} L`, `${sign.key} R`] : [sign.key],
);

/** Points of 9. */
export const beightonScore = (found: ReadonlySet<SignKey>): number =>
  beightonKeys.filter((key) => found.has(key)).length;

/**
 * From how many of 9 points joints count as hypermobile: 5 in adults up to 50, 4 above, 6 before puberty (taken here as
 * under 14). 2017 international criteria, from memory.
 */
export const hypermobileFrom = (age: number | undefined): number =>
  age === undefined ? 5 : age > 50 ? 4 : age < 14 ? 6 : 5;

/**
 * What a trunk rotation by inclinometer in forward bend calls for: 5° is looked at again, from 7° a doctor sees it
 * (Bunnell, JBJS Am 66 (1984) 1381–7: refer at 5–7°; from memory).
 */
export function trunkRotation(angle: Degrees): "usual" | "look again" | "refer" {
  const turned = Math.abs(angle);
  return turned >= 7 ? "refer" : turned >= 5 ? "look again" : "usual";
}
