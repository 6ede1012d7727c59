import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** Whose hands looked at the table, second rounds found at once, and how drawings of lay figures were graded. */
const up = `
  alter table table_event add column practitioner_id uuid;
  alter table table_event add foreign key (practice_id, practitioner_id) references practitioner (practice_id, id);
  create index table_event_again on table_event (practice_id, visit_id) where body->>'moment' = 'again';
  ${practiceTable(
    "lay_look",
    "practitioner_id, study_id, item",
    `practitioner_id uuid not null, study_id uuid not null, item integer not null check (item >= 0),
     grade smallint not null check (grade between -3 and 3),
     foreign key (practice_id, practitioner_id) references practitioner (practice_id, id)`,
  )}
`;

export const looks = {
  name: "014-looks",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("014-looks keeps what was looked at: it is not taken back")),
};
