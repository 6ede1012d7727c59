import { compareRanges, rangeOf, type Range } from "../../core/move/ranges";
import { rangeName, rangeWords, round, unitOf } from "../../core/move/words";
import type { VisitMoved } from "../../core/move/short";
import { signed, type At, type Kind } from "../kind";

const rangesAt = (list: readonly VisitMoved[], { visit, moment }: At): Range[] =>
  (list.find((each) => each.visit === visit)?.ranges ?? []).filter((each) => each.moment === moment).map(rangeOf);
const figure = (range: Range) => `${round(range.value)}${unitOf(range.movement)}`;

export const range: Kind<VisitMoved> = {
  name: "Ranges",
  homes: [
    {
      path: "assess/move",
      part: "Move",
      command: "Move: ranges, heard or typed",
      act: { role: "button", name: "Hear 3 in a row" },
    },
  ],
  tables: { table_event: { rights: "select, insert", of: "visit" } },
  moments: (list) =>
    list.flatMap(({ visit, ranges, edges }) => [...ranges, ...edges].map(({ moment }) => ({ visit, moment }))),
  differences: (list, first, second) =>
    compareRanges(rangesAt(list, first), rangesAt(list, second)).map(
      ({ first: from, second: to, difference, se, dof, band, p }) => ({
        difference,
        se,
        dof,
        band,
        p,
        id: rangeName(to),
        name: rangeName(to),
        from: figure(from),
        to: figure(to),
        by: signed(difference, band, unitOf(to.movement), 1),
      }),
    ),
  summary: (list, visit) =>
    (["before", "after"] as const).flatMap((moment) =>
      rangesAt(list, { visit, moment }).map((range) => ({
        id: `${rangeName(range)} ${moment}`,
        name: `${rangeName(range)}${moment === "after" ? ", after" : ""}`,
        what: rangeWords(range),
      })),
    ),
  note: (list, visit) => {
    const [before, after] = (["before", "after"] as const).map((moment) => rangesAt(list, { visit, moment }));
    const names = [...new Set([...before!, ...after!].map(rangeName))];
    const said = names.map((name) => {
      const of = (ranges: readonly Range[]) => ranges.find((range) => rangeName(range) === name);
      const [from, to] = [of(before!), of(after!)];
      return `${name} ${[from && figure(from), to && `${figure(to)} after`].filter(Boolean).join(", ")}`;
    });
    return said.length > 0 ? [`Ranges: ${said.join("; ")}.`] : [];
  },
  exported: (list) =>
    list.flatMap(({ visit, ranges, edges }) => [
      ...edges.map(({ moment, side, angles }) => ({
        visit,
        moment,
        movement: "edge of the table",
        side,
        angles: JSON.stringify(angles),
      })),
      ...ranges.map(rangeOf).map(({ taken, value, se }) => ({
        visit,
        moment: taken.moment,
        movement: taken.movement,
        side: taken.side,
        drive: taken.drive,
        value,
        standardError: se,
        repeats: taken.values.join(" "),
        endFeel: taken.endFeel,
        pain: taken.pain,
      })),
    ]),
};
