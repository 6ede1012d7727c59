import type { Knex } from "knex";

const up = `
  -- Somebody may stand, step off and stand again: up to three pictures of one view in the same minutes.
  alter table photo add column standing smallint not null default 1 check (standing between 1 and 3);
  drop index photo_current;
  create unique index photo_current on photo (practice_id, visit_id, moment, view, standing) where replaced_at is null;
`;

export const standings = {
  name: "006-standings",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("006-standings keeps what was photographed: it is not taken back")),
};
