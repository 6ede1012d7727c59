import type { SessionEvent } from "../../core/session/events";
import { none, type Kind } from "../kind";

/** The log of a visit's session. */
export type VisitRun = { visit: number; events: readonly SessionEvent[] };

export const run: Kind<VisitRun> = {
  name: "Run of the session",
  homes: [
    {
      path: "sessions",
      part: "Session",
      command: "Sessions: run sheet and notes",
      act: { role: "link", name: "the session$" },
    },
  ],
  tables: { session_event: { rights: "select, insert", of: "visit" } },
  moments: none("it is the work between the two moments"),
  differences: none("it is what was done"),
  summary: none("the sheet of a visit lists what was worked, once it is closed"),
  note: none("drafted by core/session/closing-note, while times are put right"),
  exported: (list) =>
    list.flatMap(({ visit, events }) =>
      events.map(({ id, at, kind, body }) => ({ visit, id, at, what: kind, body: JSON.stringify(body) })),
    ),
};
