import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** What the skin did at a place, when a scar's state was last told, and how a client is built. */
const up = `
  ${practiceTable(
    "skin_response",
    "id",
    `id uuid not null, client_id uuid not null, visit_id uuid not null, place text not null,
     side text check (side in ('L', 'R')), response text not null check (response in ('pink', 'pale', 'spots', 'bruise')),
     after text not null check (after in ('hands', 'edge')), gone_on date, removed_at timestamptz,
     foreign key (practice_id, client_id) references client (practice_id, id),
     foreign key (practice_id, visit_id) references visit (practice_id, id)`,
  )}
  create index skin_response_of_client on skin_response (practice_id, client_id);
  alter table scar add column told_at timestamptz;
  alter table client add column build text not null default 'middle' check (build in ('slender', 'middle', 'broad'));
`;

export const skinAndBuild = {
  name: "012-skin-and-build",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("012-skin-and-build keeps what was seen: it is not taken back")),
};
