import { arcSteps } from "../light-touch/arc-steps";
import { rateBand, type Rate } from "../light-touch/rhythm";
import { circular, rayleigh } from "../statistics/circular";
import { seeded, type Random } from "../random";

/** A made-up rhythm: cycles a minute, how far each hand is carried (1 the usual), and which side goes ahead by a share of a cycle. */
export type Rhythm = { perMinute: number; left: number; right: number; ahead: number };

/** A rhythm to be guessed, the same for the same seed: 5 to 13 a minute, one side ahead by an eighth of a cycle, or none. */
export function rhythmOf(seed: number): Rhythm {
  const random = seeded(seed);
  const side = Math.floor(3 * random.uniform()) - 1;
  return {
    perMinute: Math.round(10 * (5 + 8 * random.uniform())) / 10,
    left: 0.8 + 0.4 * random.uniform(),
    right: 0.8 + 0.4 * random.uniform(),
    ahead: side / 8,
  };
}

/** Where both hands are at a moment (seconds), −1 to 1 times their amplitude. */
export function handsAt({ perMinute, left, right, ahead }: Rhythm, seconds: number): { L: number; R: number } {
  const turn = (2 * Math.PI * perMinute * seconds) / 60;
  const shift = Math.PI * ahead;
  return { L: left * Math.sin(turn + shift), R: right * Math.sin(turn - shift) };
}

export const leaders = ["left leads", "even", "right leads"] as const;
export type Leader = (typeof leaders)[number];
export const leaderOf = ({ ahead }: Rhythm): Leader => (ahead > 0 ? "left leads" : ahead < 0 ? "right leads" : "even");

/**
 * How steadily a rhythm was tapped: the scatter of the taps within its cycle, in seconds, by circular statistics, and whether they
 * follow it at all (Rayleigh's test, p below 0.05). It does not matter when tapping began.
 */
export function steadiness(
  { perMinute }: Rhythm,
  taps: readonly number[],
): { scatter: number; follows: boolean } | undefined {
  const cycle = 60 / perMinute;
  const found = circular(taps.map((tap) => (2 * Math.PI * tap) / cycle));
  return found && { scatter: (found.sd * cycle) / (2 * Math.PI), follows: rayleigh(found) < 0.05 };
}

/** How a rhythm was told: off by so many cycles a minute, whether the truth lies in the band that was given, and the leader. */
export type RhythmScore = { off: number; band: number; inside: boolean; leader: boolean };
export const scoreRhythm = (truth: Rhythm, rate: Rate, leader: Leader): RhythmScore => {
  const band = rateBand(rate);
  const off = rate.perMinute - truth.perMinute;
  return { off, band, inside: Math.abs(off) <= band, leader: leader === leaderOf(truth) };
};

/** The steps of the arc in an order that is not theirs. */
export function shuffledSteps(random: Random): string[] {
  const keys = arcSteps.map(({ key }) => key);
  for (let i = keys.length - 1; i > 0; i--) {
    const j = Math.floor(random.uniform() * (i + 1));
    [keys[i], keys[j]] = [keys[j]!, keys[i]!];
  }
  return keys.join() === arcSteps.map(({ key }) => key).join() ? [...keys.slice(1), keys[0]!] : keys;
}

/** How an order compares with the arc's: pairs of steps that stand the wrong way round, of all pairs, and each step's why. */
export function scoreOrder(order: readonly string[]): {
  wrong: number;
  of: number;
  places: { key: string; right: boolean; why: string }[];
} {
  const place = new Map(arcSteps.map(({ key }, i) => [key, i]));
  const ranks = order.map((key) => place.get(key) ?? -1);
  const wrong = ranks.reduce((sum, rank, i) => sum + ranks.slice(i + 1).filter((later) => later < rank).length, 0);
  return {
    wrong,
    of: (order.length * (order.length - 1)) / 2,
    places: order.map((key, i) => ({ key, right: place.get(key) === i, why: arcSteps[place.get(key) ?? 0]!.why })),
  };
}
