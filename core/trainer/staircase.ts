/** A two-down, one-up staircase: two right answers running make it harder by a step, a wrong one easier. */
export type Staircase = {
  /** Where it stands now: a difference as a ratio, 1.5 is half as much more. */
  level: number;
  right: number;
  /** Levels at which it turned round. */
  turns: readonly number[];
  direction: "down" | "up" | undefined;
  trials: number;
};

/** Steps are multiplied: large until the second turn, then small. */
const steps = [1.6, 1.25] as const;
const easiest = 1;
/** It ends with so many turns; the first ones are a search and are left out. */
export const turnsWanted = 10;
const turnsLeftOut = 4;

export const startStaircase = (level = 0.8): Staircase => ({
  level,
  right: 0,
  turns: [],
  direction: undefined,
  trials: 0,
});

/**
 * One answer. Converges on the difference that is told right in 70.7 % of trials (Levitt, Journal of the Acoustical Society of
 * America 49 (1971) 467–477: p² = ½).
 */
export function answered(stair: Staircase, isRight: boolean): Staircase {
  const trials = stair.trials + 1;
  if (isRight && stair.right === 0) return { ...stair, right: 1, trials };
  const direction = isRight ? ("down" as const) : ("up" as const);
  const turned = stair.direction !== undefined && stair.direction !== direction;
  const turns = turned ? [...stair.turns, stair.level] : stair.turns;
  const step = steps[turns.length < 2 ? 0 : 1];
  const level = Math.min(easiest, direction === "down" ? stair.level / step : stair.level * step);
  return { level, right: 0, turns, direction, trials };
}

export const isOver = ({ turns }: Staircase): boolean => turns.length >= turnsWanted;

/** The threshold: geometric mean of the later turns, with the standard error of its logarithm; undefined before the end. */
export function thresholdOf(stair: Staircase): { value: number; low: number; high: number } | undefined {
  if (!isOver(stair)) return undefined;
  const logs = stair.turns.slice(turnsLeftOut).map(Math.log);
  const mean = logs.reduce((sum, each) => sum + each, 0) / logs.length;
  const sd = Math.sqrt(logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (logs.length - 1));
  // turns go up and down in turn, so that neighbours are not independent: pairs of them are
  const se = sd / Math.sqrt(logs.length / 2);
  return { value: Math.exp(mean), low: Math.exp(mean - 1.96 * se), high: Math.exp(mean + 1.96 * se) };
}
