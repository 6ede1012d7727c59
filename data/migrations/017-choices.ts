import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** What a practitioner decided of the reading: patterns ruled out or taken up, targets turned, left out and added. */
const up = practiceTable(
  "reading_choice",
  "client_id, key",
  `client_id uuid not null, key text not null check (length(key) between 1 and 120), body jsonb not null,
   foreign key (practice_id, client_id) references client (practice_id, id)`,
);

export const choices = {
  name: "017-choices",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("017-choices keeps what was decided: it is not taken back")),
};
