import { z95, type Unit } from "../units";
import type { Metric } from "./metrics";

/** Anything whose numbers are in a unit: a metric, or a reading of it. */
type InUnit = { unit: Unit };

const minus = (text: string) => text.replace("-", "−");

/** A number in its unit: degrees and grades with one decimal (whole grades without), millimetres whole. */
export const formatValue = ({ unit }: InUnit, value: number): string =>
  minus(unit === "mm" || (unit === "grade" && Number.isInteger(value)) ? value.toFixed(0) : value.toFixed(1)).replace(
    /^−(0(\.0)?)$/,
    "$1",
  );

export const formatSigned = (of: InUnit, value: number): string => {
  const text = formatValue(of, value);
  return text.startsWith("−") || Number(text) === 0 ? text : `+${text}`;
};

export const unitSign = ({ unit }: InUnit): string => ({ deg: "°", mm: " mm", grade: " of 3" })[unit];

/** Half of the 95 % interval, with the unit: "±3.1°". */
export const formatBand = (of: InUnit, se: number): string =>
  `±${formatValue(of, z95 * se)}${of.unit === "grade" ? "" : unitSign(of)}`;

/** What the sign of a value says in words ("right low"), or "" when it says nothing or the value is 0. */
export const directionWord = ({ unit, metric }: InUnit & { metric: Metric }, value: number): string =>
  Number(formatValue({ unit }, value).replace("−", "-")) === 0
    ? ""
    : ((unit === "grade" && metric.graded) || metric.words)[value < 0 ? 0 : 1];
