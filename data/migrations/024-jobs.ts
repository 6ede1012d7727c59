import type { Knex } from "knex";
import PgBoss from "pg-boss";
import { jobs as queue, givenUp } from "../queue";
import { stampTriggers, type Stamped } from "./022-stamps";
import { practiceTable } from "./practice-table";

/**
 * Work that is done outside of a request. A row stands for as long as its work is wanted and not done: what it is about and
 * how far it is. Whose turn it is, and who comes again after a fault, is the queue's business (a schema of its own): it
 * holds the ids of practice and job, and nothing else.
 */
const tables = `
  ${practiceTable(
    "job",
    "id",
    `id uuid not null, client_id uuid not null, visit_id uuid not null, asked_by uuid not null,
     kind text not null check (kind in ('picture')),
     about jsonb not null,
     share real check (share between 0 and 1),
     problem text,
     foreign key (practice_id, client_id) references client (practice_id, id),
     foreign key (practice_id, visit_id) references visit (practice_id, id),
     foreign key (practice_id, asked_by) references practitioner (practice_id, id)`,
  )}
  create index job_of_client on job (practice_id, client_id);
  create index job_of_visit on job (practice_id, visit_id);
  ${practiceTable(
    "job_file",
    "job_id",
    `job_id uuid not null, bytes bytea not null,
     foreign key (practice_id, job_id) references job (practice_id, id) on delete cascade`,
  )}
  alter table job_file alter column bytes set storage external;
`;

export const alsoStamped: Record<string, Stamped> = { job: { client: "own" } };

/** The queue's own tables, made within the migration's transaction instead of one of their own. */
const queueTables = PgBoss.getConstructionPlans()
  .replace(/^\s*BEGIN;/, "")
  .replace(/COMMIT;\s*$/, "");

const queues = `
  grant usage on schema pgboss to ember_app;
  select pgboss.create_queue('${givenUp}', '{"policy":"standard","retryLimit":5,"retryDelay":5}');
  select pgboss.create_queue('${queue}', '${JSON.stringify({
    policy: "standard",
    retryLimit: 3,
    retryDelay: 2,
    retryBackoff: true,
    // whoever has worked on one for a minute is gone, and another begins again
    expireInSeconds: 60,
    deadLetter: givenUp,
  })}');
  grant select, insert, update, delete on all tables in schema pgboss to ember_app;
`;

export const jobs = {
  name: "024-jobs",
  up: (knex: Knex) =>
    knex.raw(
      [tables, ...Object.entries(alsoStamped).map(([name, how]) => stampTriggers(name, how)), queueTables, queues]
        .join("\n")
        .replaceAll("?", "\\?"),
    ),
  down: () => Promise.reject(new Error("024-jobs keeps what was asked for: it is not taken back")),
};
