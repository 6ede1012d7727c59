import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

const up = `
  ${practiceTable(
    "trigger_point",
    "id",
    `id uuid not null, client_id uuid not null, structure text not null, side text not null check (side in ('L', 'R', 'both')),
     at jsonb, area jsonb, referral jsonb not null, removed_at timestamptz,
     foreign key (practice_id, client_id) references client (practice_id, id)`,
  )}
  create index trigger_point_of_client on trigger_point (practice_id, client_id);
  ${practiceTable(
    "trigger_point_felt",
    "point_id, visit_id, moment",
    `point_id uuid not null, visit_id uuid not null, moment text not null check (moment in ('before', 'after')),
     tenderness smallint not null check (tenderness between 0 and 10), reproduced boolean,
     held integer check (held between 0 and 3600),
     foreign key (practice_id, point_id) references trigger_point (practice_id, id),
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
`;

export const triggerPoints = {
  name: "010-trigger-points",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("010-trigger-points keeps what was felt: it is not taken back")),
};
