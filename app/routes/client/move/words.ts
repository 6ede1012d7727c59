import type { Movement } from "~core/move/movements";
import type { Range } from "~core/move/ranges";
import { z95, type Side } from "~core/units";

export const unitOf = ({ unit }: Pick<Movement, "unit">): string => (unit === "deg" ? "°" : " mm");
export const sideWord: Record<Side, string> = { L: "left", R: "right" };
const round = (value: number) => String(Math.round(value * 10) / 10);

/** "left 62 ±3.4° active, hard, pain 3". */
export const rangeWords = ({ movement, taken, value, se }: Range): string =>
  [
    `${taken.side ? `${sideWord[taken.side]} ` : ""}${round(value)} ±${round(z95 * se)}${unitOf(movement)} ${taken.drive}`,
    ...(taken.endFeel ? [taken.endFeel] : []),
    ...(taken.pain ? [`pain ${taken.pain}`] : []),
  ].join(", ");
