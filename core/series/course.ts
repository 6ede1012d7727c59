import { templateOf, type TemplateSession } from "./template";

/**
 * Which sessions of its template a series goes through, by their place there (from 0): [0, 1, 2, 2, 3] does the third
 * twice. Left out: one after the other. What was worked before the series took up this template is `earlier`.
 */
export type Course = readonly number[];
export const earlier = -1;
const earlierSession: TemplateSession = {
  name: "Earlier",
  ceiling: "AR",
  territory: {},
  intent: "Worked before this template was taken up.",
};

/** A series by its template and its course through it. */
export type Coursed = { template: string; course?: Course | undefined };

/** The most sessions a series has. */
export const longest = 40;

export const courseOf = ({ template, course }: Coursed): Course =>
  course ?? templateOf(template).sessions.map((_, place) => place);

/** The sessions of a series in order; what is done once more says so. */
export function sessionsOf({ template, course }: Coursed): readonly TemplateSession[] {
  const { sessions } = templateOf(template);
  if (!course) return sessions;
  return course.map((place, s) => {
    if (place === earlier) return earlierSession;
    const session = sessions[place];
    if (!session) throw new RangeError(`the template has no session ${place + 1}`);
    const times = course.slice(0, s + 1).filter((each) => each === place).length;
    return times > 1 ? { ...session, name: `${session.name} ${times}` } : session;
  });
}

/** Whether every place of a course is one of its template's, and there are no more than a series may have. */
export const isCourse = ({ template, course }: Coursed): boolean =>
  !course ||
  (course.length > 0 &&
    course.length <= longest &&
    course.some((place) => place !== earlier) &&
    course.every(
      (place, s) =>
        (place === earlier && (s === 0 || course[s - 1] === earlier)) ||
        (Number.isInteger(place) && templateOf(template).sessions[place] !== undefined),
    ));

/** Whether two series go through the same sessions. */
export const sameSessions = (one: Coursed, other: Coursed): boolean =>
  one.template === other.template && String(courseOf(one)) === String(courseOf(other));

/** Undefined where a course is simply one session after the other. */
export const shortened = ({ template, course }: Coursed): Course | undefined => {
  const { length } = templateOf(template).sessions;
  return course?.length === length && course.every((place, s) => place === s) ? undefined : course;
};
