import { handError } from "../statistics/hand-errors";
import type { BoneFelt } from "../light-touch/bones";
import { gradeError, handFamilies, type HandFamily, type OwnHands } from "../light-touch/own-hands";
import { stations, type Listening } from "../light-touch/stations";
import { mdc95 } from "../statistics/mdc";
import { same, weightedKappa, type Kappa } from "../statistics/weighted-kappa";
import { withinSubject } from "../statistics/within";

type Pair = readonly [first: number, second: number];
/** What the same hands felt twice before any work, the second time blind. */
export type FeltAgain = {
  grades: Record<HandFamily, Pair[]>;
  /** Cycles a minute. */
  rates: Pair[];
  /** 0 even, 1 left, 2 right. */
  leads: Pair[];
};

const leadWords = ["even", "left leads", "right leads"] as const;

/** Pairs of the two rounds of one visit: quality and amplitude of every hand, ends of every test, rates and leading sides. */
export function feltAgain(first: Listening, second: Listening, bones: readonly BoneFelt[]): FeltAgain {
  const felt: FeltAgain = { grades: { stations: [], bones: [] }, rates: [], leads: [] };
  for (const { key } of stations) {
    const [one, two] = [first[key], second[key]];
    for (const side of ["L", "R"] as const) {
      const [was, is] = [one?.[side], two?.[side]];
      if (was && is) felt.grades.stations.push([was.quality, is.quality], [was.amplitude, is.amplitude]);
    }
    if (one?.rate && two?.rate) felt.rates.push([one.rate.perMinute, two.rate.perMinute]);
    if (one?.symmetry && two?.symmetry)
      felt.leads.push([leadWords.indexOf(one.symmetry), leadWords.indexOf(two.symmetry)]);
  }
  for (const one of bones.filter(({ moment }) => moment === "before")) {
    const two = bones.find(
      (each) =>
        each.moment === "again" &&
        each.segment === one.segment &&
        each.test === one.test &&
        each.side === one.side &&
        each.by === one.by,
    );
    for (const end of [0, 1] as const) {
      const [was, is] = [one.range[end], two?.range[end]];
      if (was !== null && is !== null && is !== undefined) felt.grades.bones.push([was, is]);
    }
  }
  return felt;
}

/** How one kind of grades repeats in one's hands. */
export type HandRepeat = {
  family: HandFamily;
  name: string;
  pairs: number;
  equal: number;
  kappa?: Kappa;
  /** SEM of one grade in steps: one's own, the usual, what is used, and the smallest difference of two that counts. */
  error: { own: number; usual: number; used: number; mdc: number };
};

export type HandRounds = {
  repeats: HandRepeat[];
  own: OwnHands;
  rate?: { pairs: number; sd: number; mdc: number };
  leads?: { pairs: number; equal: number; kappa?: Kappa };
};

/** All that second rounds say of one practitioner's hands. */
export function handRounds(visits: readonly FeltAgain[]): HandRounds {
  const own: OwnHands = {};
  const all = Object.keys(handFamilies) as HandFamily[];
  const grades = all.map((family) => [family, visits.flatMap((visit) => visit.grades[family])] as const);
  for (const [family, pairs] of grades) {
    const { sd, dof } = withinSubject(pairs);
    if (dof > 0) own[family] = { ratio: sd / handError.grade, dof };
  }
  const rates = visits.flatMap((visit) => visit.rates);
  const leads = visits.flatMap((visit) => visit.leads);
  const spread = withinSubject(rates);
  const equal = leads.filter(([a, b]) => a === b).length;
  if (rates.length > 0) own.rate = spread;
  if (leads.length > 0) own.leads = { other: leads.length - equal, of: leads.length };
  const kappaOf = (pairs: readonly Pair[], steps: number, words = false) => {
    const kappa = weightedKappa(pairs, steps, ...(words ? [same] : []));
    return kappa ? { kappa } : {};
  };
  return {
    own,
    repeats: grades
      .filter(([, pairs]) => pairs.length > 0)
      .map(([family, pairs]): HandRepeat => {
        const used = gradeError(family, own).se;
        return {
          family,
          name: handFamilies[family],
          pairs: pairs.length,
          equal: pairs.filter(([a, b]) => a === b).length,
          ...kappaOf(pairs, 4),
          error: { own: withinSubject(pairs).sd, usual: handError.grade, used, mdc: mdc95(used) },
        };
      }),
    ...(rates.length > 0 && { rate: { pairs: rates.length, sd: spread.sd, mdc: mdc95(spread.sd) } }),
    ...(leads.length > 0 && { leads: { pairs: leads.length, equal, ...kappaOf(leads, 3, true) } }),
  };
}
