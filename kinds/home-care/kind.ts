import { exerciseOf } from "../../core/home-care/exercises";
import type { HomeDose } from "../../core/home-care/exercises";
import { homeDose } from "../../core/home-care/words";
import type { Side } from "../../core/units";
import { none, type Kind } from "../kind";

/** What was given at a visit. */
export type HomeGiven = { ordinal: number; exercise: string; body: HomeDose & { side: Side | null } };

export const homeCare: Kind<HomeGiven> = {
  name: "Home care",
  homes: [
    {
      path: "sessions/home",
      part: "Home care",
      command: "Home care: what to do between visits",
      act: { role: "heading", name: "home" },
    },
  ],
  tables: { home_care: { rights: "select, insert, update, delete", of: "visit" } },
  moments: none("given at the end of a visit"),
  differences: none("it is what was agreed, not what was found"),
  summary: none("printed on a sheet of its own for the client"),
  note: (list, visit) => {
    const said = list
      .filter(({ ordinal }) => ordinal === visit)
      .map(({ exercise, body }) => {
        const given = exerciseOf(exercise)!;
        return `${given.name}, ${homeDose(given, body, body.side)}`;
      });
    return said.length > 0 ? [`Home care: ${said.join("; ")}.`] : [];
  },
  exported: (list) => list.map(({ ordinal, exercise, body }) => ({ visit: ordinal, exercise, ...body })),
};
