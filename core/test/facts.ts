import { conditionOf } from "../screening/conditions";
import { usualPreferences, usualSchool, type Facts, type HistoryEntry } from "../screening/facts";
import { acting, judge, type Decision, type Judged } from "../screening/outcome";
import { screen } from "../screening/screen";

/** A history entry of a catalogue condition for tests; `when` is an exact day or null. */
export function entryOf(key: string, change: Partial<HistoryEntry> & { on?: string | null } = {}): HistoryEntry {
  const condition = conditionOf(key)!;
  const { on = "2026-01-05", ...rest } = change;
  return {
    id: key,
    kind: condition.kind,
    condition: key,
    words: condition.name,
    when: on === null ? null : { said: on, earliest: on, latest: on },
    region: condition.place && condition.place !== "ask" ? condition.place : null,
    side: null,
    answer: null,
    status: "open",
    endedOn: null,
    at: "2026-06-01T09:00:00.000Z",
    ...rest,
  };
}

/** Nothing is known but what is given; the school's own ceiling is out of the way. */
export const factsOf = (change: Partial<Facts>): Facts => ({
  born: null,
  history: [],
  answers: [],
  preferences: usualPreferences,
  school: { ...usualSchool, pressureCeiling: 10 },
  ...change,
});

/** What acts on a day. */
export const cautionsOn = (day: string, facts: Partial<Facts>, decisions: readonly Decision[] = []): Judged[] =>
  acting(judge(screen(factsOf(facts)), decisions), day);
