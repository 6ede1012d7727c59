import type { Movement } from "~core/move/movements";
import type { Side } from "~core/units";

/** The dial: half a circle above its middle, each side's range from the top outward. */
export const dial = { width: 320, height: 186, cx: 160, cy: 168, r: 140 } as const;
/** So far from the top the fullest range goes (degrees of the drawing). */
const widest = 86;

export type Scale = { full: number; away: (value: number) => number };

/** What the dial spans: the reference with room, and everything that is drawn on it. */
export function scaleFor(movement: Movement, values: readonly number[]): Scale {
  const full = Math.max(1.2 * Math.abs(movement.reference), ...values.map((value) => 1.05 * Math.abs(value)), 1);
  return { full, away: (value) => Math.max(-0.1, value / full) * widest };
}

/** Where a value of a side lies at a radius: the client's left at the left, as seen from behind; what has no side at the right. */
export function at(side: Side | null, away: number, r: number): [number, number] {
  const turn = ((side === "L" ? -away : away) * Math.PI) / 180;
  return [dial.cx + r * Math.sin(turn), dial.cy - r * Math.cos(turn)];
}

/** A ring-shaped piece between two values of a side, as an SVG path. */
export function wedge(side: Side | null, from: number, to: number, inner: number, outer: number): string {
  const p = (away: number, r: number) =>
    at(side, away, r)
      .map((value) => value.toFixed(2))
      .join(" ");
  const sweep = side === "L" ? 0 : 1;
  return `M${p(from, inner)}L${p(from, outer)}A${outer} ${outer} 0 0 ${sweep} ${p(to, outer)}L${p(to, inner)}A${inner} ${inner} 0 0 ${1 - sweep} ${p(from, inner)}Z`;
}
