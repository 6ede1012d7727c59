/** Columns and policy that every table of a practice has. `key` columns follow the practice in the primary key. */
export const practiceTable = (name: string, key: string, columns: string) => `
  create table ${name} (
    practice_id uuid not null default nullif(current_setting('app.practice_id', true), '')::uuid
      references practice (practice_id) on delete cascade,
    ${columns},
    created_at timestamptz not null default now(),
    updated_at timestamptz not null default now(),
    version integer not null default 1,
    primary key (practice_id, ${key})
  );
  alter table ${name} enable row level security;
  alter table ${name} force row level security;
  create policy ${name}_of_practice on ${name}
    using (practice_id = nullif(current_setting('app.practice_id', true), '')::uuid);
  create trigger ${name}_touch before update on ${name} for each row execute function touch_row();
`;
