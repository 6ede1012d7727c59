import { scaleSqrt } from "d3";
import { daysBetween, plusMonths, type IsoDay } from "~core/days";
import type { HistoryEntry } from "~core/screening/facts";

export type TimeLineBar = {
  id: string;
  label: string;
  /** The span it can have happened in. */
  from: number;
  to: number;
  /** Until when it holds: today while open. */
  until: number;
  lane: number;
  labelAt: number;
  anchor: "start" | "end";
  open: boolean;
};
export type TimeLineShape = {
  bars: TimeLineBar[];
  ticks: { x: number; text: string }[];
  today: number;
  width: number;
  height: number;
};

const laneHeight = 26;
const top = 30;
const letter = 7.1;
const steps = [0, 1, 3, 6, 12, 24, 60, 120, 240, 480, 720];
const stepName = (months: number) =>
  months === 0 ? "today" : months < 12 ? `${months} mo` : months === 12 ? "1 year" : `${months / 12} years`;

/**
 * A life on one line: today at the right, the past running left ever more closely packed (by the square root of the
 * days), because what was lately matters more. Entries without a date are not on it. Pure; drawn elsewhere.
 */
export function timeLineLayout(
  entries: readonly Pick<HistoryEntry, "id" | "when" | "status" | "endedOn">[],
  labels: ReadonlyMap<string, string>,
  today: IsoDay,
  width: number,
): TimeLineShape {
  const dated = entries.filter((entry) => entry.when !== null);
  const ago = (day: IsoDay) => Math.max(0, daysBetween(day, today));
  const longest = Math.max(400, ...dated.map((entry) => ago(entry.when!.earliest) * 1.08));
  const right = width - 26;
  const x = scaleSqrt([0, longest], [right, 12]);
  const ends: number[] = [];
  const bars = [...dated]
    .sort((a, b) => a.when!.earliest.localeCompare(b.when!.earliest) || a.id.localeCompare(b.id))
    .map((entry): TimeLineBar => {
      const from = x(ago(entry.when!.earliest));
      const to = Math.max(from + 6, x(ago(entry.when!.latest)));
      const open = entry.status === "open";
      const until = Math.max(to, open ? right : x(ago(entry.endedOn ?? entry.when!.latest)));
      const label = labels.get(entry.id) ?? "";
      const text = label.length * letter;
      // where there is no room to the right of its begin, the label stands before it
      const anchor = to + 6 + text < width ? "start" : "end";
      const [start, end] = anchor === "start" ? [from, Math.max(until, to + 6 + text)] : [from - 6 - text, until];
      let lane = ends.findIndex((last) => last + 8 < start);
      if (lane < 0) lane = ends.length;
      ends[lane] = end;
      return {
        id: entry.id,
        label,
        from,
        to,
        until,
        lane,
        labelAt: anchor === "start" ? to + 6 : from - 6,
        anchor,
        open,
      };
    });
  const ticks = steps
    .map((months) => ({ x: x(ago(plusMonths(today, -months))), text: stepName(months), months }))
    .filter((tick) => tick.months === 0 || ago(plusMonths(today, -tick.months)) <= longest)
    .filter((tick, i, all) => i === 0 || all[i - 1]!.x - tick.x > 46 || tick.months >= 60)
    .filter((tick, i, all) => i === 0 || all[i - 1]!.x - tick.x > 40)
    .map(({ x, text }) => ({ x, text }));
  return { bars, ticks, today: right, width, height: top + Math.max(1, ends.length) * laneHeight + 6 };
}

export const laneY = (lane: number): number => top + lane * laneHeight;
