import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

const up = `
  create function touch_row() returns trigger language plpgsql as $$
  begin
    new.updated_at := now();
    new.version := old.version + 1;
    return new;
  end $$;

  create table practice (
    practice_id uuid primary key,
    name text not null,
    created_at timestamptz not null default now(),
    updated_at timestamptz not null default now(),
    version integer not null default 1
  );
  alter table practice enable row level security;
  alter table practice force row level security;
  create policy practice_itself on practice
    using (practice_id = nullif(current_setting('app.practice_id', true), '')::uuid);
  create trigger practice_touch before update on practice for each row execute function touch_row();

  ${practiceTable(
    "practitioner",
    "id",
    `id uuid not null, email text not null unique check (email = lower(email)), name text not null,
     password_hash text not null, settings jsonb not null default '{}'`,
  )}
  -- Before sign-in no practice is known: a row shows itself to whoever names its e-mail, and nothing else does.
  create policy practitioner_signing_in on practitioner for select
    using (email = nullif(current_setting('app.sign_in_email', true), ''));

  ${practiceTable(
    "auth_session",
    "id",
    `id uuid not null, practitioner_id uuid not null, token_hash text not null unique,
     expires_at timestamptz not null,
     foreign key (practice_id, practitioner_id) references practitioner (practice_id, id) on delete cascade`,
  )}
  create policy auth_session_bearer on auth_session for select
    using (token_hash = nullif(current_setting('app.session_hash', true), ''));

  -- Attempts belong to no practice (the e-mail may be nobody's); a row shows itself only to its own key.
  create table sign_in_attempt (
    throttle_key text not null,
    at timestamptz not null default now()
  );
  create index sign_in_attempt_key on sign_in_attempt (throttle_key, at);
  alter table sign_in_attempt enable row level security;
  alter table sign_in_attempt force row level security;
  create policy sign_in_attempt_own on sign_in_attempt
    using (throttle_key = nullif(current_setting('app.throttle_key', true), ''));

  ${practiceTable(
    "client",
    "id",
    `id uuid not null, name text not null, born date, occupation text not null default '',
     complaint text not null default '', complaint_region text, stature_mm integer,
     pressure_ceiling integer not null check (pressure_ceiling between 1 and 10), archived_at timestamptz`,
  )}
  ${practiceTable(
    "series",
    "id",
    `id uuid not null, client_id uuid not null, template text not null, settings jsonb not null, plan jsonb,
     foreign key (practice_id, client_id) references client (practice_id, id) on delete cascade,
     unique (practice_id, client_id)`,
  )}
  ${practiceTable(
    "visit",
    "id",
    `id uuid not null, client_id uuid not null, ordinal integer not null check (ordinal >= 1),
     on_date date not null, status text not null check (status in ('planned', 'open', 'closed')),
     closing_note text not null default '',
     foreign key (practice_id, client_id) references client (practice_id, id) on delete cascade,
     unique (practice_id, client_id, ordinal)`,
  )}
  ${practiceTable(
    "photo",
    "id",
    `id uuid not null, visit_id uuid not null, moment text not null check (moment in ('before', 'after')),
     view text not null check (view in ('front', 'back', 'left', 'right')),
     width integer not null, height integer not null, setup jsonb not null, points jsonb not null default '{}',
     replaced_at timestamptz,
     foreign key (practice_id, visit_id) references visit (practice_id, id) on delete cascade`,
  )}
  create unique index photo_current on photo (practice_id, visit_id, moment, view) where replaced_at is null;
  ${practiceTable(
    "photo_file",
    "photo_id",
    `photo_id uuid not null, mime text not null, bytes bytea not null,
     foreign key (practice_id, photo_id) references photo (practice_id, id) on delete cascade`,
  )}
  ${practiceTable(
    "restriction",
    "id",
    `id uuid not null, client_id uuid not null, region text not null, structure text not null, side text not null,
     layer text not null, quality text not null, bind text not null default '', ease text not null default '',
     removed_at timestamptz,
     foreign key (practice_id, client_id) references client (practice_id, id) on delete cascade`,
  )}
  ${practiceTable(
    "restriction_grade",
    "restriction_id, visit_id, moment",
    `restriction_id uuid not null, visit_id uuid not null,
     moment text not null check (moment in ('before', 'after')),
     grade integer not null check (grade between 0 and 3),
     tenderness integer not null check (tenderness between 0 and 10),
     foreign key (practice_id, restriction_id) references restriction (practice_id, id) on delete cascade,
     foreign key (practice_id, visit_id) references visit (practice_id, id) on delete cascade`,
  )}
  ${practiceTable(
    "listening",
    "visit_id, moment",
    `visit_id uuid not null, moment text not null check (moment in ('before', 'after')), stations jsonb not null,
     foreign key (practice_id, visit_id) references visit (practice_id, id) on delete cascade`,
  )}
  ${practiceTable(
    "session_event",
    "id",
    `id uuid not null, visit_id uuid not null, seq bigint generated always as identity,
     at timestamptz not null, kind text not null, body jsonb not null,
     foreign key (practice_id, visit_id) references visit (practice_id, id) on delete cascade`,
  )}
  create index session_event_of_visit on session_event (practice_id, visit_id, seq);

  grant select, insert, update, delete on all tables in schema public to ember_app;
  -- The run sheet's log is append-only, for the application too.
  revoke update, delete on session_event from ember_app;
  grant usage on all sequences in schema public to ember_app;
`;

export const firstPath = {
  name: "001-first-path",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("001-first-path is the ground floor: make a new database instead")),
};
