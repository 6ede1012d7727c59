import type { Side } from "../../core/units";
import { beforeAfter, isAt, signed, type Kind } from "../kind";
import { dropLess, dropOf, dropSe, type Drop } from "./drop";
import { figure, judged } from "./words";

const sides: Record<Side, string> = { L: "Left foot", R: "Right foot" };
const of = (list: readonly Drop[], side: Side) => list.filter((each) => each.side === side);

export const navicularDrop: Kind<Drop> = {
  name: "Navicular drop",
  homes: [
    {
      path: "assess/navicular-drop",
      part: "Arches",
      command: "Arches: navicular drop",
      act: { role: "spinbutton", name: "Left, sitting" },
      own: true,
    },
  ],
  tables: { navicular_drop: { rights: "select, insert, update, delete", of: "visit" } },
  moments: (list) => list,
  differences: (list, first, second) =>
    (["L", "R"] as const).flatMap((side) => {
      const [from, to] = [first, second].map((at) => of(list, side).find((each) => isAt(each, at)));
      if (!from || !to) return [];
      const difference = dropLess(to, from);
      return [
        {
          ...difference,
          id: side,
          name: sides[side],
          from: `${dropOf(from)}`,
          to: `${dropOf(to)} mm`,
          by: signed(difference.difference, difference.band, " mm", 1),
        },
      ];
    }),
  summary: (list, visit) =>
    (["L", "R"] as const).flatMap((side) => {
      const what = beforeAfter(of(list, side), visit, (drop) => `${figure(drop)}, ${judged(drop)}`);
      return what ? [{ id: side, name: sides[side], what }] : [];
    }),
  note: (list, visit) => {
    const said = (["L", "R"] as const).flatMap((side) => {
      const what = beforeAfter(of(list, side), visit, figure);
      return what ? [`${sides[side].toLowerCase()} ${what}`] : [];
    });
    return said.length > 0 ? [`Navicular drop: ${said.join("; ")}.`] : [];
  },
  exported: (list) => list.map((drop) => ({ ...drop, unit: "mm", drop: dropOf(drop), standardError: dropSe })),
};
