import { handError } from "../statistics/hand-errors";
import { leastPairs, pooledRatio, type Ratio } from "../statistics/pooled-ratio";

/** What hands grade from 0 to 3 in light touch: how stations move, and how far bones go. */
export const handFamilies = { stations: "Stations", bones: "Bones" } as const;
export type HandFamily = keyof typeof handFamilies;

/** What second rounds, blind, say of a practitioner's hands, each as a multiple of the usual error. */
export type OwnHands = Partial<Record<HandFamily, Ratio>> & {
  /** How far two rates of one station lay apart within minutes: standard deviation of one, in cycles a minute. */
  rate?: { sd: number; dof: number };
  /** At how many stations of how many the leading side was another one the second time. */
  leads?: { other: number; of: number };
};

/** What is known of everybody's hands in a practice, by practitioner. */
export type HandsBy = Readonly<Record<string, OwnHands>>;

/** Standard error of one grade in those hands: pooled with the usual one from five pairs on, never finer than rounding. */
export function gradeError(family: HandFamily, own?: OwnHands): { se: number; pairs?: number } {
  const known = own?.[family];
  if (!known || known.dof < leastPairs) return { se: handError.grade };
  return { se: Math.max(handError.rounding, pooledRatio(known) * handError.grade), pairs: known.dof };
}

/** What an error of grades rests on, as a sentence. */
export function gradeErrorWords(family: HandFamily, own?: OwnHands): string {
  const { se, pairs } = gradeError(family, own);
  const size = `A grade is taken as good to ±${(1.96 * se).toFixed(1)}`;
  return pairs === undefined
    ? `${size} (common practice, until ${leastPairs} pairs of your own second rounds are there).`
    : `${size}, from ${pairs} pairs of your own second rounds and the usual error.`;
}
