import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** Rounds of the trainer, by practitioner: what was scored, and the one figure (less is better) that is followed over weeks. */
const up = `
  ${practiceTable(
    "trainer_round",
    "id",
    `id uuid not null, practitioner_id uuid not null,
     kind text not null check (kind in ('force', 'rhythm', 'order', 'listening')),
     score double precision not null check (score >= 0 and score < 1e6), body jsonb not null,
     foreign key (practice_id, practitioner_id) references practitioner (practice_id, id)`,
  )}
  create index trainer_round_of_practitioner on trainer_round (practice_id, practitioner_id, kind, created_at);
`;

export const trainer = {
  name: "015-trainer",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("015-trainer keeps what was practised: it is not taken back")),
};
