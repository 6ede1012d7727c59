import { sideWord } from "../words";
import type { Movement } from "./movements";
import type { compareRanges, Judged, Range } from "./ranges";
import { z95 } from "../units";

export const unitOf = ({ unit }: Pick<Movement, "unit">): string => (unit === "deg" ? "°" : " mm");
export const round = (value: number) => String(Math.round(value * 10) / 10);

/** "left 62 ±3.4° active, hard, pain 3". */
export const rangeWords = ({ movement, taken, value, se }: Range): string =>
  [
    `${taken.side ? `${sideWord[taken.side]} ` : ""}${round(value)} ±${round(z95 * se)}${unitOf(movement)} ${taken.drive}`,
    ...(taken.endFeel ? [taken.endFeel] : []),
    ...(taken.pain ? [`pain ${taken.pain}`] : []),
  ].join(", ");

/** "Neck, turning, left, passive". */
export const rangeName = ({ movement, taken }: Range): string =>
  `${movement.name}${taken.side ? `, ${sideWord[taken.side]}` : ""}${taken.drive === "passive" ? ", passive" : ""}`;

const signed = (value: number) => `${value > 0 ? "+" : value < 0 ? "−" : ""}${round(Math.abs(value))}`;
/** "+12 ±5°". */
export const differenceWords = ({ difference, band }: Judged, of: Range): string =>
  `${signed(difference)} ±${round(band)}${unitOf(of.movement)}`;

/** "55 → 71, +16 ±5° (clear, nearer to the reference)". */
export const comparedWords = (each: ReturnType<typeof compareRanges>[number]): string =>
  `${round(each.first.value)} → ${round(each.second.value)}, ${differenceWords(each, each.first)} (${
    each.verdict === "cannot be told"
      ? each.verdict
      : `${each.verdict}, ${each.towards ? "nearer to the reference" : "not nearer to the reference"}`
  })`;
