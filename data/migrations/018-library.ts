import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/**
 * What a practice changed of the starting library, and what it added: one row for each decision, never rewritten. `seq`
 * grows with every one of them, in the order in which they were kept.
 */
const up = `
  ${practiceTable(
    "library_version",
    "kind, stem, number",
    `kind text not null check (kind in ('technique', 'template')),
     stem text not null check (length(stem) between 1 and 80),
     number integer not null check (number > 0),
     key text not null check (length(key) between 1 and 120),
     definition jsonb,
     retired boolean not null,
     recorded_by text not null,
     seq bigint generated always as identity`,
  )}
  create index library_version_seq on library_version (practice_id, seq desc);
`;

export const library = {
  name: "018-library",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("018-library keeps what plans and logs refer to: it is not taken back")),
};
