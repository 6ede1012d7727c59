import type { Knex } from "knex";

/**
 * What every client's records stand at, and what a practice shares (its people, library, and how well its hands repeat): a
 * number that is another one after every statement that wrote to them, whichever process ran it, and that never comes
 * again, not even where a transaction was taken back. Whatever follows from records alone may be kept under it.
 */
const table = `
  create sequence stamp_at;
  create table stamp (
    practice_id uuid not null default nullif(current_setting('app.practice_id', true), '')::uuid
      references practice (practice_id) on delete cascade,
    -- a client, or the practice itself
    of uuid not null,
    at bigint not null default nextval('stamp_at'),
    primary key (practice_id, of)
  ) with (fillfactor = 70);
  alter table stamp enable row level security;
  alter table stamp force row level security;
  -- a migration that changes the rows of every practice stamps them as it goes
  create policy stamp_of_migrations on stamp to current_user using (true);
  create policy stamp_of_practice on stamp
    using (practice_id = nullif(current_setting('app.practice_id', true), '')::uuid);
`;

/** Where the client of a changed row is found, and which changed rows change what the practice shares. */
export type Stamped = { client?: "own" | "visit" | "photo"; shared?: string };

/** Rows of a visit at which somebody looked twice say how well hands repeat: the first looks among them, too. */
const repeated = (name: string, again: (row: string) => string) =>
  `${again("c")} or exists (select from ${name} o
     where (o.practice_id, o.visit_id) = (c.practice_id, c.visit_id) and ${again("o")})`;

export const stamped: Record<string, Stamped> = {
  practice: { shared: "true" },
  practitioner: { shared: "true" },
  library_version: { shared: "true" },
  study: { shared: "true" },
  study_marking: { shared: "true" },
  lay_look: { shared: "true" },
  trainer_round: { shared: "true" },

  client: {},
  caution_decision: { client: "own" },
  consent: { client: "own" },
  history_version: { client: "own" },
  named_plan: { client: "own" },
  own_measure: { client: "own" },
  preference: { client: "own" },
  reading_choice: { client: "own" },
  restriction: { client: "own" },
  scar: { client: "own" },
  screening_answer: { client: "own" },
  series: { client: "own" },
  skin_response: { client: "own" },
  trigger_point: { client: "own" },
  visit: { client: "own" },

  home_care: { client: "visit" },
  listening: { client: "visit", shared: repeated("listening", (row) => `${row}.moment = 'again'`) },
  measurement: { client: "visit", shared: repeated("measurement", (row) => `${row}.standing > 1`) },
  own_score: { client: "visit" },
  own_words: { client: "visit" },
  photo: { client: "visit", shared: repeated("photo", (row) => `${row}.standing > 1`) },
  photo_file: { client: "photo" },
  restriction_grade: { client: "visit" },
  scar_rose: { client: "visit" },
  session_event: { client: "visit" },
  table_event: { client: "visit", shared: repeated("table_event", (row) => `${row}.body->>'moment' = 'again'`) },
  trigger_point_felt: { client: "visit" },
};

/** Tables that no page is computed from: who is signed in where, and what others are found by. */
export const unstamped = [
  "auth_session",
  "known_device",
  "sign_in_attempt",
  "handover",
  "stamp",
  "client_word",
  "job_file",
];

/** Has every statement that writes to a table stamp what it changed. */
export function stampTriggers(name: string, { client, shared }: Stamped): string {
  const found: Record<NonNullable<Stamped["client"]>, [of: string, from: string]> = {
    own: ["c.client_id", "changed c"],
    visit: ["v.client_id", "changed c join visit v on (v.practice_id, v.id) = (c.practice_id, c.visit_id)"],
    photo: [
      "v.client_id",
      `changed c join photo p on (p.practice_id, p.id) = (c.practice_id, c.photo_id)
       join visit v on (v.practice_id, v.id) = (p.practice_id, p.visit_id)`,
    ],
  };
  const put = (of: string, from: string) => `
    insert into stamp (practice_id, of) select distinct c.practice_id, ${of} from ${from} order by 2
      on conflict (practice_id, of) do update set at = excluded.at;`;
  const ofClient = name === "client" ? put("c.id", "changed c") : client ? put(...found[client]) : "";
  return `
  create function stamp_${name}() returns trigger language plpgsql as $$
  begin${ofClient}${shared ? put("c.practice_id", `changed c where ${shared}`) : ""}
    return null;
  end $$;
  ${["insert", "update", "delete"]
    .map(
      (event) => `
  create trigger ${name}_stamp_${event} after ${event} on ${name}
    referencing ${event === "delete" ? "old" : "new"} table as changed
    for each statement execute function stamp_${name}();`,
    )
    .join("")}`;
}

/**
 * Who carries a session's token: one question instead of six. The transaction sees the practice of that session from then
 * on; no row where the session is over. Every few minutes it is noted that they are still there.
 */
const session = `
  create function enter_session(hash text, hours_idle integer) returns table (
    practice_id uuid, practice_name text, id uuid, name text, email text, settings jsonb,
    session_id uuid, library bigint, handover_id uuid, handover_client uuid, handover_visit uuid, handover_at timestamptz
  ) language plpgsql as $$
  #variable_conflict use_column
  declare found auth_session;
  begin
    perform set_config('app.session_hash', hash, true);
    select * into found from auth_session s
      where s.token_hash = hash and s.expires_at > now() and s.seen_at > now() - make_interval(hours => hours_idle);
    if found.id is null then return; end if;
    perform set_config('app.practice_id', found.practice_id::text, true);
    -- somebody else's request of the same session may be noting it: that one will do
    if found.seen_at < now() - interval '5 minutes' then
      update auth_session set seen_at = now()
        where id = (select a.id from auth_session a where a.id = found.id for update skip locked);
    end if;
    return query
      select p.practice_id, h.name, p.id, p.name, p.email, p.settings, found.id,
             (select max(v.seq) from library_version v where v.practice_id = p.practice_id),
             o.id, o.client_id, o.visit_id, o.created_at
      from practitioner p
      join practice h on h.practice_id = p.practice_id
      left join handover o on (o.practice_id, o.id) = (p.practice_id, found.handover_id)
      where (p.practice_id, p.id) = (found.practice_id, found.practitioner_id);
  end $$;
`;

export const stamps = {
  name: "022-stamps",
  up: (knex: Knex) =>
    knex.raw(
      [table, ...Object.entries(stamped).map(([name, how]) => stampTriggers(name, how)), session]
        .join("\n")
        .replaceAll("?", "\\?"),
    ),
  down: () => Promise.reject(new Error("022-stamps is not taken back")),
};
