import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** Plans kept beside the one in force: each with its name, and what it was solved for. */
const up = `${practiceTable(
  "named_plan",
  "id",
  `id uuid not null, client_id uuid not null, name text not null check (length(name) between 1 and 60),
   template text not null, settings jsonb not null, plan jsonb not null,
   foreign key (practice_id, client_id) references client (practice_id, id)`,
)}
create index named_plan_of_client on named_plan (practice_id, client_id, created_at);`;

export const namedPlans = {
  name: "020-named-plans",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("020-named-plans keeps what was made: it is not taken back")),
};
