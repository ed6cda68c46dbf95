import type { MigrationContext } from './context'

/**
 * Present records: what stands of each record, brought up to date in the transaction that adds an event, so that lists
 * are queries and what was taken away is gone. A call becomes a kind of record like the others. The catalogue, which
 * the engine has itself, and anglers' own waters, which are records, leave the tables.
 */
export const records = {
  name: '0008-records',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      create temporary table calls_as_records on commit drop as
        select c.angler_id, c.id, c.kept_at as at, jsonb_strip_nulls(jsonb_build_object('leaned', c.leaned))
          || jsonb_build_object(
            'asked', c.asked, 'tiedOn', c.tied_on, 'name', f.name, 'waterId', c.water_id, 'rank', c.rank,
            'keptAt', to_char(c.kept_at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
            'shown', jsonb_build_object('engine', left(c.engine_version, 20), 'first', coalesce((
              select jsonb_agg(r.value -> 'finish' ->> 'id' order by (r.value ->> 'rank')::integer)
              from jsonb_array_elements(c.answer -> 'ranked') r
              where (r.value ->> 'rank')::integer <= 3), '[]'))) as body
        from calls c join finishes f on f.id = c.tied_on;
      insert into events (angler_id, id, kind, record_id, at, body, bytes)
        select angler_id, id, 'call', id, at, body, length(body::text) from calls_as_records order by at
        on conflict do nothing;
      update anglers set events_kept = events_kept + added.events, event_bytes = event_bytes + added.bytes
        from (
          select angler_id, count(*) as events, sum(length(body::text)) as bytes
          from calls_as_records group by angler_id
        ) added
        where added.angler_id = anglers.id;
      alter table events add column version smallint not null default 1 check (version >= 1);
      create table records (
        angler_id uuid not null references anglers (id) on delete cascade,
        kind text not null,
        id uuid not null,
        event_id uuid not null,
        at timestamptz not null,
        version smallint not null default 1,
        body jsonb,
        primary key (angler_id, kind, id)
      );
      insert into records (angler_id, kind, id, event_id, at, body)
        select distinct on (angler_id, kind, record_id) angler_id, kind, record_id, id, at, body
        from events order by angler_id, kind, record_id, at desc, id desc;
      create index records_newest_first on records (angler_id, kind, at desc, id);
      create index calls_by_id on records (id) where kind = 'call';
      drop table calls, finishes, lure_types;
      delete from waters where angler_id is not null;
      alter table waters drop column angler_id;
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query(`
      create table lure_types (
        id text primary key,
        words text not null,
        group_name text not null
          constraint group_known check (
            group_name in ('hard-bait', 'skirted', 'soft-plastic', 'surface', 'spoon', 'crappie', 'inshore')),
        surface boolean not null,
        salt boolean not null,
        runs_from_m double precision not null check (runs_from_m >= 0),
        runs_to_m double precision not null check (runs_to_m >= runs_from_m)
      );
      create table finishes (
        id text primary key,
        lure_type_id text not null references lure_types (id),
        name text not null constraint name_said check (name <> ''),
        families text[] not null check (cardinality(families) between 1 and 3),
        traits jsonb not null,
        parts jsonb not null,
        retired boolean not null default false
      );
      create index finishes_by_lure on finishes (lure_type_id);
      insert into lure_types
        select distinct split_part(body ->> 'tiedOn', '.', 1), split_part(body ->> 'tiedOn', '.', 1), 'hard-bait',
          false, false, 0, 0
        from records where kind = 'call' and body is not null;
      insert into finishes
        select distinct on (1) body ->> 'tiedOn', split_part(body ->> 'tiedOn', '.', 1), body ->> 'name',
          '{white}'::text[], '{}'::jsonb, '{}'::jsonb, true
        from records where kind = 'call' and body is not null;
      create table calls (
        id uuid primary key,
        angler_id uuid not null references anglers (id) on delete cascade,
        water_id uuid,
        asked jsonb not null,
        answer jsonb not null,
        engine_version text not null constraint engine_version_said check (engine_version <> ''),
        tied_on text not null references finishes (id),
        kept_at timestamptz not null,
        created_at timestamptz not null default now(),
        rank integer check (rank >= 1),
        bytes integer not null default 0 check (bytes >= 0),
        leaned double precision check (leaned between 0 and 1)
      );
      create index calls_by_angler on calls (angler_id, kept_at desc);
      create index calls_by_water on calls (water_id);
      create index calls_by_finish on calls (tied_on);
      insert into calls
        select distinct on (id) id, angler_id, (body ->> 'waterId')::uuid, body -> 'asked', '{"ranked":[]}',
          body -> 'shown' ->> 'engine', body ->> 'tiedOn', (body ->> 'keptAt')::timestamptz, at,
          (body ->> 'rank')::integer, length(body::text), (body ->> 'leaned')::double precision
        from records where kind = 'call' and body is not null;
      update anglers set events_kept = events_kept - gone.events, event_bytes = event_bytes - gone.bytes
        from (
          select angler_id, count(*) as events, sum(bytes) as bytes from events where kind = 'call' group by angler_id
        ) gone
        where gone.angler_id = anglers.id;
      delete from events where kind = 'call';
      drop table records;
      alter table events drop column version;
      alter table waters add column angler_id uuid references anglers (id) on delete cascade;
      create index waters_by_angler on waters (angler_id);
    `)
  },
}
