import { lastSecond, type Heard } from "../measure/steady";
import type { Degrees } from "../units";

/** From rest it has to come this far to be a range at all, and back this far before the next is taken (degrees). */
const leastRange: Degrees = 5;
const backBy: Degrees = 8;

/** What is heard of a range that is done again and again: the last second, and the one that was taken until it goes back. */
export type Hearing = { heard: readonly Heard[]; taken: Degrees | undefined };
export const silence: Hearing = { heard: [], taken: undefined };

/**
 * One angle more. `take`: the mean of a second in which it was held still away from rest; once for each time it goes there. A
 * drop-out of more than half a second begins the second anew.
 */
export function hear({ heard, taken }: Hearing, next: Heard): { hearing: Hearing; take: Degrees | undefined } {
  const gap = next.at - (heard.at(-1)?.at ?? next.at);
  const kept = gap > 0.5 ? [next] : [...heard.filter(({ at }) => at > next.at - 1.5), next];
  if (taken !== undefined) {
    const back = Math.abs(next.angle) < Math.abs(taken) - backBy;
    return { hearing: { heard: back ? [next] : kept, taken: back ? undefined : taken }, take: undefined };
  }
  const second = lastSecond(kept);
  if (!second?.steady || Math.abs(second.angle) < leastRange)
    return { hearing: { heard: kept, taken }, take: undefined };
  return { hearing: { heard: kept, taken: second.angle }, take: second.angle };
}
