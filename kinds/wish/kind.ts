import type { Preferences } from "../../core/screening/facts";
import { none, type Kind } from "../kind";

export const wish: Kind<Preferences> = {
  name: "Wishes",
  homes: [
    {
      path: "intake/wishes",
      part: "Wishes",
      command: "Wishes: covering, positions, pause word",
      act: { role: "group", name: "Covering" },
    },
  ],
  tables: { preference: { rights: "select, insert, update", of: "client" } },
  moments: none("they hold until they are changed"),
  differences: none("they are wished, not measured"),
  summary: none("they stand on the run sheet"),
  note: none("they belong to the client, not to a visit"),
  exported: (list) => list.map((each) => ({ wishes: JSON.stringify(each) })),
};
