/** Angles (radians) taken together: where they point, how much they agree (0 not at all … 1 all the same), and how far they scatter. */
export type Circular = { mean: number; agreement: number; sd: number; n: number };

/**
 * Mean direction, resultant length and circular standard deviation √(−2 ln R) of angles in radians (Mardia & Jupp,
 * Directional Statistics, 2000, ch. 2; from memory). Undefined for none.
 */
export function circular(angles: readonly number[]): Circular | undefined {
  const n = angles.length;
  if (n === 0) return undefined;
  const x = angles.reduce((sum, angle) => sum + Math.cos(angle), 0) / n;
  const y = angles.reduce((sum, angle) => sum + Math.sin(angle), 0) / n;
  const agreement = Math.min(1, Math.hypot(x, y));
  const turn = 2 * Math.PI;
  return { mean: (Math.atan2(y, x) + turn) % turn, agreement, sd: Math.sqrt(-2 * Math.log(agreement)), n };
}

/**
 * Rayleigh's test: how likely angles without any common direction agree that much, by the series of Mardia & Jupp (2000, §6.3)
 * to the order 1/n². From four angles on.
 */
export function rayleigh({ agreement, n }: Circular): number {
  if (n < 4) return 1;
  const z = n * agreement ** 2;
  const first = (2 * z - z ** 2) / (4 * n);
  const second = (24 * z - 132 * z ** 2 + 76 * z ** 3 - 9 * z ** 4) / (288 * n ** 2);
  return Math.max(0, Math.min(1, Math.exp(-z) * (1 + first - second)));
}
