import { findingName } from "../../core/findings/finding-name";
import type { Restriction } from "../../core/findings/restriction";
import { handError } from "../../core/statistics/hand-errors";
import { differing } from "../../core/statistics/verdict";
import { beforeAfter, foundAt, signed, type Kind } from "../kind";

export const restriction: Kind<Restriction> = {
  name: "Restrictions",
  homes: [
    {
      path: "assess/touch",
      part: "Touch",
      command: "Touch: restrictions",
      act: { role: "textbox", name: "Line" },
    },
  ],
  tables: {
    restriction: { rights: "select, insert, update", of: "client" },
    // a grading made by mistake is taken back
    restriction_grade: { rights: "select, insert, update, delete", of: "visit" },
  },
  moments: (list) => list.flatMap(({ grades }) => grades),
  differences: (list, first, second) =>
    list.flatMap((each) => {
      const [from, to] = [foundAt(each.grades, first), foundAt(each.grades, second)];
      if (!from || !to) return [];
      const difference = differing(to.grade - from.grade, Math.SQRT2 * handError.grade);
      return [
        {
          ...difference,
          id: each.id,
          name: findingName(each),
          from: String(from.grade),
          to: String(to.grade),
          by: signed(difference.difference, difference.band, "", 1),
        },
      ];
    }),
  summary: (list, visit) =>
    list.flatMap((each) => {
      const what = beforeAfter(each.grades, visit, ({ grade, tenderness }) =>
        tenderness > 0 ? `grade ${grade}, tender ${tenderness}` : `grade ${grade}`,
      );
      if (!what) return [];
      const ways = [each.bind && `binds ${each.bind}`, each.ease && `eases ${each.ease}`].filter(Boolean).join(", ");
      return [
        {
          id: each.id,
          name: findingName(each),
          what: `${what}; ${each.quality}${ways ? `, ${ways}` : ""}`,
          lying: { structure: each.structure, side: each.side },
        },
      ];
    }),
  note: (list, visit) => {
    const said = list.flatMap((each) => {
      const what = beforeAfter(each.grades, visit, ({ grade }) => String(grade));
      return what ? [`${findingName(each)} ${what}`] : [];
    });
    return said.length > 0 ? [`Restrictions, 0 free to 3 fixed: ${said.join("; ")}.`] : [];
  },
  exported: (list) =>
    list.flatMap(({ id, region, structure, side, layer, quality, bind, ease, grades }) =>
      grades.map(({ visit, moment, grade, tenderness }) => ({
        id,
        visit,
        moment,
        region,
        structure,
        side,
        layer,
        quality,
        bind,
        ease,
        grade,
        tenderness,
        standardError: handError.grade,
      })),
    ),
};
