import type { Covered } from "../anatomy/covered";
import type { FigureView, Point } from "../anatomy/figure";
import { placeOf } from "../anatomy/places";
import { handError } from "../statistics/hand-errors";
import { differing, verdictOf, type Difference, type Verdict } from "../statistics/verdict";
import type { Side } from "../units";
import { inOrder, type Moment } from "./restriction";

/** What was felt at a point once: how tender, whether pressing it brings the known pain, seconds held until it let go. */
export type PointFelt = {
  visit: number;
  moment: Moment;
  tenderness: number;
  reproduced: boolean | null;
  held: number | null;
};

/** A tender point in a structure, and where else it is felt. */
export type TriggerPoint = {
  id: string;
  structure: string;
  side: Side | "both";
  /** Where it lies on the figure; nothing when it was named only. */
  at: { view: FigureView; point: Point } | null;
  /** Where it is felt as drawn; nothing when it was named, or is felt nowhere else. */
  area: { view: FigureView; points: readonly Point[] } | null;
  referral: readonly Covered[];
  felt: readonly PointFelt[];
};

export type TendernessChange = Difference & { verdict: Verdict };

/** What tenderness changed by from one rating to another, in points of 0–10. */
export function compareTenderness(first: PointFelt, second: PointFelt): TendernessChange {
  const difference = differing(second.tenderness - first.tenderness, Math.SQRT2 * handError.tenderness);
  return { ...difference, verdict: verdictOf(difference.p, difference.p) };
}

export const feltInOrder = ({ felt }: Pick<TriggerPoint, "felt">): PointFelt[] => inOrder(felt);

/** "Temple and side of the neck, right": the areas of a referral in words, side by side. */
export function referralWords(referral: readonly Covered[]): string {
  const by = (side: Side | null) =>
    referral.filter((each) => each.side === side).map(({ place }) => placeOf(place).name.toLowerCase());
  const list = (names: string[]) =>
    names.length <= 1 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
  return [
    [by("L"), ", left"],
    [by("R"), ", right"],
    [by(null), ""],
  ]
    .filter(([names]) => names!.length > 0)
    .map(([names, word]) => `${list(names as string[])}${word as string}`)
    .join("; ");
}
