import type { GivenAnswer } from "../../core/screening/facts";
import { none, type Kind } from "../kind";

export const screeningAnswer: Kind<GivenAnswer> = {
  name: "Screening answers",
  homes: [
    {
      path: "intake/screening",
      part: "Screening",
      command: "Screening: may I work",
      act: { role: "button", name: "Nothing changed" },
    },
  ],
  tables: {
    screening_answer: { rights: "select, insert", of: "visit" },
    caution_decision: { rights: "select, insert", of: "client" },
  },
  moments: none("answered before the work"),
  differences: none("a yes is no figure"),
  summary: none("its cautions stand in the header of every page"),
  note: none("its cautions stand in the header of every page"),
  exported: (list) => list.map(({ question, answer, at }) => ({ question, answer, at })),
};
