import type { Knex } from "knex";

const up = `
  -- What else a client comes for, in their order; its words are found as those of the first are.
  alter table client add column further_complaints jsonb not null default '[]';
  alter table client add column further_words text not null default '';
  alter table client drop column find;
  alter table client add column find text
    generated always as (lower(name || ' ' || occupation || ' ' || complaint || ' ' || further_words)) stored;
`;

export const complaints = {
  name: "005-complaints",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("005-complaints keeps what clients told: it is not taken back")),
};
