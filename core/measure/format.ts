import type { Metric } from "./metrics";
import { z95 } from "../units";

const minus = (text: string) => text.replace("-", "−");

/** A number of the metric's unit: degrees with one decimal, millimetres whole. */
export const formatValue = (metric: Metric, value: number): string =>
  minus(metric.unit === "deg" ? value.toFixed(1) : value.toFixed(0)).replace(/^−(0(\.0)?)$/, "$1");

export const formatSigned = (metric: Metric, value: number): string => {
  const text = formatValue(metric, value);
  return text.startsWith("−") || Number(text) === 0 ? text : `+${text}`;
};

export const unitSign = (metric: Metric): string => (metric.unit === "deg" ? "°" : " mm");

/** Half of the 95 % interval, with the unit: "±3.1°". */
export const formatBand = (metric: Metric, se: number): string =>
  `±${formatValue(metric, z95 * se)}${unitSign(metric)}`;

/** What the sign of a value says in words ("right low"), or "" when it says nothing or the value is 0. */
export const directionWord = (metric: Metric, value: number): string =>
  Number(formatValue(metric, value).replace("−", "-")) === 0 ? "" : metric.words[value < 0 ? 0 : 1];
