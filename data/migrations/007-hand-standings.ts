import type { Knex } from "knex";

const up = `
  -- What is measured by hand is measured again when somebody has stepped off and stands again; and by whom is known.
  alter table measurement add column standing smallint not null default 1 check (standing between 1 and 3);
  alter table measurement add column measured_by uuid;
  alter table measurement add foreign key (practice_id, measured_by) references practitioner (practice_id, id);
  alter table measurement drop constraint measurement_pkey;
  alter table measurement add primary key (practice_id, visit_id, moment, reading_id, method, standing);
`;

export const handStandings = {
  name: "007-hand-standings",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("007-hand-standings keeps what was measured: it is not taken back")),
};
