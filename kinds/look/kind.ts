import type { VisitAnswers } from "../../core/table/answers";
import { isAnswered } from "../../core/table/answers";
import { compareTable, offBefore, resultsOf, tableNote, verdictWords, wordsOf } from "../../core/table/results";
import { sideBehind } from "../../core/words";
import { checks, unitWords } from "../../core/table/checks";
import { signed, type At, type Differing, type Kind } from "../kind";

const answersAt = (list: readonly VisitAnswers[], visit: number) =>
  list.find((each) => each.visit === visit)?.answers ?? [];

export const look: Kind<VisitAnswers> = {
  name: "Looks at the table",
  homes: [
    {
      path: "assess/table",
      part: "Table",
      command: "Table: checks and retest",
      act: { role: "button", name: "next" },
    },
  ],
  tables: { table_event: { rights: "select, insert", of: "visit" } },
  moments: (list) =>
    list.flatMap(({ visit, answers }) =>
      answers.flatMap(({ moment }): At[] => (moment === "again" ? [] : [{ visit, moment }])),
    ),
  differences: (list, first, second) => {
    const [before, after] = [answersAt(list, first.visit), answersAt(list, second.visit)];
    return compareTable({ answers: before, moment: first.moment }, { answers: after, moment: second.moment }).map(
      ({ before: { check, side, way }, difference, se, dof, band, p }): Differing => ({
        difference,
        se,
        dof,
        band,
        p,
        id: [check.key, side, way].join(" "),
        name: `${check.name}${side ? sideBehind[side] : ""}`,
        from: wordsOf(check, before, first.moment),
        to: wordsOf(check, after, second.moment),
        by: signed(difference, band, way === "measured" && check.measure ? unitWords[check.measure.unit] : "", 1),
      }),
    );
  },
  summary: (list, visit) => {
    const answers = answersAt(list, visit);
    const retested = compareTable({ answers, moment: "before" }, { answers, moment: "after" });
    return offBefore(answers).map((check) => ({
      id: check.key,
      name: check.name,
      what: `${wordsOf(check, answers, "before")}${isAnswered(check, answers, "after") ? ` → ${wordsOf(check, answers, "after")} (${verdictWords(check, retested)})` : "; not looked at again"}`,
    }));
  },
  note: (list, visit) => [tableNote(answersAt(list, visit))].filter(Boolean),
  exported: (list) =>
    list.flatMap(({ visit, answers }) =>
      (["before", "after"] as const).flatMap((moment) =>
        checks.flatMap((check) =>
          resultsOf(check, answers, moment).map(({ side, way, value, se }) => ({
            visit,
            moment,
            check: check.key,
            side,
            way,
            value,
            standardError: se,
          })),
        ),
      ),
    ),
};
