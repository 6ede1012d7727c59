import { z95, type Unit } from "../units";
import type { Metric } from "./metrics";

/** Anything whose numbers are in a unit: a metric, or a reading of it, whose error then says how many decimals they have. */
type InUnit = { unit: Unit; se?: number };

const minus = (text: string) => text.replace("-", "−");

/** Decimals that mean something: none where the band reaches two units or more, or for whole grades and millimetres. */
const decimalsOf = ({ unit, se }: InUnit, value: number): number =>
  unit === "mm" || (unit === "grade" && Number.isInteger(value)) || (unit === "deg" && (se ?? 0) * z95 >= 2) ? 0 : 1;

/** A number in its unit with the decimals that its error leaves: degrees with one at most, millimetres whole. */
export const formatValue = (of: InUnit, value: number): string =>
  minus(value.toFixed(decimalsOf(of, value))).replace(/^−(0(\.0)?)$/, "$1");

export const formatSigned = (of: InUnit, value: number): string => {
  const text = formatValue(of, value);
  return text.startsWith("−") || Number(text) === 0 ? text : `+${text}`;
};

export const unitSign = ({ unit }: InUnit): string => ({ deg: "°", mm: " mm", grade: " of 3" })[unit];

/** Half of the 95 % interval, with the unit: "±3.1°". */
export const formatBand = (of: InUnit, se: number): string => formatHalf(of, z95 * se);

/** A half width with its unit: "±4°". */
export const formatHalf = (of: InUnit, half: number): string =>
  `±${formatValue({ ...of, se: half / z95 }, half)}${of.unit === "grade" ? "" : unitSign(of)}`;

/** A difference with its sign, unit and band: "+6 ±4°". */
export const formatDifference = (of: InUnit, { difference, band }: { difference: number; band: number }): string => {
  const within = { unit: of.unit, se: band / z95 };
  return `${formatSigned(within, difference)} ±${formatValue(within, band)}${unitSign(of)}`;
};

/**
 * What the sign of a value says in words ("right low"), or "" when it says nothing: at 0, and where its error leaves open
 * which side of 0 it lies on.
 */
export const directionWord = (of: InUnit & { metric: Metric }, value: number): string =>
  value === 0 || Math.abs(value) <= z95 * (of.se ?? 0) || Number(formatValue(of, value).replace("−", "-")) === 0
    ? ""
    : ((of.unit === "grade" && of.metric.graded) || of.metric.words)[value < 0 ? 0 : 1];
