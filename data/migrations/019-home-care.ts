import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** What a client was given to do at home at a visit: by exercise, how often, how long, on which side. */
const up = practiceTable(
  "home_care",
  "visit_id, exercise",
  `visit_id uuid not null, exercise text not null check (length(exercise) between 1 and 60), body jsonb not null,
   foreign key (practice_id, visit_id) references visit (practice_id, id)`,
);

export const homeCare = {
  name: "019-home-care",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("019-home-care keeps what was agreed: it is not taken back")),
};
