/**
 * What follows from two things that nobody writes to (and perhaps a number or name), worked out once for as long as both are
 * there: by a page that is drawn again, and by every request that is answered with the same records.
 */
export function oncePer<A extends object, B extends object, C extends string | number | void, R>(
  work: (a: A, b: B, c: C) => R,
): (a: A, b: B, c: C) => R {
  const known = new WeakMap<A, WeakMap<B, Map<C, R>>>();
  return (a, b, c) => {
    let ofA = known.get(a);
    if (!ofA) known.set(a, (ofA = new WeakMap()));
    let ofBoth = ofA.get(b);
    if (!ofBoth) ofA.set(b, (ofBoth = new Map()));
    if (!ofBoth.has(c)) ofBoth.set(c, work(a, b, c));
    return ofBoth.get(c)!;
  };
}
