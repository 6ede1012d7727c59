import type { OwnScore } from "../../core/own-measures/own-measures";
import { none, type Kind } from "../kind";

/** A score with the scale it is on. */
export type Scored = OwnScore & { name: string; kind: "activity" | "pain" };

export const ownScale: Kind<Scored> = {
  name: "Own scales",
  homes: [
    {
      path: "intake/scales",
      part: "Own scales",
      command: "Own scales: activities and pain",
      act: { role: "group", name: "0 to 10" },
    },
  ],
  tables: {
    own_measure: { rights: "select, insert, update", of: "client" },
    own_score: { rights: "select, insert, update", of: "visit" },
    own_words: { rights: "select, insert, update", of: "visit" },
  },
  moments: none("asked once a visit; what it says is told over visits"),
  differences: none("judged by published figures on its own page, over visits"),
  summary: none("the sheet of a visit says what hands found"),
  note: (list, visit) => {
    const said = list.filter((each) => each.visit === visit).map(({ name, score }) => `${name} ${score}`);
    return said.length > 0 ? [`Own scales, 0 to 10: ${said.join("; ")}.`] : [];
  },
  exported: (list) => list.map(({ visit, name, kind, score }) => ({ visit, scale: name, kind, score })),
};
