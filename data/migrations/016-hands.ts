import type { Knex } from "knex";

/** Whose hands listened, and a second round, blind, by which they come to know themselves. */
const up = `
  alter table listening add column practitioner_id uuid;
  alter table listening add foreign key (practice_id, practitioner_id) references practitioner (practice_id, id);
  alter table listening drop constraint listening_moment_check;
  alter table listening add constraint listening_moment_check check (moment in ('before', 'again', 'after'));
`;

export const hands = {
  name: "016-hands",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("016-hands keeps what was listened to: it is not taken back")),
};
