import { keptRange, type Kept } from "../change/carry-over";
import { daysBetween, plusDays, type IsoDay } from "../days";
import { isActive, type Outcome } from "../screening/outcome";
import { leastRest, type Rhythm } from "./dates";

/** Days between sessions as usual, first half and second half of a series (common practice). */
export const usualIntervals = { first: { least: 5, most: 14 }, later: { least: 7, most: 21 } } as const;
/** Light touch may be denser: weekly, or every second day. */
const lightLeast = leastRest;

/** Kept shares below which a series is held closer together, and above which it may be spread (common practice). */
export const keptBounds = { little: 0.5, most: 0.85 } as const;
/** By how much an interval is changed at once. */
const step = 0.7;
/** A caution that ends so soon after the next session is worth waiting for. */
const worthWaiting = 4;

export type RhythmHint = {
  /** What was looked at, and what it says. */
  why: string;
  /** Days between the sessions of the half that comes next, and what to take instead; undefined: they stay. */
  change?: { of: "intervalDays" | "laterDays"; from: number; to: number };
};

/**
 * Days between sessions by what was kept of the last visit's change over so many days: fewer than those when surely less than half
 * was kept, more when surely nearly all was, within what is usual for the half of the series that comes next. "Surely": the whole interval of what was
 * kept lies on that side. Where the share cannot be told, or lies between, the interval stays, and the words say so.
 */
export function rhythmHint(
  last: { kept: Kept; days: number } | undefined,
  rhythm: Rhythm,
  at: { done: number; sessions: number; light: boolean },
): RhythmHint {
  const later = at.done >= at.sessions / 2;
  const now = later ? (rhythm.laterDays ?? rhythm.intervalDays) : rhythm.intervalDays;
  const usual = usualIntervals[later ? "later" : "first"];
  const least = at.light ? lightLeast : usual.least;
  const stays = (why: string): RhythmHint => ({ why });
  const takes = (to: number, why: string): RhythmHint => ({
    why,
    change: { of: later ? "laterDays" : "intervalDays", from: now, to },
  });
  if (!last)
    return stays("What was kept between visits was not measured: it takes a look before, after, and before the next.");
  const { kept, days: over } = last;
  if (!kept.told) return stays("How much of the last visit’s change was kept cannot be told: the interval stays.");
  const said = `Of the last visit’s change ${keptRange(kept)} was kept over ${over} days`;
  if (kept.high < keptBounds.little) {
    const days = Math.max(least, Math.round(over * step));
    return days < now
      ? takes(days, `${said}, less than half: closer together, or more time for joining.`)
      : stays(
          `${said}, less than half; every ${now} days is closer than that, or as close as is usual. Joining may need more time.`,
        );
  }
  if (kept.low > keptBounds.most) {
    const days = Math.min(usual.most, Math.round(over / step));
    return days > now
      ? takes(days, `${said}, nearly all: the sessions may lie further apart.`)
      : stays(`${said}, nearly all; every ${now} days is further apart than that, or as far as is usual.`);
  }
  return stays(`${said}: not surely less than half, not surely nearly all. The interval stays.`);
}

/** Cautions that hold something back in the next session and end within a few days of it: the first day without them. */
export function worthAWait(
  cautions: readonly Outcome[],
  next: IsoDay,
): { day: IsoDay; days: number; titles: string[] } | undefined {
  const ending = cautions.filter(
    (caution) =>
      caution.kind !== "inform" &&
      caution.until !== undefined &&
      isActive(caution, next) &&
      daysBetween(next, caution.until) <= worthWaiting &&
      !isActive(caution, plusDays(next, worthWaiting)),
  );
  if (ending.length === 0) return undefined;
  const day = ending
    .map(({ until }) => until!)
    .sort()
    .at(-1)!;
  return { day, days: daysBetween(next, day), titles: [...new Set(ending.map(({ title }) => title))] };
}
