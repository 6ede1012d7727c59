/**
 * Presses that follow one another in a log, of which the latest in a slot counts. `over`: what was seen there when it was
 * made, by its ids: the press that stood, and one that had been overlooked; left out by what was pressed before that was
 * noted.
 */
export type Over = { over?: readonly string[] };
type Pressed = { id: string; body: unknown };

/** A press, without what it was made over. */
const content = ({ body }: Pressed) => {
  const { over: _over, ...rest } = body as Over & Record<string, unknown>;
  return JSON.stringify(rest, Object.keys(rest).sort());
};

/**
 * Pairs of presses in one slot of which the later was made without the earlier being seen, and says something else: two
 * devices, or a tablet that was without a network. A press that was made with both in sight settles them.
 */
export function overlooked<E extends Pressed>(
  events: readonly E[],
  slotOf: (event: E) => string | undefined,
): { earlier: E; later: E }[] {
  const latest = new Map<string, E>();
  const open = new Map<string, { earlier: E; later: E }>();
  for (const event of events) {
    const slot = slotOf(event);
    if (slot === undefined) continue;
    const { over } = event.body as Over;
    const unseen = [open.get(slot)?.earlier, latest.get(slot)].find(
      (before) => before && over && !over.includes(before.id) && content(before) !== content(event),
    );
    latest.set(slot, event);
    if (unseen) open.set(slot, { earlier: unseen, later: event });
    else open.delete(slot);
  }
  return [...open.values()];
}

/** What somebody who presses now has in sight, in the slot of what they press. */
export function seenIn<E extends Pressed>(
  events: readonly E[],
  slotOf: (event: E) => string | undefined,
  slot: string,
): string[] {
  const own = events.filter((event) => slotOf(event) === slot);
  const pair = overlooked(own, slotOf)[0];
  return pair ? [pair.earlier.id, pair.later.id] : own.slice(-1).map(({ id }) => id);
}
