import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** What was pressed during the checks at the table: appended to only, like the session's log. */
const up = `
  ${practiceTable(
    "table_event",
    "id",
    `id uuid not null, visit_id uuid not null, seq bigint generated always as identity,
     at timestamptz not null, kind text not null, body jsonb not null,
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
  create index table_event_of_visit on table_event (practice_id, visit_id, seq);
`;

export const tableEvents = {
  name: "013-table",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("013-table keeps what was found: it is not taken back")),
};
