import { scaleLinear } from "d3";
import type { Reading } from "~core/measure/reading";
import { z95 } from "~core/units";

export type Interval = { from: number; at: number; to: number };
export type ReadOutBar = {
  usual: { from: number; to: number };
  now: Interval;
  earlier: Interval | undefined;
  zero: number | undefined;
  width: number;
};

/** Where a reading's band, the earlier one and the usual range lie on a line `width` wide. Pure; drawn elsewhere. */
export function readOutBar(now: Reading, earlier: Reading | undefined, width: number): ReadOutBar {
  const [low, high] = now.usual;
  const ends = [now, ...(earlier ? [earlier] : [])].flatMap((reading) => [
    reading.value - z95 * reading.se,
    reading.value + z95 * reading.se,
  ]);
  const from = Math.min(low, ...ends);
  const to = Math.max(high, ...ends);
  const pad = (to - from) * 0.06;
  const x = scaleLinear([from - pad, to + pad], [0, width]).clamp(true);
  const interval = (reading: Reading): Interval => ({
    from: x(reading.value - z95 * reading.se),
    at: x(reading.value),
    to: x(reading.value + z95 * reading.se),
  });
  const [start, end] = x.domain() as [number, number];
  return {
    usual: { from: x(low), to: x(high) },
    now: interval(now),
    earlier: earlier && interval(earlier),
    zero: start < 0 && end > 0 ? x(0) : undefined,
    width,
  };
}
