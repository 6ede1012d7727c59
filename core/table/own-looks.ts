import { handError } from "../statistics/hand-errors";
import { leastPairs, pooledRatio, type Ratio } from "../statistics/pooled-ratio";
import { familyOf, type Check, type Way } from "./checks";

/** The standard error of one look at a check that counts until one's own is known: in grades, or in the check's unit. */
export const usualError = (check: Check, way: Way): number => (way === "hand" ? handError.grade : check.measure!.se);

/** Checks that are looked at alike, in one way: what is known of one's own error is known of all of them. */
export type LookKey = `${string}.${Way}`;
export const lookKey = (check: Check, way: Way): LookKey => `${familyOf(check)}.${way}`;

/**
 * What is known of a practitioner's looks, by family and way, each as a multiple of the usual error: from second rounds on
 * clients, and from drawings of lay figures.
 */
export type OwnLooks = Partial<Record<LookKey, { clients?: Ratio; drawings?: Ratio }>>;

/** What is known of everybody's looks in a practice, and whose hands press now. */
export type Looks = { by: Readonly<Record<string, OwnLooks>>; me?: string };

/** Standard error of one look, in grades or in the check's unit, and what it rests on. */
export type LookError = { se: number; basis: "usual" } | { se: number; basis: "clients" | "drawings"; pairs: number };

/**
 * The error of a look in those hands: pooled with the usual one from five second looks at clients on; else more than usual where
 * drawings say so (a body is no easier to judge than a drawing, so that they never make it less); else the usual one.
 */
export function lookError(check: Check, way: Way, own?: OwnLooks): LookError {
  const usual = usualError(check, way);
  const { clients, drawings } = own?.[lookKey(check, way)] ?? {};
  if (clients && clients.dof >= leastPairs) {
    const se = pooledRatio(clients) * usual;
    return { se: way === "hand" ? Math.max(se, handError.rounding) : se, basis: "clients", pairs: clients.dof };
  }
  const drawn = pooledRatio(drawings);
  return drawings && drawn > 1
    ? { se: drawn * usual, basis: "drawings", pairs: drawings.dof }
    : { se: usual, basis: "usual" };
}

/** "from your 12 second looks": what an error rests on. */
export const basisWords = (error: LookError): string =>
  error.basis === "usual"
    ? "common practice, until your own is known"
    : error.basis === "clients"
      ? `your own, from ${error.pairs} second looks`
      : `your own, from ${error.pairs} second looks at drawings`;
