/**
 * Benjamini–Hochberg: for each p the smallest share of false discoveries at which it would be among the discoveries
 * (q, J R Stat Soc B 57 (1995) 289–300). In the order given. Holds for independent and for positively dependent tests
 * (Benjamini & Yekutieli, Ann Stat 29 (2001) 1165–1188). Throws RangeError for a p outside 0–1.
 */
export function falseDiscovery(p: readonly number[]): number[] {
  const wrong = p.find((each) => !(each >= 0 && each <= 1));
  if (wrong !== undefined) throw new RangeError(`p must be within 0 and 1, got ${wrong}`);
  const order = p.map((_, i) => i).sort((a, b) => p[b]! - p[a]!);
  const q = new Array<number>(p.length);
  let least = 1;
  order.forEach((i, fromTop) => {
    least = Math.min(least, (p[i]! * p.length) / (p.length - fromTop));
    q[i] = least;
  });
  return q;
}
