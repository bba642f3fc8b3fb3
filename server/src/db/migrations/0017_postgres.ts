/**
 * PostgreSQL begins here: with what SQLite's file had come to by 0017, in its own types. What is ordered by is ordered
 * byte by byte, as SQLite does it; times are epoch ms, which a double holds exactly. The words that cooks are found by stand in the database, for all its servers.
 */
import type { Knex } from 'knex'

const TABLES = `
create table cooks (
  id text collate "C" primary key,
  title text not null,
  created_at double precision not null,
  removed_at double precision,
  request text not null,
  planned text not null,
  doneness text collate "C",
  crust text,
  notes text not null default '',
  way text,
  service_id text collate "C",
  after_cook text,
  after_s double precision,
  called text,
  piece text,
  log text,
  rehearsed integer
);
create index cooks_of_service on cooks (service_id);
create table cook_events (
  id text collate "C" primary key,
  cook_id text collate "C" not null references cooks on delete cascade,
  sequence integer not null,
  kind text not null,
  at double precision not null,
  entered double precision not null,
  core_c double precision,
  undoes text collate "C",
  seconds double precision,
  held integer,
  oven_c double precision,
  probe text,
  flash_s double precision,
  unique (cook_id, sequence)
);
create table packets (id text collate "C" primary key, since double precision not null, removed_at double precision, packet text not null);
create table kit (id integer primary key, changed_at double precision not null, kit text not null);
create table services (
  id text collate "C" primary key,
  created_at double precision not null,
  serve_at text collate "C",
  summary text not null,
  removed_at double precision
);
create index services_by_serving on services (serve_at desc nulls last, id);
create table service_events (
  id text collate "C" primary key,
  service_id text collate "C" not null references services,
  sequence integer not null,
  said text not null,
  unique (service_id, sequence)
);
create table devices (
  id text collate "C" primary key,
  name text not null,
  token_hash text not null,
  paired_at double precision not null,
  seen_at double precision not null
);
create table house (key text collate "C" primary key, value text not null);
create table recipes (id text collate "C" primary key, changed_at double precision not null, recipe text not null);
create table probes (id text collate "C" primary key, name text collate "C" not null, tip text not null, cook_id text collate "C");
create table rehearsals (
  id text collate "C" primary key,
  exercise text,
  seed integer not null,
  created_at double precision not null,
  clock_at double precision not null,
  clock_since double precision not null,
  speed double precision not null,
  points integer
);
create table drills (id text collate "C" primary key, kind text not null, "right" integer not null, at double precision not null);
`

/** Of a row that somebody has written into: no figure, rather than an error for all of them. */
const FIGURE = `
create function figure_of(document text, variadic path text[]) returns double precision
language plpgsql immutable parallel safe as $$
begin
  return (document::jsonb #>> path)::double precision;
exception when others then
  return null;
end
$$;
`
const BY: Readonly<Record<string, string>> = {
  made: '',
  to: `figure_of(request, 'target', 'coreC') nulls first, `,
  time: `figure_of(planned, 'pullS') nulls first, `,
  off: `figure_of(planned, 'pullC') nulls first, `,
  highest: `figure_of(planned, 'peakC') nulls first, `,
  board: 'doneness nulls first, '
}

const WORDS = `
create table cooks_unread (id text collate "C" primary key);
create table cook_words (id text collate "C" primary key, words tsvector not null);
create index cook_words_found on cook_words using gin (words);
create table cook_words_read (times bigint not null);
insert into cook_words_read values (0);
create function cook_is_unread() returns trigger language plpgsql as $$
begin
  insert into cooks_unread values (new.id) on conflict do nothing;
  return new;
end
$$;
create function cook_is_gone() returns trigger language plpgsql as $$
begin
  delete from cooks_unread where id = old.id;
  delete from cook_words where id = old.id;
  return old;
end
$$;
create trigger cook_gone after delete on cooks for each row execute function cook_is_gone();
create trigger cook_came after insert or update of title, request, doneness, crust, notes, removed_at on cooks
  for each row execute function cook_is_unread();
`

export async function up(db: Knex): Promise<void> {
  await db.raw(TABLES + FIGURE)
  for (const [sort, by] of Object.entries(BY))
    await db.raw(`create index cooks_by_${sort} on cooks (${by}created_at, id) where removed_at is null and rehearsed is null`)
  await db.raw(WORDS)
}

/** There was nothing before it. */
export function down(): Promise<void> {
  return Promise.resolve()
}
