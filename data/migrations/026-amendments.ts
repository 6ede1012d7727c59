import type { Knex } from "knex";
import { stampTriggers, type Stamped } from "./022-stamps";
import { practiceTable } from "./practice-table";

/** What was put right of a visit after it was closed: its note as it reads from then on, with who says so and why. */
const table = `
  ${practiceTable(
    "visit_amendment",
    "id",
    `id uuid not null, visit_id uuid not null, seq bigint generated always as identity, note text not null,
     why text not null check (length(why) between 1 and 2000), recorded_by text not null,
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
  create index amendment_of_visit on visit_amendment (practice_id, visit_id, seq);
`;

export const amendmentsStamped: Record<string, Stamped> = { visit_amendment: { client: "visit" } };

export const amendments = {
  name: "026-amendments",
  up: (knex: Knex) =>
    knex.raw(
      [table, ...Object.entries(amendmentsStamped).map(([name, how]) => stampTriggers(name, how))]
        .join("\n")
        .replaceAll("?", "\\?"),
    ),
  down: () => Promise.reject(new Error("026-amendments keeps what was put right: it is not taken back")),
};
