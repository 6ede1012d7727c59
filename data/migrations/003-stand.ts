import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

const up = `
  -- Whose marking error a picture's readings carry; unknown for pictures marked before it was kept.
  alter table photo add column marked_by uuid;
  alter table photo add foreign key (practice_id, marked_by) references practitioner (practice_id, id);
  alter table photo_file add column thumb bytea;

  -- A practitioner marks a shuffled set of pictures several times, blind, to learn their own marking error.
  ${practiceTable(
    "study",
    "id",
    `id uuid not null, practitioner_id uuid not null, items jsonb not null, finished_at timestamptz,
     foreign key (practice_id, practitioner_id) references practitioner (practice_id, id) on delete cascade`,
  )}
  ${practiceTable(
    "study_marking",
    "study_id, item",
    `study_id uuid not null, item integer not null check (item >= 0), marks jsonb not null,
     foreign key (practice_id, study_id) references study (practice_id, id) on delete cascade`,
  )}

  grant select, insert, update, delete on all tables in schema public to ember_app;
  revoke update, delete on session_event, history_version, screening_answer, caution_decision, consent from ember_app;
`;

export const stand = {
  name: "003-stand",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("003-stand keeps what was marked: it is not taken back")),
};
