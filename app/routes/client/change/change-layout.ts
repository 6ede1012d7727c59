import { scaleLinear } from "d3";
import type { Change } from "~core/change/compare";

export type ChangeBar = { start: number; end: number; band: { from: number; to: number }; width: number };

/** An arrow from the first value to the second over the pale band of differences too small to tell. Pure. */
export function changeBar(change: Change, width: number): ChangeBar {
  const { first, second, band } = change;
  const values = [first.value - band, first.value + band, second.value];
  const from = Math.min(...values);
  const to = Math.max(...values);
  const pad = (to - from) * 0.08 || 1;
  const x = scaleLinear([from - pad, to + pad], [0, width]);
  return {
    start: x(first.value),
    end: x(second.value),
    band: { from: x(first.value - band), to: x(first.value + band) },
    width,
  };
}
