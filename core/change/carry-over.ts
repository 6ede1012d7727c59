import { oneEach } from "../measure/reading";
import { kept, sameIn } from "./compare";
import type { MomentReadings } from "./moments";

/**
 * Share of visit `ordinal`'s real changes that was still there when the next visit began: the mean over the metrics
 * that really changed, each within −1 to 2 so that one wild ratio does not speak for all. Undefined when nothing
 * really changed or one of the three moments was not measured.
 */
export function keptBetween(moments: readonly MomentReadings[], ordinal: number): number | undefined {
  const at = (visit: number, moment: "before" | "after") =>
    moments.find((each) => each.ordinal === visit && each.moment === moment)?.readings ?? [];
  const through = at(ordinal, "before").filter(
    (before) => sameIn(at(ordinal, "after"), before) && sameIn(at(ordinal + 1, "before"), before),
  );
  const shares = oneEach(through).flatMap((before) => {
    const after = sameIn(at(ordinal, "after"), before);
    const next = sameIn(at(ordinal + 1, "before"), before);
    const share = after && next ? kept(before, after, next) : undefined;
    return share === undefined ? [] : [Math.max(-1, Math.min(2, share))];
  });
  return shares.length === 0 ? undefined : shares.reduce((sum, share) => sum + share, 0) / shares.length;
}
