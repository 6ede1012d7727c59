import { segmentOf } from "../../core/light-touch/bones";
import type { LightOfVisit } from "../../core/light-touch/light-of-visit";
import { freedom, stations } from "../../core/light-touch/stations";
import { none, type At, type Kind } from "../kind";

export const lightTouch: Kind<LightOfVisit> = {
  name: "Light touch",
  homes: [
    {
      path: "assess/listen",
      part: "Listen",
      command: "Listen: light touch",
      act: { role: "group", name: "Left quality" },
    },
    {
      path: "assess/arc",
      part: "Arc",
      command: "Arc: ten steps, still points",
      act: { role: "heading", name: "arc" },
    },
    {
      path: "assess/bones",
      part: "Bones",
      command: "Bones: how the bones of the head move",
      act: { role: "heading", name: "Sphenoid" },
    },
    {
      path: "assess/unwinding",
      part: "Unwinding",
      command: "Unwinding",
      act: { role: "button", name: "Hands on" },
    },
  ],
  tables: {
    listening: { rights: "select, insert, update", of: "visit" },
    table_event: { rights: "select, insert", of: "visit" },
  },
  moments: (list) =>
    list.flatMap(({ visit, bones, heard }) => [
      ...bones.flatMap(({ moment }): At[] => (moment === "again" ? [] : [{ visit, moment }])),
      ...(["before", "after"] as const).filter((moment) => heard[moment]).map((moment) => ({ visit, moment })),
    ]),
  differences: none("Change has its own section: bones, stations and rates have errors of the hands that listened"),
  summary: none("a section of its own on the sheet: sentences in the order of the work"),
  note: (list, visit) => list.find((each) => each.visit === visit)?.lines ?? [],
  exported: (list) =>
    list.flatMap(({ visit, lines, bones, heard }) => [
      // arcs, still points and unwindings, as the note tells them
      ...lines.map((line) => ({ visit, said: line })),
      ...bones.map(({ moment, segment, test, side, range, step }) => ({
        visit,
        moment,
        what: segmentOf(segment)?.name ?? segment,
        test,
        side,
        left: range[0],
        right: range[1],
        leads: step,
      })),
      ...(["before", "after"] as const).flatMap((moment) =>
        stations.flatMap(({ key, name }) => {
          const felt = heard[moment]?.[key];
          return felt
            ? [
                {
                  visit,
                  moment,
                  what: name,
                  test: "listening",
                  side: null,
                  left: felt.L ? freedom(felt.L) : null,
                  right: felt.R ? freedom(felt.R) : null,
                  leads: felt.symmetry ?? null,
                },
              ]
            : [];
        }),
      ),
    ]),
};
