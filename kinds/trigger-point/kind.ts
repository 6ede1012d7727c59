import { findingName } from "../../core/findings/finding-name";
import { compareTenderness, referralWords, type TriggerPoint } from "../../core/findings/trigger-point";
import { handError } from "../../core/statistics/hand-errors";
import { beforeAfter, foundAt, signed, type Kind } from "../kind";

export const triggerPoint: Kind<TriggerPoint> = {
  name: "Trigger points",
  homes: [
    {
      path: "assess/points",
      part: "Points",
      command: "Touch: trigger points",
      act: { role: "button", name: "Add a point" },
    },
  ],
  tables: {
    trigger_point: { rights: "select, insert, update", of: "client" },
    trigger_point_felt: { rights: "select, insert, update", of: "visit" },
  },
  moments: (list) => list.flatMap(({ felt }) => felt),
  differences: (list, first, second) =>
    list.flatMap((each) => {
      const [from, to] = [foundAt(each.felt, first), foundAt(each.felt, second)];
      if (!from || !to) return [];
      const difference = compareTenderness(from, to);
      return [
        {
          ...difference,
          id: each.id,
          name: findingName(each),
          from: `tender ${from.tenderness}`,
          to: String(to.tenderness),
          by: signed(difference.difference, difference.band),
        },
      ];
    }),
  summary: (list, visit) =>
    list.flatMap((each) => {
      const what = beforeAfter(
        each.felt,
        visit,
        ({ tenderness, held }) => `tender ${tenderness}${held === null ? "" : ` (held ${held} s)`}`,
      );
      const felt = each.referral.length > 0 ? `; felt at ${referralWords(each.referral)}` : "";
      return what
        ? [
            {
              id: each.id,
              name: `Trigger point, ${findingName(each).toLowerCase()}`,
              what: `${what}${felt}`,
              lying: { structure: each.structure, side: each.side },
            },
          ]
        : [];
    }),
  note: (list, visit) => {
    const said = list.flatMap((each) => {
      const what = beforeAfter(each.felt, visit, ({ tenderness }) => String(tenderness));
      return what ? [`${findingName(each)} ${what}`] : [];
    });
    return said.length > 0 ? [`Trigger points, tender 0 to 10: ${said.join("; ")}.`] : [];
  },
  exported: (list) =>
    list.flatMap(({ id, structure, side, referral, felt }) =>
      felt.map(({ visit, moment, tenderness, reproduced, held }) => ({
        id,
        visit,
        moment,
        structure,
        side,
        referral: referralWords(referral),
        tenderness,
        standardError: handError.tenderness,
        reproduced,
        heldSeconds: held,
      })),
    ),
};
