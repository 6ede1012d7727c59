import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

const grade = (name: string) => `${name} smallint not null check (${name} between 0 and 3)`;

const up = `
  ${practiceTable(
    "scar",
    "id",
    `id uuid not null, client_id uuid not null, places text[] not null, side text not null check (side in ('L', 'R', 'both')),
     line jsonb, length_mm integer not null check (length_mm between 1 and 2000), since date, closed boolean not null,
     words text not null default '', removed_at timestamptz,
     foreign key (practice_id, client_id) references client (practice_id, id)`,
  )}
  create index scar_of_client on scar (practice_id, client_id);
  -- One test of a scar: eight slides, clockwise from headward, and how far it lifts.
  ${practiceTable(
    "scar_rose",
    "scar_id, visit_id, moment",
    `scar_id uuid not null, visit_id uuid not null, moment text not null check (moment in ('before', 'after')),
     slides smallint[] not null check (array_length(slides, 1) = 8 and 0 <= all (slides) and 3 >= all (slides)),
     ${grade("lift")},
     foreign key (practice_id, scar_id) references scar (practice_id, id),
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
`;

export const scars = {
  name: "009-scars",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("009-scars keeps what was felt: it is not taken back")),
};
