import type { Restriction } from "../../core/findings/restriction";
import type { Person } from "./people";

/** A client's restrictions as they stood before a visit, graded up to there. */
export const restrictionsAt = (person: Person, visit: number): Restriction[] =>
  person.found.map(({ grades, tenderness, ...draft }, i) => ({
    ...draft,
    id: `${person.id.slice(0, -4)}${i}${person.id.slice(-3)}`,
    grades: grades.slice(0, visit).map((grade, v) => ({
      visit: v + 1,
      moment: "before" as const,
      grade,
      tenderness: Math.max(0, tenderness - v),
    })),
  }));
