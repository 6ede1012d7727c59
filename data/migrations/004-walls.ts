import type { Knex } from "knex";
import { practiceTable } from "./practice-table";

/** Rows that went with the row they belong to when this was written. */
const kept = ["photo_file", "study_marking", "auth_session", "known_device"]
  .map((table) => `'${table}'::regclass`)
  .join(", ");

const up = () => `
  -- Devices that signed in to an account before: strangers cannot lock them out.
  ${practiceTable(
    "known_device",
    "id",
    `id uuid not null, practitioner_id uuid not null, token_hash text not null unique,
     seen_at timestamptz not null default now(),
     foreign key (practice_id, practitioner_id) references practitioner (practice_id, id) on delete cascade`,
  )}
  create policy known_device_bearer on known_device for select
    using (token_hash = nullif(current_setting('app.device_hash', true), ''));
  alter table auth_session add column seen_at timestamptz not null default now();

  -- Old attempts may be swept by whoever comes next; a new one is still noted under one's own key only.
  drop policy sign_in_attempt_own on sign_in_attempt;
  create policy sign_in_attempt_own on sign_in_attempt
    using (throttle_key = nullif(current_setting('app.throttle_key', true), '') or at < now() - interval '15 minutes')
    with check (throttle_key = nullif(current_setting('app.throttle_key', true), ''));
  create index sign_in_attempt_at on sign_in_attempt (at);

  -- A cascade runs with the owner's rights, past every grant: facts are held fast instead.
  do $$ declare r record; begin
    for r in select conrelid::regclass as tab, conname, pg_get_constraintdef(oid) as def from pg_constraint
      where contype = 'f' and confdeltype = 'c' and connamespace = 'public'::regnamespace
        and confrelid <> 'practice'::regclass and conrelid not in (${kept})
    loop
      execute format('alter table %s drop constraint %I', r.tab, r.conname);
      execute format('alter table %s add constraint %I %s', r.tab, r.conname, replace(r.def, ' ON DELETE CASCADE', ''));
    end loop;
  end $$;

  -- Lists that grow are searched and paged here.
  alter table client add column find text generated always as (lower(name || ' ' || occupation || ' ' || complaint)) stored;
  create index client_by_name on client (practice_id, lower(name), id) where archived_at is null;
  create index visit_open on visit (practice_id) where status = 'open';
  create index visit_by_day on visit (practice_id, on_date);
`;

export const walls = {
  name: "004-walls",
  up: (knex: Knex) => knex.raw(up()),
  down: () => Promise.reject(new Error("004-walls takes rights away: they are not given back")),
};
