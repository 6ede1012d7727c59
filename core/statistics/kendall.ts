/** Pairs that go up less pairs that go down, of values in the order of time; ties count to neither. */
export const kendallS = (values: readonly number[]): number =>
  values.reduce(
    (sum, value, i) => sum + values.slice(i + 1).reduce((inner, later) => inner + Math.sign(later - value), 0),
    0,
  );

/**
 * Whether values rise or fall with time: Kendall's S (Biometrika 30 (1938) 81–93; Mann 1945) with its exact two-sided p for
 * untied values, by counting the orders of so many values by their inversions. With ties it is larger than the true p. NaN below
 * four values, of which no order is rarer than one in twenty.
 */
export function trendOf(values: readonly number[]): { s: number; p: number } {
  const n = values.length;
  const s = kendallS(values);
  if (n < 4) return { s, p: NaN };
  // orders[k]: how many orders of the first m values have k inversions
  let orders = [1];
  for (let m = 2; m <= n; m++) {
    const next = Array<number>(orders.length + m - 1).fill(0);
    for (const [k, count] of orders.entries()) for (let add = 0; add < m; add++) next[k + add]! += count;
    orders = next;
  }
  const all = orders.reduce((sum, count) => sum + count, 0);
  const most = (n * (n - 1)) / 2;
  // S = pairs − 2 · inversions
  const tail = orders.reduce((sum, count, k) => sum + (most - 2 * k >= Math.abs(s) ? count : 0), 0);
  return { s, p: s === 0 ? 1 : Math.min(1, (2 * tail) / all) };
}
