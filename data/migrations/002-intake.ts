import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

const ofClient = `foreign key (practice_id, client_id) references client (practice_id, id) on delete cascade`;
const ofVisit = `foreign key (practice_id, visit_id) references visit (practice_id, id) on delete cascade`;

/** Tables that are only ever added to: what was told, answered, decided or signed is never erased without trace. */
const records = ["history_version", "screening_answer", "caution_decision", "consent"];

const up = `
  ${practiceTable(
    "history_version",
    "id",
    `id uuid not null, entry_id uuid not null, client_id uuid not null, seq bigint generated always as identity,
     act text not null check (act in ('told', 'changed', 'ended', 'reopened', 'struck')), body jsonb not null,
     why text not null default '', recorded_by text not null, ${ofClient}`,
  )}
  create index history_of_client on history_version (practice_id, client_id, seq);
  ${practiceTable(
    "screening_answer",
    "id",
    `id uuid not null, client_id uuid not null, visit_id uuid, seq bigint generated always as identity,
     question text not null, answer text not null check (answer in ('yes', 'no', 'unsure')),
     recorded_by text not null, ${ofClient}, ${ofVisit}`,
  )}
  create index answers_of_client on screening_answer (practice_id, client_id, seq);
  ${practiceTable(
    "caution_decision",
    "id",
    `id uuid not null, client_id uuid not null, seq bigint generated always as identity, outcome_key text not null,
     kind text not null check (kind in ('clearance', 'override', 'withdrawn')), who text not null, on_day date not null,
     what text not null, recorded_by text not null, ${ofClient}`,
  )}
  create index decisions_of_client on caution_decision (practice_id, client_id, seq);
  ${practiceTable(
    "consent",
    "id",
    `id uuid not null, client_id uuid not null, visit_id uuid, seq bigint generated always as identity,
     subject text not null, given boolean not null, text_version text not null, text text not null,
     signed_by text not null, signature jsonb, recorded_by text not null, ${ofClient}, ${ofVisit}`,
  )}
  create index consents_of_client on consent (practice_id, client_id, seq);
  ${practiceTable("preference", "client_id", `client_id uuid not null, wishes jsonb not null, ${ofClient}`)}
  ${practiceTable(
    "own_measure",
    "id",
    `id uuid not null, client_id uuid not null, kind text not null check (kind in ('activity', 'pain')),
     name text not null, retired_at timestamptz, ${ofClient}`,
  )}
  ${practiceTable(
    "own_score",
    "measure_id, visit_id",
    `measure_id uuid not null, visit_id uuid not null, score integer not null check (score between 0 and 10),
     foreign key (practice_id, measure_id) references own_measure (practice_id, id) on delete cascade, ${ofVisit}`,
  )}
  ${practiceTable("own_words", "visit_id", `visit_id uuid not null, words text not null, ${ofVisit}`)}
  ${practiceTable(
    "measurement",
    "visit_id, moment, reading_id, method",
    `visit_id uuid not null, moment text not null check (moment in ('before', 'after')), reading_id text not null,
     method text not null, value double precision not null, ${ofVisit}`,
  )}
  ${practiceTable(
    "handover",
    "id",
    `id uuid not null, client_id uuid not null, visit_id uuid not null, ended_at timestamptz, ${ofClient}, ${ofVisit}`,
  )}
  -- While a tablet is handed over, the session it belongs to reaches nothing but the handed-over view.
  alter table auth_session add column handover_id uuid;
  alter table auth_session add foreign key (practice_id, handover_id) references handover (practice_id, id);

  grant select, insert, update, delete on all tables in schema public to ember_app;
  revoke update, delete on session_event, ${records.join(", ")} from ember_app;
  grant usage on all sequences in schema public to ember_app;
`;

export const intake = {
  name: "002-intake",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("002-intake keeps records of consent: it is not taken back")),
};
