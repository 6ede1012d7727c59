import { scaleLinear } from "d3";
import type { Agreement } from "~core/statistics/agreement";

export type AgreementPlot = {
  points: { x: number; y: number }[];
  bias: number;
  low: number;
  high: number;
  zero: number;
  /** Ticks across and up, with the values they stand at. */
  across: { x: number; value: number }[];
  up: { y: number; value: number }[];
};

/** Difference over mean, with bias and limits of agreement, in a plot of the given size. Pure. */
export function agreementPlot({ pairs, bias, low, high }: Agreement, width: number, height: number): AgreementPlot {
  const reach =
    1.25 * Math.max(...pairs.map(({ difference }) => Math.abs(difference)), Math.abs(low), Math.abs(high), 1e-6);
  const means = pairs.map(({ mean }) => mean);
  const [from, to] = [Math.min(...means), Math.max(...means)];
  const pad = (to - from) * 0.08 || 1;
  const x = scaleLinear([from - pad, to + pad], [0, width]);
  const y = scaleLinear([reach, -reach], [0, height]);
  return {
    points: pairs.map(({ mean, difference }) => ({ x: x(mean), y: y(difference) })),
    bias: y(bias),
    low: y(low),
    high: y(high),
    zero: y(0),
    across: x.ticks(5).map((value) => ({ x: x(value), value })),
    up: y.ticks(5).map((value) => ({ y: y(value), value })),
  };
}
