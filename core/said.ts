/**
 * Something that was said of one matter. `seq`: its place in the order in which it reached the record; `seen`: the place of the
 * last of them that whoever said it had before their eyes (0: none).
 */
export type Said = { readonly seq: number; readonly seen: number };

/**
 * What stands of all that was said of one matter: what nobody who had seen it has answered since. One, or several where they
 * were said without knowing of each other: those contradict each other, or agree, until somebody who has seen all of them
 * says it once more. In the order in which they came; empty only where nothing was said.
 */
export function standing<T extends Said>(said: readonly T[]): T[] {
  const answered = Math.max(0, ...said.map(({ seq, seen }) => Math.min(seen, seq - 1)));
  return said.filter(({ seq }) => seq > answered);
}

/** Up to where somebody has seen who sees all of these. */
export const seenOf = (said: readonly Pick<Said, "seq">[]): number => Math.max(0, ...said.map(({ seq }) => seq));
