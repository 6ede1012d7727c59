import type { Knex } from "knex";

/**
 * The words that clients are found by. A search inside of text cannot use an index where rows are walled off by practice
 * (the comparison might leak what it compared); words that begin with what was typed can: order is no secret.
 */
const up = `
  create table client_word (
    practice_id uuid not null default nullif(current_setting('app.practice_id', true), '')::uuid
      references practice (practice_id) on delete cascade,
    word text collate "C" not null,
    client_id uuid not null,
    primary key (practice_id, word, client_id),
    foreign key (practice_id, client_id) references client (practice_id, id)
  );
  create index client_word_of_client on client_word (practice_id, client_id);

  create function client_words() returns trigger language plpgsql as $$
  begin
    delete from client_word where practice_id = new.practice_id and client_id = new.id;
    insert into client_word (practice_id, client_id, word)
      select distinct new.practice_id, new.id, left(word, 60)
      from regexp_split_to_table(new.find, '[[:space:][:punct:]]+') word where word <> '';
    return null;
  end $$;

  alter table client no force row level security;
  insert into client_word (practice_id, client_id, word)
    select distinct practice_id, id, left(word, 60)
    from client, regexp_split_to_table(find, '[[:space:][:punct:]]+') word where word <> '';
  alter table client force row level security;

  alter table client_word enable row level security;
  alter table client_word force row level security;
  create policy client_word_of_practice on client_word
    using (practice_id = nullif(current_setting('app.practice_id', true), '')::uuid);
  create trigger client_words_new after insert on client for each row execute function client_words();
  create trigger client_words_changed after update on client
    for each row when (old.find is distinct from new.find) execute function client_words();
`;

export const words = {
  name: "023-words",
  up: (knex: Knex) => knex.raw(up),
  down: () => Promise.reject(new Error("023-words is not taken back")),
};
