import type { Knex } from "knex";

/** Who gives a visit, and what it is planned to take of their thumbs, fingers, wrists, shoulders and back. */
const up = `
  alter table visit add column given_by uuid, add column planned_load jsonb;
  alter table visit add foreign key (practice_id, given_by) references practitioner (practice_id, id);
`;

export const whoGives = {
  name: "021-who-gives",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("021-who-gives keeps what was planned: it is not taken back")),
};
