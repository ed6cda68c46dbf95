import type { MigrationContext } from './context'

/** Anglers, the catalogue, waters and kept calls. */
export const first = {
  name: '0001-first',
  async up({ context }: { context: MigrationContext }) {
    await context.query(`
      create table anglers (
        id uuid primary key,
        created_at timestamptz not null default now()
      );
      create table lure_types (
        id text primary key,
        words text not null,
        group_name text not null,
        surface boolean not null,
        salt boolean not null,
        runs_from_m double precision not null check (runs_from_m >= 0),
        runs_to_m double precision not null check (runs_to_m >= runs_from_m)
      );
      create table finishes (
        id text primary key,
        lure_type_id text not null references lure_types (id),
        name text not null,
        families text[] not null check (cardinality(families) between 1 and 3),
        traits jsonb not null,
        parts jsonb not null,
        retired boolean not null default false
      );
      create index finishes_by_lure on finishes (lure_type_id);
      create table waters (
        id uuid primary key,
        angler_id uuid references anglers (id) on delete cascade,
        name text not null check (length(name) between 1 and 80),
        kind text not null,
        latitude double precision not null check (latitude between -90 and 90),
        longitude double precision not null check (longitude between -180 and 180),
        salinity text not null check (salinity in ('fresh', 'brackish', 'salt')),
        usual_tint text not null,
        usual_visibility_m double precision not null check (usual_visibility_m between 0.05 and 30),
        prey text[] not null,
        note text not null default ''
      );
      create index waters_by_angler on waters (angler_id);
      create table calls (
        id uuid primary key,
        angler_id uuid not null references anglers (id) on delete cascade,
        water_id uuid references waters (id) on delete set null,
        asked jsonb not null,
        answer jsonb not null,
        engine_version text not null,
        tied_on text not null references finishes (id),
        kept_at timestamptz not null,
        created_at timestamptz not null default now()
      );
      create index calls_by_angler on calls (angler_id, kept_at desc);
    `)
  },
  async down({ context }: { context: MigrationContext }) {
    await context.query('drop table calls, waters, finishes, lure_types, anglers')
  },
}
