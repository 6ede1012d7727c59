import { courseOf, earlier, longest, shortened, type Course } from "./course";
import { templateOf } from "./template";
import type { Lock, PlannedSession } from "./plan";

/** A change to which sessions a series has: one is done once more, right after itself, or is left out. */
export type CourseChange = { kind: "again" | "skip"; session: number };

/** What a series is made of that goes by the number of a session. */
export type Numbered = {
  template: string;
  course?: Course | undefined;
  locks: readonly Lock[];
  sessions: readonly PlannedSession[];
};

/** Why a change cannot be, as a sentence; undefined when it can. Sessions that were worked stay. */
export function whyNotChange(series: Numbered, change: CourseChange, done: number): string | undefined {
  const { length } = courseOf(series);
  if (change.session < 0 || change.session >= length) return `There is no session ${change.session + 1}.`;
  if (change.kind === "again") {
    if (length >= longest) return `A series has ${longest} sessions at most.`;
    return change.session < done - 1 ? "Sessions after it were worked already." : undefined;
  }
  if (change.session < done) return "It was worked already.";
  return length === 1 ? "It is the only one." : undefined;
}

/**
 * The series after a change: later sessions move up or down by one, with their locks and their steps. What is done again
 * begins as a copy of what was planned or worked, locks excepted.
 */
export function changedCourse(series: Numbered, { kind, session }: CourseChange): Numbered {
  const before = courseOf(series);
  const { template } = series;
  if (kind === "skip") {
    const without = <T>(list: readonly T[]) => list.filter((_, s) => s !== session);
    return {
      template,
      course: shortened({ template, course: without(before) }),
      sessions: without(series.sessions),
      locks: series.locks
        .filter((lock) => lock.session !== session)
        .map((lock) => (lock.session > session ? { ...lock, session: lock.session - 1 } : lock)),
    };
  }
  const twice = <T>(list: readonly T[]) => [...list.slice(0, session + 1), ...list.slice(session)];
  return {
    template,
    course: shortened({ template, course: twice(before) }),
    sessions: twice(series.sessions),
    locks: series.locks.map((lock) => (lock.session > session ? { ...lock, session: lock.session + 1 } : lock)),
  };
}

/**
 * A series of which some sessions are done, going on with session `next` of a template and from there to its end: for starting
 * in the middle, joining again one step earlier, or taking up another template. What is still to come takes its steps and locks
 * along.
 */
export function goingOn(series: Numbered, done: number, next: number, template = series.template): Numbered {
  const same = template === series.template;
  const before = courseOf(series);
  const ahead = templateOf(template).sessions.flatMap((_, place) => (place >= next ? [place] : []));
  const course = [...Array.from({ length: done }, (_, s) => (same ? (before[s] ?? earlier) : earlier)), ...ahead];
  /** Where a session to come stood before, if it did. */
  const stood = course.map((place, s) =>
    s < done ? s : same ? before.findIndex((each, i) => i >= done && each === place) : -1,
  );
  return {
    template,
    course: shortened({ template, course }),
    sessions: stood.map((from) => series.sessions[from] ?? { steps: [] }),
    locks: stood.flatMap((from, session) =>
      same ? series.locks.filter((lock) => lock.session === from).map((lock) => ({ ...lock, session })) : [],
    ),
  };
}
