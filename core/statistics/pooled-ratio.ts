/** One's own standard deviation as a multiple of the model's for the same things, and what it rests on. */
export type Ratio = { ratio: number; dof: number };

/** Below this many degrees of freedom (repeat pairs) one's own figure says too little to be used. */
export const leastPairs = 5;
/** What the model's or a published figure counts for beside one's own, in degrees of freedom: common practice. */
export const modelDof = 10;

/**
 * How many times the model's an error is by one's own figures: √((ν·r² + ν₀) / (ν + ν₀)), the model counting for ν₀ = 10
 * degrees of freedom with a ratio of 1. Exactly 1 while there are fewer than five own repeat pairs. As a ratio it holds
 * for every scale and distance at which the metric is taken.
 */
export function pooledRatio(own: Ratio | undefined): number {
  if (!own || own.dof < leastPairs) return 1;
  return Math.sqrt((own.dof * own.ratio ** 2 + modelDof) / (own.dof + modelDof));
}
