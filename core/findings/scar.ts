import { handError } from "../statistics/hand-errors";
import { differing, verdictOf, type Difference, type Verdict } from "../statistics/verdict";
import type { FigureView, Point } from "../anatomy/figure";
import type { PlaceKey } from "../anatomy/places";
import { daysBetween, type IsoDay } from "../days";
import type { Side } from "../units";
import { inOrder, type Moment } from "./restriction";

/** The eight ways a scar is slid, clockwise from headward; in and out are the client's own. */
export const slideWays = ["head", "head-out", "out", "feet-out", "feet", "feet-in", "in", "head-in"] as const;
export type SlideWay = (typeof slideWays)[number];
export const slideWords: Record<SlideWay, string> = {
  head: "headward",
  "head-out": "headward and out",
  out: "outward",
  "feet-out": "footward and out",
  feet: "footward",
  "feet-in": "footward and in",
  in: "inward",
  "head-in": "headward and in",
};

/** How far a scar slides each way: 0 not at all, 1 a little, 2 short of the skin around it, 3 like the skin around it. */
export type Slide = 0 | 1 | 2 | 3;
export const slideGrades = ["0 not at all", "1 a little", "2 short", "3 like the skin around"] as const;

/** One test of a scar: eight slides in the order of `slideWays`, and how far it lifts between two fingers. */
export type Rose = { visit: number; moment: Moment; slides: readonly Slide[]; lift: Slide };

export type Scar = {
  id: string;
  places: readonly PlaceKey[];
  side: Side | "both";
  /** Where it lies on the figure; nothing when it was not drawn. */
  line: { view: FigureView; points: readonly Point[] } | null;
  lengthMm: number;
  /** Latest day it can be from; null: not known. */
  since: IsoDay | null;
  closed: boolean;
  words: string;
  roses: readonly Rose[];
};

const wedge = Math.sin(Math.PI / 4) / 2;
const areaIn = (slides: readonly number[]) =>
  wedge * slides.reduce((sum, r, i) => sum + r * slides[(i + 1) % slides.length]!, 0);

/**
 * How much of the full rose a scar fills (0–100 %), with its standard error: neighbouring slides span triangles, and each
 * slide's error moves the two it belongs to.
 */
export function roseArea(slides: readonly number[], se: number = handError.slide): { percent: number; se: number } {
  const full = areaIn(slides.map(() => 3));
  const n = slides.length;
  const variance = slides.reduce(
    (sum, _, i) => sum + (wedge * (slides[(i + 1) % n]! + slides[(i + n - 1) % n]!) * se) ** 2,
    0,
  );
  return { percent: (100 * areaIn(slides)) / full, se: (100 * Math.sqrt(variance)) / full };
}

/** The shortest ways, all that are as short; none when every way is free. */
export function shortestWays(slides: readonly number[]): SlideWay[] {
  const least = Math.min(...slides);
  return least >= 3 ? [] : slideWays.filter((_, i) => slides[i] === least);
}

export type RoseChange = Difference & { verdict: Verdict };

/** What a rose gained or lost in percent of the full one, judged by the error of both. */
export function compareRoses(first: Rose, second: Rose): RoseChange {
  const [a, b] = [roseArea(first.slides), roseArea(second.slides)];
  const difference = differing(b.percent - a.percent, Math.hypot(a.se, b.se));
  return { ...difference, verdict: verdictOf(difference.p, difference.p) };
}

export const rosesInOrder = (scar: Pick<Scar, "roses">): Rose[] => inOrder(scar.roses);

/** Days a scar rests, and days until it may be worked as other tissue. Common practice; check local codes. */
export const scarDays = { rest: 56, gentle: 182 } as const;

/** What may be done at a scar on a day, and why. What is not known counts as recent. */
export function scarWork(
  { since, closed }: Pick<Scar, "since" | "closed">,
  day: IsoDay,
): { may: "nothing" | "gentle" | "all"; why: string } {
  if (!closed) return { may: "nothing", why: "A scar that is not closed, or may not be, is left alone." };
  if (since === null) return { may: "gentle", why: "Its age is not known: gentle slide only, up to 3 of 10." };
  const age = daysBetween(since, day);
  if (age < scarDays.rest)
    return { may: "nothing", why: `It rests for eight weeks; ${Math.ceil((scarDays.rest - age) / 7)} more to go.` };
  if (age < scarDays.gentle) return { may: "gentle", why: "Up to half a year: gentle slide only, up to 3 of 10." };
  return { may: "all", why: "Older than half a year: worked as its tissue allows." };
}
