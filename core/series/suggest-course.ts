import { depthOf, layerName } from "../anatomy/layers";
import { regionName } from "../anatomy/regions";
import { daysBetween, type IsoDay } from "../days";
import { courseOf, sessionsOf } from "./course";
import type { CourseChange } from "./lengthen";
import type { PlanInput } from "./plan";

/** Days of a break after which a series joins again one step earlier: over five weeks (common practice). */
export const longBreak = 35;
/** Grade of a cover at which what lies under it waits, and attention that makes a territory one the session is for. */
const closed = 2;
const meant = 0.5;

/** A session to be done once more before the series goes on, and why. */
export type CourseHint = { kind: "join again" | "wait for the cover"; why: string; change: CourseChange };

/**
 * What the trade would do before the next session: join again one step earlier after a long break, or wait one session while
 * what covers its depth still grades 2 or 3. Each means the last session worked once more, and none is offered twice running.
 * `worked`: days of the sessions worked or under way; `next`: the day of the next.
 */
export function courseHints(input: PlanInput, worked: readonly IsoDay[], next: IsoDay): CourseHint[] {
  const done = input.done.length;
  const course = courseOf(input);
  const last = worked[done - 1];
  // nothing comes before the first, and what is under way is not waited for
  if (done === 0 || done >= course.length || worked.length > done || last === undefined) return [];
  if (course[done]! <= course[done - 1]!) return [];
  const change: CourseChange = { kind: "again", session: done - 1 };
  const hints: CourseHint[] = [];
  const days = daysBetween(last, next);
  if (days > longBreak)
    hints.push({
      kind: "join again",
      why: `${days} days lie between session ${done} and the next. After more than ${longBreak} a series is usually measured anew and joined one step earlier.`,
      change,
    });
  const { ceiling, territory, arc, name } = sessionsOf(input)[done]!;
  if (arc || depthOf(ceiling) < 4) return hints;
  const covers = input.targets.filter(
    ({ grade, region, layer }) => (grade ?? 0) >= closed && depthOf(layer) <= 3 && (territory[region] ?? 0) >= meant,
  );
  if (covers.length > 0) {
    const places = covers
      .sort((a, b) => b.grade! - a.grade!)
      .map(({ region, layer, grade }) =>
        `${layerName(layer)} at the ${regionName(region)}, graded ${grade}`.toLowerCase(),
      );
    hints.push({
      kind: "wait for the cover",
      why: `Session ${done + 1} (${name}) goes down to the ${layerName(ceiling).toLowerCase()}, and what covers it is not free yet: ${[...new Set(places)].slice(0, 3).join("; ")}.`,
      change,
    });
  }
  return hints;
}
