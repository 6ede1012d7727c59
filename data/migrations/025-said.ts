import type { Knex } from "knex";

/**
 * What was seen when an answer or a consent was given travels with it: the place of the last word on the same matter. Null,
 * as in all that was said before this: everything that was there.
 */
const up = `
  alter table screening_answer add column seen bigint;
  alter table consent add column seen bigint;
`;

export const said = {
  name: "025-said",
  up: (knex: Knex) => knex.raw(up),
  down: () =>
    Promise.reject(new Error("025-said keeps what was seen when something was answered: it is not taken back")),
};
