import { placeNames } from "../../core/anatomy/places";
import { sideWord } from "../../core/words";
import { compareRoses, roseArea, type Rose, type Scar } from "../../core/findings/scar";
import { z95 } from "../../core/units";
import { beforeAfter, foundAt, signed, type Kind } from "../kind";

const nameOf = ({ places, side }: Scar) => `Scar, ${placeNames(places)}, ${sideWord[side]}`;
const percent = ({ slides }: Rose) => `${Math.round(roseArea(slides).percent)}%`;

export const scar: Kind<Scar> = {
  name: "Scars",
  homes: [
    {
      path: "assess/scars",
      part: "Scars",
      command: "Touch: scars",
      act: { role: "button", name: "Add a scar" },
    },
  ],
  tables: {
    scar: { rights: "select, insert, update", of: "client" },
    scar_rose: { rights: "select, insert, update", of: "visit" },
  },
  moments: (list) => list.flatMap(({ roses }) => roses),
  differences: (list, first, second) =>
    list.flatMap((each) => {
      const [from, to] = [foundAt(each.roses, first), foundAt(each.roses, second)];
      if (!from || !to) return [];
      const difference = compareRoses(from, to);
      return [
        {
          ...difference,
          id: each.id,
          name: nameOf(each),
          from: percent(from),
          to: `${percent(to)} of the full rose`,
          by: signed(difference.difference, difference.band, "%"),
        },
      ];
    }),
  summary: (list, visit) =>
    list.flatMap((each) => {
      const what = beforeAfter(each.roses, visit, ({ slides }) => {
        const { percent, se } = roseArea(slides);
        return `${Math.round(percent)} ±${Math.round(z95 * se)} % of the full rose`;
      });
      return what
        ? [
            {
              id: each.id,
              name: `Scar, ${placeNames(each.places)}`,
              what,
              lying: { places: each.places, side: each.side },
            },
          ]
        : [];
    }),
  note: (list, visit) => {
    const said = list.flatMap((each) => {
      const what = beforeAfter(each.roses, visit, percent);
      return what ? [`${nameOf(each)}: slides ${what} of the full rose`] : [];
    });
    return said.length > 0 ? [`${said.join("; ")}.`] : [];
  },
  exported: (list) =>
    list.flatMap(({ id, places, side, lengthMm, since, closed, words, roses }) =>
      roses.map(({ visit, moment, slides, lift }) => {
        const { percent, se } = roseArea(slides);
        return {
          id,
          visit,
          moment,
          places: places.join(" "),
          side,
          lengthMm,
          since,
          closed,
          words,
          slides: slides.join(" "),
          lift,
          percent,
          standardError: se,
        };
      }),
    ),
};
