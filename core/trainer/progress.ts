import { differing, type Difference } from "../statistics/verdict";

/** The last rounds against as many before them. */
export const roundsCompared = 5;

/** Whether practice still shows: undefined until there are rounds enough; less is better. */
export type Progress = Difference & { before: number; now: number; still: "better" | "worse" | "no more" };

/**
 * The mean of the last five rounds against the five before them (Welch). "No more": a difference as large as this comes by
 * chance alone oftener than once in twenty, and further practice of this kind does not show in the figures.
 */
export function progressOf(scores: readonly number[]): Progress | undefined {
  if (scores.length < 2 * roundsCompared) return undefined;
  const [before, now] = [scores.slice(-2 * roundsCompared, -roundsCompared), scores.slice(-roundsCompared)];
  const mean = (list: readonly number[]) => list.reduce((sum, each) => sum + each, 0) / list.length;
  const variance = (list: readonly number[]) =>
    list.reduce((sum, each) => sum + (each - mean(list)) ** 2, 0) / (list.length - 1) / list.length;
  const [a, b] = [variance(before), variance(now)];
  const dof = a + b === 0 ? Infinity : (a + b) ** 2 / (a ** 2 / (before.length - 1) + b ** 2 / (now.length - 1));
  const difference = differing(mean(now) - mean(before), Math.sqrt(a + b), dof);
  return {
    ...difference,
    before: mean(before),
    now: mean(now),
    still: difference.p >= 0.05 ? "no more" : difference.difference < 0 ? "better" : "worse",
  };
}
