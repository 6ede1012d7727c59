import { handError } from "../statistics/hand-errors";
import { falseDiscovery } from "../statistics/false-discovery";
import { type OwnHands } from "./own-hands";
import { leastPairs } from "../statistics/pooled-ratio";
import { differing, verdictOf, type Difference, type Verdict } from "../statistics/verdict";

/** Where the hands listen, in the order they go, before and after light-touch work. Common teaching. */
export const stations = [
  { key: "heels", name: "Heels" },
  { key: "feet", name: "Tops of the feet" },
  { key: "thighs", name: "Front of the thighs" },
  { key: "pelvis", name: "Front of the pelvis" },
  { key: "ribs", name: "Lower ribs" },
  { key: "shoulders", name: "Shoulders" },
  { key: "vault-sides", name: "Head: fingers over the sides" },
  { key: "vault-front-back", name: "Head: forehead and occiput" },
  { key: "vault-under", name: "Head: palms under" },
] as const;

export type StationKey = (typeof stations)[number]["key"];

/** What one hand feels: 0 flat … 3 free, and how far it moves, 0–3. */
export type HandFelt = { quality: 0 | 1 | 2 | 3; amplitude: 0 | 1 | 2 | 3 };

export type StationFelt = {
  L?: HandFelt;
  R?: HandFelt;
  symmetry?: "even" | "left leads" | "right leads";
  /** Cycles per minute from tapping, with its standard error. */
  rate?: { perMinute: number; se: number; cycles: number };
};

export type Listening = Partial<Record<StationKey, StationFelt>>;

/** How free a hand feels a station to be, 0–1: quality and amplitude together. */
export const freedom = (felt: HandFelt): number => (felt.quality + felt.amplitude) / 6;

/** Balance of a pair: (a − b) / (a + b), 0 when both are 0. Positive when the left is freer. */
export function balanceIndex(left: number, right: number): number {
  return left + right === 0 ? 0 : (left - right) / (left + right);
}

/** The station and side where motion is weakest: where to begin. Undefined when nothing was felt yet. */
export function weakest(listening: Listening): { station: StationKey; side: "L" | "R"; freedom: number } | undefined {
  let found: { station: StationKey; side: "L" | "R"; freedom: number } | undefined;
  for (const { key } of stations)
    for (const side of ["L", "R"] as const) {
      const felt = listening[key]?.[side];
      if (felt && (!found || freedom(felt) < found.freedom)) found = { station: key, side, freedom: freedom(felt) };
    }
  return found;
}

/** Mean freedom of all hands that were felt, 0–1; undefined when none was. */
export function overallFreedom(listening: Listening): number | undefined {
  const felt = stations.flatMap(({ key }) =>
    (["L", "R"] as const).map((side) => listening[key]?.[side]).filter((hand) => hand !== undefined),
  );
  return felt.length === 0 ? undefined : felt.reduce((sum, hand) => sum + freedom(hand), 0) / felt.length;
}

/** Standard error of one hand's freedom, 0–1: of two grades, each with its own (in steps). */
export const freedomSe = (gradeSe: number = handError.grade): number => Math.hypot(gradeSe, gradeSe) / 6;

/** One hand at one station at two moments. */
export type HeardAgain = Difference & {
  station: StationKey;
  name: string;
  side: "L" | "R";
  before: number;
  after: number;
  verdict: Verdict;
};

/** Every hand that was felt at both moments, judged together by the error of both; `gradeSe`: of one grade. */
export function compareListening(first: Listening, second: Listening, gradeSe: number = handError.grade): HeardAgain[] {
  const pairs = stations.flatMap(({ key, name }) =>
    (["L", "R"] as const).flatMap((side) => {
      const [was, is] = [first[key]?.[side], second[key]?.[side]];
      if (!was || !is) return [];
      const [before, after] = [freedom(was), freedom(is)];
      return [
        { station: key, name, side, before, after, ...differing(after - before, Math.SQRT2 * freedomSe(gradeSe)) },
      ];
    }),
  );
  const q = falseDiscovery(pairs.map(({ p }) => p));
  return pairs.map((pair, i) => ({ ...pair, verdict: verdictOf(pair.p, q[i]!) }));
}

/** All hands together: the mean difference of those felt twice, with its error; undefined below two. */
export function overallChange(
  compared: readonly HeardAgain[],
  gradeSe: number = handError.grade,
): (Difference & { verdict: Verdict }) | undefined {
  if (compared.length < 2) return undefined;
  const mean = compared.reduce((sum, { difference }) => sum + difference, 0) / compared.length;
  // two grades of one hand in one hour are not wholly its own: taken as if half of them were (assumed)
  const all = differing(mean, (Math.SQRT2 * freedomSe(gradeSe)) / Math.sqrt(compared.length / 2));
  return { ...all, verdict: verdictOf(all.p, all.p) };
}

/**
 * The rate before against after, over the stations at which it was tapped both times: the mean difference in cycles a minute. Its
 * error is the larger of what tapping says and what the same hands differ by within minutes, once that is known (five pairs).
 */
export function rateChange(
  first: Listening,
  second: Listening,
  own?: OwnHands,
): (Difference & { verdict: Verdict; of: number; before: number; after: number }) | undefined {
  const pairs = stations.flatMap(({ key }) => {
    const [was, is] = [first[key]?.rate, second[key]?.rate];
    return was && is ? [[was, is] as const] : [];
  });
  if (pairs.length === 0) return undefined;
  const mean = (of: (pair: (typeof pairs)[number]) => number) =>
    pairs.reduce((sum, pair) => sum + of(pair), 0) / pairs.length;
  const tapped = Math.sqrt(mean(([was, is]) => was.se ** 2 + is.se ** 2));
  const hands = own?.rate && own.rate.dof >= leastPairs ? Math.SQRT2 * own.rate.sd : 0;
  const [before, after] = [mean(([was]) => was.perMinute), mean(([, is]) => is.perMinute)];
  const all = differing(after - before, Math.max(tapped, hands) / Math.sqrt(pairs.length));
  return { ...all, verdict: verdictOf(all.p, all.p), of: pairs.length, before, after };
}

/** Stations at which another side led the second time, of those at which it was said both times. */
export function leadsChanged(first: Listening, second: Listening): { other: number; of: number } {
  const both = stations.flatMap(({ key }) => {
    const [was, is] = [first[key]?.symmetry, second[key]?.symmetry];
    return was && is ? [was !== is] : [];
  });
  return { other: both.filter(Boolean).length, of: both.length };
}
