import type { Knex } from "knex";

/** A line that was joined to another keeps its row, and which gradings went over, so that it can be taken apart again. */
const up = `
  alter table restriction add column joined_to uuid, add column went_over jsonb,
    add foreign key (practice_id, joined_to) references restriction (practice_id, id),
    add check ((joined_to is null) = (went_over is null));
`;

export const joinedLines = {
  name: "011-joined-lines",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("011-joined-lines: what was joined is not taken apart")),
};
