import { max, scaleSqrt } from "d3";
import { regions, type RegionKey } from "~core/anatomy/regions";
import type { PlannedSession } from "~core/series/plan";
import { minutesByPlace } from "~core/series/score";

export type Cell = { session: number; region: RegionKey; depth: number; minutes: number; width: number };

const least = 1;

/**
 * A cell per session and territory with at least a minute of work: how deep (1–5), how many minutes, and how wide its
 * bar is (area follows minutes). Pure; drawn elsewhere.
 */
export function planCells(sessions: readonly PlannedSession[], fullWidth: number): Cell[] {
  const cells = sessions.flatMap((session, index) => {
    const places = minutesByPlace(session);
    return regions.flatMap(({ key }) => {
      const layers = places.get(key)!;
      const minutes = layers.reduce((sum, value) => sum + value, 0);
      if (minutes < least) return [];
      const depth = layers.findLastIndex((value) => value >= 0.5) + 1;
      return [{ session: index, region: key, depth: Math.max(1, depth), minutes }];
    });
  });
  const width = scaleSqrt([0, max(cells, (cell) => cell.minutes) ?? 1], [8, fullWidth]);
  return cells.map((cell) => ({ ...cell, width: width(cell.minutes) }));
}
