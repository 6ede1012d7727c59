import type { HistoryEntry } from "../../core/screening/facts";
import { none, type Kind } from "../kind";

export const historyEntry: Kind<HistoryEntry> = {
  name: "History",
  homes: [
    {
      path: "intake",
      part: "History",
      command: "History: what was and what is",
      act: { role: "button", name: "Add" },
    },
  ],
  tables: { history_version: { rights: "select, insert", of: "client" } },
  moments: none("what was, and what is: not found at a moment of a visit"),
  differences: none("it is told, not measured"),
  summary: none("its cautions stand in the header of every page"),
  note: none("it belongs to the client, not to a visit"),
  exported: (list) =>
    list.map(({ id, words, condition, kind, stance, answer, when, region, places, side, status, endedOn, at }) => ({
      id,
      words,
      condition,
      kind,
      stance: stance ?? null,
      answer,
      when: when?.said ?? null,
      earliest: when?.earliest ?? null,
      latest: when?.latest ?? null,
      region,
      places: places?.join(" ") ?? null,
      side,
      status,
      endedOn,
      at,
    })),
};
